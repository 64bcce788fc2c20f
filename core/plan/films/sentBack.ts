import type { EventOf, Part, Piece, WorkStage } from '#core/facts/index';
import { type Minute, toMinute } from '#core/units/index';
import type { Coat, History } from './history.ts';

/** Work that an inspection has sent back: where it goes on again, and what of the log no longer counts (trade §2). */

export type SentBack = {
  readonly at: Minute;
  readonly to: 'strip' | 'surface' | 'layer';
  readonly layerId: string;
  readonly reason: string;
  /** How often this part has been sent back so far. */
  readonly times: number;
};

/** Keys of work done again are numbered past those of the first time. */
const NEXT_TIME = 1000;

/** Stages of a part that come before its surface is made ready. */
const BEFORE_SURFACE: readonly WorkStage[] = ['material-test', 'wash', 'reference', 'test-patch', 'strip', 'strip-on', 'strip-off'];
/** Stages that belong to one layer. */
const OF_A_LAYER: readonly WorkStage[] = ['scrap-test', 'mask', 'mix', 'promoter', 'coat', 'unmask', 'flat', 'rinse', 'age'];

/** The newest sending back of a part, by an inspection or begun over a window that had shut; null where none stands. */
export function sentBackOf(piece: Piece, part: Part, history: Pick<History, 'ofPiece' | 'doneOf'>): SentBack | null {
  const inspected = inspectedBack(piece, part, history);
  const [times, at] = begunAgain(piece, part, history);
  if (at === null || times <= (inspected?.times ?? 0)) return inspected;
  return { at, to: 'strip', layerId: part.layers[0]?.id ?? '', reason: 'its window had shut', times };
}

/** The same part stripped and begun again, because a window shut for good at a moment. */
export function strippedSince(at: Minute, layerId: string, reason: string, before: SentBack | null): SentBack {
  return { at, to: 'strip', layerId, reason, times: (before?.times ?? 0) + 1 };
}

/** The highest attempt at which the log has a part washed or stripped, and when that was begun. */
function begunAgain(piece: Piece, part: Part, { doneOf }: Pick<History, 'doneOf'>): [times: number, at: Minute | null] {
  const prefix = `${piece.id}.${part.id}.`;
  let [times, first]: [number, Minute | null] = [0, null];
  for (const [key, { at }] of doneOf(piece.id, part.id)) {
    // Coats are laid again after any sending back; washed and stripped again is a part only where all is begun again.
    if (!BEFORE_SURFACE.some((stage) => key.startsWith(`${prefix}${stage}.`))) continue;
    const attempt = attemptIn(key);
    if (attempt > times || (attempt === times && first !== null && at < first)) [times, first] = [attempt, at];
  }
  return [times, times === 0 ? null : first];
}

/** How often the work of a key had been sent back before. */
function attemptIn(key: string): number {
  const number = Number(/\.(\d+)(?:\.back)?$/.exec(key)?.[1] ?? 1);
  return Math.floor(number / NEXT_TIME);
}

function inspectedBack(piece: Piece, part: Part, history: Pick<History, 'ofPiece'>): SentBack | null {
  const back = history
    .ofPiece(piece.id)
    .filter(
      (event): event is EventOf<'inspected'> =>
        event.kind === 'inspected' && event.outcome === 'sent-back' && event.partIds.includes(part.id),
    );
  const last = back.at(-1);
  if (!last) return null;
  return { at: toMinute(last.at), to: last.backTo ?? 'layer', layerId: last.layerId, reason: last.reason, times: back.length };
}

/** What is added to the number of a step's key so that work done again is another step. */
export function attemptOf(sentBack: SentBack | null, stage: WorkStage, subject: string): number {
  if (!sentBack) return 0;
  const again = sentBack.times * NEXT_TIME;
  if (sentBack.to === 'strip') return again;
  if (sentBack.to === 'surface') return BEFORE_SURFACE.includes(stage) ? 0 : again;
  return OF_A_LAYER.includes(stage) && subject === sentBack.layerId ? again : 0;
}

/**
 * The coats of a zone that still count, metal first: what was stripped off no more; what is laid again over a surface made ready
 * lies on the old coats, each a film of its own.
 */
export function coatsThatCount(coats: readonly Coat[], sentBack: SentBack | null): Coat[] {
  if (!sentBack) return [...coats];
  if (sentBack.to === 'strip') return coats.filter((coat) => coat.at > sentBack.at);
  const again = (coat: Coat) => coat.at <= sentBack.at && (sentBack.to === 'surface' || coat.layerId === sentBack.layerId);
  return coats.map((coat) => (again(coat) ? { ...coat, layerId: `${coat.layerId}-before` } : coat));
}

/** The part as the work meets it again: what lies on it is the person's own coat. */
export function partSentBack(part: Part, sentBack: SentBack | null): Part {
  if (!sentBack || sentBack.to === 'layer') return part;
  return { ...part, finish: 'sound', oldPaint: 'own-coat', ...(sentBack.to === 'surface' ? { stripMethod: 'scuff' as const } : {}) };
}
