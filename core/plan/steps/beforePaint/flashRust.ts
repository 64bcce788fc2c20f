import { workSize } from '#core/survey/index';
import { workMinutes } from '#core/units/index';
import type { Minute } from '#core/units/index';
import type { PlanContext, Ref } from '../../films/index.ts';
import type { StepChain } from '../chain.ts';
import { flashRusts } from './surfaceParts.ts';

/** Steel that was left bright over its hours has rusted: that comes off again before anything covers it (trade §3). */

/** Numbers of that work beside the sanding, which is the first of its kind. */
const RUSTED_AGAIN = 70;
/** More often than this nobody leaves it bright. */
const MOST_TIMES = 20;

/**
 * Since when it has lain bright and has rusted; null: it is covered, lies in the dry box, still bright, or its owner knows better.
 * @param bared when the log says that it was bared last
 */
export function rustedSince(bared: Ref | null, { of: { piece, part } }: Pick<StepChain, 'of'>, context: PlanContext): Minute | null {
  if (!bared || !('at' in bared) || !flashRusts(part)) return null;
  const { history, clocks, workshop, now } = context;
  if (piece.knows?.some(({ rule, partId }) => rule === 'bare-steel' && (partId ?? part.id) === part.id)) return null;
  const ofPart = history.doneOf(piece.id, part.id);
  const boxed = ofPart.some(([, { at, event }]) => at === bared.at && event.boxed);
  const guarded = ofPart.some(([key, { at }]) => key.startsWith(`${piece.id}.${part.id}.metal-prep.`) && at >= bared.at);
  return boxed || guarded || clocks.flashRust(workshop.sprayPlaceId, bared.at) >= now ? null : bared.at;
}

/** The rust of each night it was left bright, rubbed off; what was done of it is a new moment of bright steel. */
export function addRustOff(chain: StepChain, context: PlanContext, bared: () => Ref | null, onBared: (by: Ref) => void): void {
  const size = workSize(chain.of.part);
  for (let time = 1; time <= MOST_TIMES && rustedSince(bared(), chain, context) !== null; time++) {
    const ref = chain.add({
      stage: 'prep',
      number: RUSTED_AGAIN + time,
      acts: ['strip-brush'],
      title: 'Rub the flash rust off',
      minutes: workMinutes(2, size, 'scuff'),
      setup: 2,
      detail: 'brass brush or grey pad, dry; then straight on, metal prep or the first coat in the same stay',
      hazards: ['dust'],
      because: 'It was left bright longer than steel stays so, and rust under primer lifts it.',
      treatment: 'rub flash rust off',
    });
    onBared(ref);
    if ('step' in ref) return;
  }
}
