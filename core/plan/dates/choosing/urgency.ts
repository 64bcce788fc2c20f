import type { Piece } from '#core/facts/index';
import { atLocal, DAY, type Minute, minuteOfDay } from '#core/units/index';

const TURNS = { first: 0, last: 2 } as const;

/** As somebody has said, then needed soonest first, then as entered. */
export function byUrgency(a: Piece, b: Piece): number {
  const turn = ({ turn: own }: Piece) => (own ? TURNS[own] : 1);
  const needed = ({ neededBy, neededAt }: Piece) => `${neededBy ?? '9999'} ${neededAt ?? '24'}`;
  return turn(a) - turn(b) || needed(a).localeCompare(needed(b)) || a.createdAt.localeCompare(b.createdAt) || a.id.localeCompare(b.id);
}

/** The last moment of the day, or the hour, a piece is needed by; null where it is not. */
export function neededMoment({ neededBy, neededAt }: Piece, timeZone: string): Minute | null {
  return neededBy === undefined ? null : atLocal(neededBy, neededAt ? minuteOfDay(neededAt) : END_OF_DAY, timeZone);
}

const END_OF_DAY = 24 * 60 - 1;
/** Minutes a turn is worth beside starting sooner. */
const PRESSURE = { first: -600, last: 600 } as const;

/** A day it is needed by puts a piece before others where both could begin; within a week, well before. */
export function pressure(piece: Piece, now: Minute, timeZone: string): number {
  const turn = piece.turn ? PRESSURE[piece.turn] : 0;
  const needed = neededMoment(piece, timeZone);
  if (needed === null) return turn;
  return turn + (needed - now < 7 * DAY ? -200 : -10);
}
