import { USUAL_AIR } from '#core/drying/index';
import { type Place, placeSchema } from '#core/facts/index';
import { parseNumber, typedNumber } from '#core/units/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { KeptField } from '../../../views/fields/KeptField.tsx';
import { QuantityField } from '../../../views/fields/QuantityField.tsx';

/** Whether a place is heated, and the air that is kept there. */
export function Heating({ place }: { place: Place }) {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const keep = (fields: Partial<Place>, said: string) => void save('places', { ...place, ...fields }, said);
  const heat = () =>
    place.heated
      ? keep({ ...USUAL_AIR[place.kind], heated: false }, `${place.name} is as warm as the month.`)
      : keep({ ...USUAL_AIR.room, heated: true }, `${place.name} is heated.`);
  const refused = (field: 'meanC' | 'meanRh') => (value: number) =>
    placeSchema.shape[field].safeParse(value).error?.issues[0].message ?? null;
  return (
    <div className="mt-1 flex flex-wrap items-end gap-2">
      <button type="button" className="chip !min-h-9" aria-pressed={place.heated} aria-label={`${place.name} is heated`} onClick={heat}>
        heated
      </button>
      {place.heated && (
        <>
          <QuantityField
            label={`${place.name} is kept at`}
            dimension="temperature"
            unit={workshop.units.temperature}
            shown={words.typedTemperature(place.meanC)}
            placeholder="18 °C"
            small
            refused={refused('meanC')}
            onKeep={(meanC) => meanC !== undefined && keep({ meanC }, `${place.name} is kept at ${words.temperature(meanC)}.`)}
          />
          <KeptField
            label="humidity, %"
            labelLook="second block text-small"
            look="!min-h-9 !w-16 !px-2"
            shown={typedNumber(place.meanRh)}
            read={(text) => {
              const value = parseNumber(text.replace('%', '')) ?? Number.NaN;
              const why = refused('meanRh')(value);
              return why === null ? { ok: true, value } : { ok: false, mend: why };
            }}
            onKeep={(meanRh) => meanRh !== undefined && keep({ meanRh }, `Usually ${Math.round(meanRh)} % there.`)}
          />
        </>
      )}
    </div>
  );
}
