import type { Piece } from '#core/facts/index';
import { DAY, type Minute, toMinute } from '#core/units/index';

/** Needed soonest first, then as entered. */
export function byUrgency(a: Piece, b: Piece): number {
  return (a.neededBy ?? '9999').localeCompare(b.neededBy ?? '9999') || a.createdAt.localeCompare(b.createdAt) || a.id.localeCompare(b.id);
}

/** A day it is needed by puts a piece before others where both could begin; within a week, well before. */
export function pressure(piece: Piece, now: Minute): number {
  if (piece.neededBy === undefined) return 0;
  return toMinute(`${piece.neededBy}T12:00:00Z`) - now < 7 * DAY ? -200 : -10;
}
