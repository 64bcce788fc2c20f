import type { LogEvent } from '#core/facts/index';
import type { PlannedStep } from '#core/plan/index';
import { doneEvents } from '#core/plan/index';
import { partKeyParts } from '../outcome/stepKeyParts.ts';

/** Minutes between two steps that still follow at once. */
const AT_ONCE = 1;

/** The first step of a stay and what is done with it in one go: the steps of its batch that follow at once and ask nothing of their own. */
export function sideBySide(steps: readonly PlannedStep[]): PlannedStep[] {
  const [first] = steps;
  if (!first) return [];
  const mates = [first];
  if (first.batch === null || asksSomething(first)) return mates;
  for (const step of steps.slice(1)) {
    const end = mates[mates.length - 1].placed?.end ?? 0;
    const same = step.batch === first.batch && step.coat?.number === first.coat?.number && !asksSomething(step);
    if (!same || (step.placed?.start ?? 0) > end + AT_ONCE) break;
    mates.push(step);
  }
  return mates;
}

function asksSomething({ asks, checks, inspects, looks }: PlannedStep): boolean {
  return Boolean(asks ?? looks) || Boolean(checks?.length) || Boolean(inspects?.length);
}

/** What was done, part by part: the ids of step and part. */
export type Chosen = (step: PlannedStep, partId: string) => boolean;

/** Events of steps done one after the other in one go, the last of them at that moment. */
export function doneTogether(
  steps: readonly PlannedStep[],
  newId: () => string,
  at: number,
  placeId: string,
  chosen: Chosen = () => true,
): LogEvent[] {
  return steps.flatMap((step, index) => {
    const parts = step.on.map(({ partId }) => partId).filter((partId) => chosen(step, partId));
    if (parts.length === 0) return [];
    const later = steps.slice(index + 1).reduce((sum, { minutes }) => sum + minutes, 0);
    const layerOf = (partId: string) => partKeyParts(step.keys[step.on.findIndex((on) => on.partId === partId)] ?? '').subject;
    return doneEvents(step, newId, at - later, placeId, parts.length === step.on.length ? undefined : parts, layerOf);
  });
}
