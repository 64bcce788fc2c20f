import type { Facts, LogEvent, Piece } from '#core/facts/index';

/** What the shelf has to do with: it stays as it is. */
const OF_THE_SHELF: readonly LogEvent['kind'][] = ['bought', 'mixed', 'spoiled'];

/** The next one like a piece: the same parts and layers, nothing done to it yet, by itself on the bench. */
export function nextLikeIt(piece: Piece, facts: Facts): Facts {
  const { finished: _finished, held: _held, neededBy: _neededBy, neededAt: _neededAt, touchUps: _touchUps, ...rest } = piece;
  const next: Piece = {
    ...rest,
    finished: false,
    parcels: piece.parcels.map(({ orderedAt: _orderedAt, due: _due, ...parcel }) => ({ ...parcel, arrived: false })),
  };
  const events = facts.events.filter((event) => !('pieceId' in event) || event.pieceId !== piece.id || OF_THE_SHELF.includes(event.kind));
  return { ...facts, pieces: [next], events, agreed: [] };
}
