import type { Piece } from '#core/facts/index';
import type { PinTried } from '#core/plan/index';
import { counted, listed } from '#core/units/index';

/** What a pin moves and what it breaks, in a sentence or two. */
export function outcomeText(
  { moved, ends, lost }: Pick<PinTried, 'moved' | 'ends' | 'lost'>,
  pieceById: ReadonlyMap<string, Piece>,
  duration: (minutes: number) => string,
): string {
  const ending = ends.map(
    ({ pieceId, later }) => `${pieceById.get(pieceId)?.name ?? ''} ends ${duration(Math.abs(later))} ${later > 0 ? 'later' : 'sooner'}`,
  );
  return [
    moved.own + moved.others === 0 ? 'Nothing else moves.' : '',
    moved.own > 0 ? `${counted(moved.own, 'step')} of it ${moved.own === 1 ? 'goes' : 'go'} to another stay with it.` : '',
    moved.others > 0 ? `${counted(moved.others, 'step')} of other pieces must give way.` : '',
    ending.length > 0 ? `${listed(ending)}.` : '',
    ...lost.slice(0, 2).map(({ title, why }) => `“${title}” loses its date: ${why}.`),
  ]
    .filter(Boolean)
    .join(' ');
}
