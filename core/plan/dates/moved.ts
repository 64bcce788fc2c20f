import type { Facts } from '#core/facts/index';
import { type Minute, toMinute } from '#core/units/index';
import type { PlannedStep } from './plannedStep.ts';

/** A step whose start is not the agreed one: what moved, and what holds it now. */
export type MovedStep = { readonly stepId: string; readonly from: Minute; readonly to: Minute; readonly why: string };

export function movedSteps(steps: readonly PlannedStep[], facts: Facts): MovedStep[] {
  const agreed = facts.agreed[0]?.starts ?? {};
  return steps.flatMap((step) => {
    const was = agreed[step.id];
    if (was === undefined) return [];
    const from = toMinute(was);
    const to = step.placed?.start;
    if (to === undefined || Math.abs(to - from) < 5) return [];
    return [{ stepId: step.id, from, to, why: step.placed?.hold.text ?? '' }];
  });
}
