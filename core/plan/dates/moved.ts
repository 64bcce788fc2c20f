import type { Facts } from '#core/facts/index';
import { type FreeInterval, stayIndex } from '#core/schedule/index';
import { type Minute, toMinute } from '#core/units/index';
import type { PlannedStep } from './plannedStep.ts';

/** A step in another stay than was agreed, or much later in it: what moved, and what holds it now. */
export type MovedStep = { readonly stepId: string; readonly from: Minute; readonly to: Minute; readonly why: string };

/** Within a stay, nobody minds less. */
const WITHIN_A_STAY: Minute = 60;

export function movedSteps(steps: readonly PlannedStep[], facts: Facts, free: readonly FreeInterval[]): MovedStep[] {
  const stayOf = (at: Minute) => stayIndex(free, at);
  const agreed = facts.agreed[0]?.starts ?? {};
  return steps.flatMap((step) => {
    const was = agreed[step.id];
    if (was === undefined) return [];
    const from = toMinute(was);
    const to = step.placed?.start;
    if (to === undefined || (Math.abs(to - from) < WITHIN_A_STAY && stayOf(to) === stayOf(from))) return [];
    return [{ stepId: step.id, from, to, why: step.placed?.hold.text ?? '' }];
  });
}
