import type { PlannedStep } from '#core/plan/index';
import { asSentence, counted } from '#core/units/index';
import { FindingsAt } from '../../../views/FindingsAt.tsx';
import { heldGroups } from './heldGroups.ts';

/** Steps without a date, by what holds them: each reason once, what only waits for another step folded under it. */
export function WithoutDate({ steps, said }: { steps: readonly PlannedStep[]; said: string | null }) {
  if (steps.length === 0) return null;
  const isSaid = (why: string) => said?.includes(why) ?? false;
  return (
    <section aria-label="Without a date">
      <h3 className="mt-5 border-b-2 border-ink pb-1 font-[650] text-ink">Without a date</h3>
      <ul>
        {heldGroups(steps).map(({ why, held }) => (
          <li key={why} className="border-b border-hairline py-2">
            {/* What stands on top of the page is not said again. */}
            {!isSaid(why) && <p>{asSentence(why)}</p>}
            <details className="mt-1">
              <summary className="font-[650]">
                {counted(held.length, 'step')} {held.length === 1 ? 'waits' : 'wait'} for {isSaid(why) ? 'what stands on top' : 'that'}
              </summary>
              <ul>
                {held.map((step) => (
                  <li key={step.id} className="border-t border-hairline py-1.5">
                    {step.title}
                  </li>
                ))}
              </ul>
            </details>
            {held.map((step) => (
              <FindingsAt key={step.id} stepId={step.id} />
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}
