import { type Workshop, workshopSchema } from '#core/facts/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { QuantityField } from '../../../views/fields/QuantityField.tsx';
import { WARM_CAUTIONS } from '../../../views/words/warmWords.ts';
import { Sizes } from '../Sizes.tsx';
import { WeeklyHours } from '../hours/WeeklyHours.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** As hot as a part is ever cured here; a thermostat may hold more. */
const USUAL_MOST_C = 90;

/** The low oven: how large, how hot, and when somebody is at home while it is on. */
export function Oven() {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const { oven, atHome = [] } = workshop;
  const keep = (fields: Partial<Workshop>, said: string) => void save('workshop', { ...workshop, ...fields }, said);
  return (
    <FoldingSheet title="Low oven" inner="space-y-3 mt-3">
      <Sizes
        title="Inside"
        sides={{ longMm: 'long', wideMm: 'wide', highMm: 'high' }}
        value={oven && { longMm: oven.longMm, wideMm: oven.wideMm, highMm: oven.highMm }}
        thing="An oven"
        onKeep={(sides) => keep({ oven: { mostC: oven?.mostC ?? USUAL_MOST_C, ...sides } }, 'Films may be warmed: choose it under Coats.')}
        onNone={() => keep({ oven: undefined }, 'No oven: films dry as they hang.')}
      />
      {oven ? (
        <>
          <QuantityField
            label="The most it holds"
            dimension="temperature"
            unit={workshop.units.temperature}
            shown={words.heat(oven.mostC)}
            placeholder="90 °C"
            refused={(mostC) => workshopSchema.shape.oven.safeParse({ ...oven, mostC }).error?.issues[0]?.message ?? null}
            onKeep={(mostC) => mostC !== undefined && keep({ oven: { ...oven, mostC } }, 'The plan has moved.')}
          />
          <div>
            <p className="font-[650] text-ink">Somebody is at home, beside the hours at the bench</p>
            {atHome.length === 0 && <p className="second text-small">Nothing said: it is on only while you are at the bench.</p>}
            <WeeklyHours
              hours={atHome}
              add="At home then"
              usual={{ from: '18:00', to: '23:00' }}
              onChange={(hours) => keep({ atHome: hours.length > 0 ? hours : undefined }, 'The plan has moved.')}
            />
          </div>
        </>
      ) : (
        <p className="second text-small">{WARM_CAUTIONS.oven}</p>
      )}
    </FoldingSheet>
  );
}
