import type { StripMethod, WorkStage } from '#core/facts/index';
import type { WetPart } from '../../films/index.ts';
import type { PlannedStep } from '../plannedStep.ts';

/** Dust and overspray settle on whatever is wet: what hangs near is moved or covered before such work begins (trade §2). */

const DUSTY: readonly WorkStage[] = ['strip', 'repair', 'prep', 'age'];
/** Nothing flies off what is kept wet. */
const WITHOUT_DUST: readonly (StripMethod | undefined)[] = ['wet-sand', 'gel', 'chlorinated', 'caustic', 'alkaline', 'alcohol'];

/** The steps, each with what is wet beside it while it is done. */
export function withWetNearby(steps: readonly PlannedStep[], hanging: readonly WetPart[], sprayPlaceId: string): PlannedStep[] {
  return steps.map((step) => {
    const wet = wetBeside(step, hanging, sprayPlaceId);
    return wet.length === 0
      ? step
      : { ...step, wetNearby: { who: wet.map(({ who }) => who), until: Math.max(...wet.map(({ until }) => until)) } };
  });
}

function wetBeside({ placed, coat, ...step }: PlannedStep, hanging: readonly WetPart[], sprayPlaceId: string) {
  const sprays = coat !== undefined && coat.hand !== 'brush';
  const dusty = DUSTY.includes(step.stage) && step.hazards.includes('dust') && !WITHOUT_DUST.includes(step.method);
  if (!placed || (!sprays && !dusty)) return [];
  const own = new Set(step.on.map(({ partId }) => `${step.pieceId} ${partId}`));
  return hanging
    .filter(({ pieceId, partId }) => !own.has(`${pieceId} ${partId}`))
    .flatMap(({ pieceId, partId, pegs, wet }) =>
      wet
        .filter(({ from, until }) => from < placed.end && until > placed.start)
        .filter(({ name, placeId }) => dusty || (placeId === sprayPlaceId && name !== coat?.name))
        .map(({ until }) => ({ who: { pieceId, partId, pegs }, until })),
    );
}
