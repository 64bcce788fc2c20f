import { type Parcel, type Piece, WORK_STAGES, type WorkStage } from '#core/facts/index';
import { type Awaited, lastAwaited } from '#core/survey/index';
import type { PlanContext } from '../films/index.ts';
import type { Step } from './step.ts';

/** What is on its way holds what needs it: a part its work, from a stage on where one is named; everything else the fit. */

export function heldByParcels(steps: readonly Step[], piece: Piece, context: PlanContext): readonly Step[] {
  const partId = steps[0]?.on[0]?.partId;
  const open = piece.parcels.filter((parcel) => !parcel.arrived && parcel.holds?.partId === partId && partId !== undefined);
  let held: readonly Step[] = steps;
  for (const stage of new Set(open.map((parcel) => parcel.holds?.stage))) {
    const awaited = lastAwaited(
      open.filter((parcel) => parcel.holds?.stage === stage),
      context.now,
    );
    const at = held.findIndex((step) => stage === undefined || isFrom(step.stage, stage));
    if (awaited && at >= 0) held = held.map((step, index) => (index < at ? step : heldBy(step, awaited, index === at)));
  }
  return held;
}

function isFrom(stage: WorkStage, from: WorkStage): boolean {
  return WORK_STAGES.indexOf(stage) >= WORK_STAGES.indexOf(from);
}

/** The first step waits for the day; one without a day holds up everything after it. */
function heldBy(step: Step, awaited: Awaited, first: boolean): Step {
  if (awaited.at === null) return { ...step, stopped: step.stopped ?? awaited.why };
  return first ? { ...step, notBefore: awaited.at, notBeforeWhy: awaited.why } : step;
}

/** Putting together waits for every parcel that holds nothing else: what nobody has placed may be wanted before anything is closed. */
export function heldUntilFit(steps: readonly Step[], piece: Piece, context: PlanContext): readonly Step[] {
  const awaited = lastAwaited(
    piece.parcels.filter((parcel: Parcel) => !parcel.holds),
    context.now,
  );
  return awaited ? steps.map((step, index) => heldBy(step, awaited, index === 0)) : steps;
}
