import { asSentence, type Minute } from '#core/units/index';
import type { PlannedStep } from './plannedStep.ts';

/** A minute sooner is no matter. */
const LEEWAY = 1;

/**
 * What is not ready yet for steps that are called done, and until when; null where nothing is. Free hours and turns are no reason:
 * whoever is at it has them.
 * @param moment a moment as it is said
 */
export function tooEarly(steps: readonly Pick<PlannedStep, 'opens'>[], now: Minute, moment: (at: Minute) => string): string | null {
  const [last] = steps.flatMap(({ opens }) => (opens && opens.at > now + LEEWAY ? [opens] : [])).sort((a, b) => b.at - a.at);
  if (!last) return null;
  return `Not yet. ${asSentence(last.why)} It may be done from ${moment(last.at)} on. Press Done once more if it was done all the same.`;
}
