import { type Layer, type Part, type Piece, WARM_BY, type WarmBy } from '#core/facts/index';
import { warmthOf } from '#core/plan/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { Chips } from '../../../views/fields/Chips.tsx';
import { SpellFields } from '../../../views/fields/SpellFields.tsx';
import { WARM_CAUTIONS, WARM_LABELS } from '../../../views/words/warmWords.ts';

type Choice = 'no' | WarmBy;

/** Whether a layer is warmed after its last coat: how hot part and film bear it, for how long, and what speaks against it. */
export function WarmLayer({
  piece,
  part,
  layer,
  onChange,
}: {
  piece: Piece;
  part: Part;
  layer: Layer;
  onChange: (fields: Partial<Layer>, said: string) => void;
}) {
  const { facts, plan, conditions } = usePlan();
  const words = useWords();
  const { limitC, by, offers, refused } = warmthOf({ piece, part, layer, facts, conditions, now: plan.now });
  const choose = (choice: Choice) => {
    const offer = offers.find((own) => own.by === choice);
    onChange({ warm: offer?.warm }, offer ? `Warmed: ${WARM_LABELS[offer.by]}. The plan has moved.` : 'It dries as it hangs.');
  };
  const { warm } = layer;
  const sun = offers.find((own) => own.by === 'sun')?.sun;
  const against = offers.flatMap((own) => (own.refused && own.by !== warm?.by ? [`${WARM_LABELS[own.by]}: ${own.refused}`] : []));
  return (
    <div className="space-y-2">
      <Chips
        legend="Warmed after its last coat"
        options={[
          { value: 'no' as Choice, label: 'no' },
          ...offersAllowed(offers, warm?.by).map((own) => ({ value: own as Choice, label: WARM_LABELS[own] })),
        ]}
        value={warm?.by ?? 'no'}
        onChange={choose}
      />
      {warm && <SpellFields warm={warm} onWarm={(next) => onChange({ warm: next }, 'The plan has moved.')} />}
      {refused && (
        <p role="alert" className="font-[650]">
          Left out of the plan. {refused}
        </p>
      )}
      <p className="second text-small">
        Part and film bear {words.heat(limitC)}, by {by}.{warm ? ` ${WARM_CAUTIONS[warm.by]}` : ''}
        {sun && warm?.by !== 'oven' && ` The forecast has sun from ${words.moment(sun.from)} to ${words.clock(sun.to)}.`}
      </p>
      {against.map((text) => (
        <p key={text} className="second text-small">
          {text}
        </p>
      ))}
    </div>
  );
}

function offersAllowed(offers: ReturnType<typeof warmthOf>['offers'], chosen: WarmBy | undefined): WarmBy[] {
  return WARM_BY.filter((by) => by === chosen || offers.some((own) => own.by === by && own.refused === null));
}
