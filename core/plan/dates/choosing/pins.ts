import type { Facts } from '#core/facts/index';
import { type Minute, toMinute } from '#core/units/index';
import { type Step, stepsLookedAt } from '../../steps/index.ts';
import type { PlannedStep } from '../plannedStep.ts';

/** Steps put to a time by hand, and the plan agreed on. What has gone by unkept binds nobody any more. */

/** A step that starts later than this after its pin has not kept it. */
export const PIN_LEEWAY: Minute = 15;

/** When each step is pinned to; a row is pinned where one of its parts is. */
export function pinsOf(steps: readonly Step[], { agreed }: Pick<Facts, 'agreed'>, now: Minute): ReadonlyMap<string, Minute> {
  const pins = agreed[0]?.pins ?? {};
  return new Map(
    steps.flatMap(({ id, keys }) => {
      const times = keys.flatMap((key) => (pins[key] === undefined ? [] : [toMinute(pins[key])])).filter((at) => at >= now - PIN_LEEWAY);
      return times.length === 0 ? [] : [[id, Math.max(...times)] as const];
    }),
  );
}

/** The start agreed on for each step; what lies in the past is open again. */
export function agreedStarts(steps: readonly Step[], { agreed }: Pick<Facts, 'agreed'>, now: Minute): ReadonlyMap<string, Minute> {
  const starts = agreed[0]?.starts ?? {};
  return new Map(
    steps.flatMap(({ id }) => {
      const at = starts[id] === undefined ? null : toMinute(starts[id]);
      return at === null || at < now - LATE_IN_ITS_STAY ? [] : [[id, at] as const];
    }),
  );
}

/** A step that is late within its stay still belongs there. */
const LATE_IN_ITS_STAY: Minute = 6 * 60;

/** Facts with nothing agreed: for a plan made anew. */
export function planAnew(facts: Facts): Facts {
  return { ...facts, agreed: facts.agreed.map((agreed) => ({ ...agreed, starts: {} })) };
}

/** Every step that must be done before one of those named. */
export function stepsBefore(named: Iterable<string>, steps: readonly Step[]): ReadonlySet<string> {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const before = new Set<string>();
  const walk = (id: string) => {
    for (const other of byId.get(id)?.constraints.flatMap(stepsLookedAt) ?? []) {
      if (before.has(other)) continue;
      before.add(other);
      walk(other);
    }
  };
  for (const id of named) walk(id);
  return before;
}

/** Pinned steps with their pins, and whether each is kept. */
export function withPins(steps: readonly PlannedStep[], pins: ReadonlyMap<string, Minute>): PlannedStep[] {
  return steps.map((step) => {
    const pinnedTo = pins.get(step.id);
    if (pinnedTo === undefined) return step;
    const start = step.placed?.start ?? Number.POSITIVE_INFINITY;
    return { ...step, pinnedTo, ...(start > pinnedTo + PIN_LEEWAY ? { pinLost: true } : {}) };
  });
}
