import { asSentence, type Minute } from '#core/units/index';
import type { PlannedStep } from './plannedStep.ts';

/** A minute sooner is no matter. */
const LEEWAY = 1;

/**
 * What is not ready yet for steps that are called done, and until when; null where nothing is. Free hours and turns are no reason:
 * whoever is at it has them.
 * @param moment a moment as it is said
 */
export function tooEarly(
  steps: readonly Pick<PlannedStep, 'window' | 'opensWhy'>[],
  now: Minute,
  moment: (at: Minute) => string,
): string | null {
  const [last] = steps
    .flatMap(({ window, opensWhy }) => (window && opensWhy && window.from > now + LEEWAY ? [{ from: window.from, opensWhy }] : []))
    .sort((a, b) => b.from - a.from);
  if (!last) return null;
  return `Not yet. ${asSentence(last.opensWhy)} It may be done from ${moment(last.from)} on. Press Done once more if it was done all the same.`;
}
