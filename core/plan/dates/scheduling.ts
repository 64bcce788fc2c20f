import type { Conditions } from '#core/drying/index';
import { type Activity, benchIntervals, type FreeInterval, type Gap, type Schedule, schedule } from '#core/schedule/index';
import type { PlanContext } from '../films/index.ts';
import type { Step } from '../steps/index.ts';
import { airOf } from './air.ts';
import { pressure } from './urgency.ts';

/** Clean-up and set-up between two paints in the booth (BRIEF §12). */
const CHANGEOVER_MINUTES = 8;

/** Every step that is not stopped, placed into the free hours. */
export function scheduleSteps(
  steps: readonly Step[],
  gaps: readonly Gap[],
  free: readonly FreeInterval[],
  context: PlanContext,
  conditions: Conditions,
): Schedule {
  const { now, workshop, history, facts } = context;
  const live = steps.filter((step) => step.stopped === undefined);
  const ids = new Set(live.map((step) => step.id));
  const agreed = facts.agreed[0]?.starts ?? {};
  const urgency = new Map(facts.pieces.map((piece) => [piece.id, pressure(piece, now)]));
  const air = airOf(conditions, workshop.sprayPlaceId, now);
  const activities: Activity[] = live.map((step) => {
    const put = history.notBefore.get(step.id);
    const later = Math.max(step.notBefore ?? 0, put ?? 0);
    return {
      id: step.id,
      minutes: step.minutes,
      scuffMinutes: step.scuffMinutes,
      mix: step.coat?.mix,
      priority: (urgency.get(step.pieceId) ?? 0) + (agreed[step.id] ? -60 : 0),
      ...(later > 0 ? { notBefore: later, notBeforeWhy: put && put >= (step.notBefore ?? 0) ? 'you put it off' : step.notBeforeWhy } : {}),
      ...(step.coat && step.coat.hand !== 'brush' ? { nextAir: air(step.coat.family, step.coat.productId, facts) } : {}),
    };
  });
  const usable = gaps.filter((gap) => ids.has(gap.to)).map((gap) => ({ ...gap, together: gap.together.filter((id) => ids.has(id)) }));
  return schedule({ now, free: benchIntervals(free, now), activities, gaps: usable, changeover: CHANGEOVER_MINUTES });
}
