import { OLD_PAINTS, type Part, partSchema, plain } from '#core/facts/index';
import { weightText } from '#core/units/index';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../../app/useWords.ts';
import { Chips } from '../../../../views/fields/Chips.tsx';
import { KeyedFeatures } from './KeyedFeatures.tsx';
import { QuantityField } from '../../../../views/fields/QuantityField.tsx';

type Change = (fields: Partial<Part>, said: string) => void;

export const OLD_PAINT_LABELS: Readonly<Record<(typeof OLD_PAINTS)[number], string>> = {
  'baked-enamel': 'Baked factory enamel',
  household: 'Brushed household paint',
  'own-coat': 'An earlier coat of my own',
  unknown: 'Not known',
};
export const RUB_LABELS: Readonly<Record<NonNullable<Part['rub']>, string>> = {
  dissolves: 'It dissolves',
  wrinkles: 'It wrinkles',
  'no-change': 'Nothing happens',
};
const SURFACES: readonly { value: 'plain' | NonNullable<Part['surface']>; label: string }[] = [
  { value: 'plain', label: 'Plain' },
  { value: 'grained', label: 'Grained' },
  { value: '3d-printed', label: '3-D printed' },
];
const BRIGHTEN = ['none', 'brighten', 'polish', 'plate'] as const;
const PROTECT = ['none', 'oil', 'wax', 'clear'] as const;

function refusedFor(field: 'serviceC' | 'grams', value: number): string | null {
  return partSchema.shape[field].safeParse(value).error?.issues[0]?.message ?? null;
}

/** What decides how a part is worked: its old paint, its surface, the heat it bears, how bare metal is finished. */
export function PartNature({ part, onChange }: { part: Part; onChange: Change }) {
  const { workshop } = usePlan();
  const words = useWords();
  const bare = part.zones.some((zone) => zone.bare !== undefined);
  return (
    <div className="grid gap-4 md:grid-cols-2">
      {part.finish !== 'bare' && (
        <>
          <Chips
            legend="Its old paint is"
            options={OLD_PAINTS.map((value) => ({ value, label: OLD_PAINT_LABELS[value] }))}
            value={part.oldPaint}
            onChange={(oldPaint) => onChange({ oldPaint }, 'Noted: what may go over it is judged by it.')}
          />
          <Chips
            legend="Rubbed with lacquer thinner"
            options={Object.entries(RUB_LABELS).map(([value, label]) => ({ value: value as NonNullable<Part['rub']>, label }))}
            value={part.rub}
            onChange={(rub) => onChange({ rub }, 'Noted.')}
          />
        </>
      )}
      <Chips
        legend="Surface"
        options={SURFACES}
        value={part.surface ?? 'plain'}
        onChange={(surface) => onChange({ surface: surface === 'plain' ? undefined : surface }, 'Noted: the preparation follows it.')}
      />
      <fieldset>
        <legend className="mb-2 font-[650] text-ink">Keyed by hand, and ticked before primer</legend>
        <KeyedFeatures
          key={part.id}
          features={part.features ?? []}
          onChange={(features) => onChange({ features }, 'Noted for the gate before primer.')}
        />
      </fieldset>
      {bare && <BareCare part={part} onChange={onChange} />}
      {part.service?.includes('heat') && (
        <QuantityField
          label="Hottest it gets"
          dimension="temperature"
          unit={workshop.units.temperature}
          shown={part.serviceC === undefined ? '' : words.typedTemperature(part.serviceC)}
          placeholder="250 °C"
          refused={(value) => refusedFor('serviceC', value)}
          onKeep={(serviceC) =>
            onChange({ serviceC }, serviceC === undefined ? 'How hot it gets is not known.' : 'Noted: paints are judged by it.')
          }
        />
      )}
      <QuantityField
        label={part.copies > 1 ? 'One copy weighs' : 'It weighs'}
        dimension="mass"
        unit="g"
        shown={part.grams === undefined ? '' : weightText(part.grams)}
        placeholder="310 g"
        refused={(value) => refusedFor('grams', value)}
        onKeep={(grams) => onChange({ grams }, grams === undefined ? 'Its weight is not known.' : 'Noted: it hangs where that is carried.')}
      />
    </div>
  );
}

/** How metal that stays bare by choice is finished. */
function BareCare({ part, onChange }: { part: Part; onChange: Change }) {
  const { brighten, protect } = part.bareCare ?? {};
  const choose = (change: NonNullable<Part['bareCare']>) =>
    onChange({ bareCare: { ...part.bareCare, ...change } }, 'Its finish is planned.');
  const options = <T extends string>(values: readonly T[]) =>
    values.map((value) => ({ value, label: value === 'none' ? 'no' : plain(value) }));
  return (
    <div className="space-y-3">
      <Chips
        legend="Bare metal: brightened"
        options={options(BRIGHTEN)}
        value={brighten}
        onChange={(value) => choose({ brighten: value })}
      />
      <Chips legend="Bare metal: kept by" options={options(PROTECT)} value={protect} onChange={(value) => choose({ protect: value })} />
    </div>
  );
}
