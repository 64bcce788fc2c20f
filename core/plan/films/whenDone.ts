import { type DoneEvent, type LogEvent, type Piece, standingEvents } from '#core/facts/index';
import { type Minute, toMinute } from '#core/units/index';

/** Longest that work may lie back, minutes: beyond it a year was mistyped. */
const LONGEST_BACK = 10 * 366 * 1440;

/**
 * Why something cannot have been done at that moment, or null where it can: to come, ages ago, a coat before the film
 * it lies on or after the one above it.
 * @param event the entry as it stands or would stand, its own time not looked at
 */
export function whenRefused(event: DoneEvent, at: Minute, piece: Piece, events: readonly LogEvent[], now: Minute): string | null {
  if (!Number.isFinite(at)) return 'Say the day and the hour.';
  // Typed times carry no seconds: the running minute is not the future.
  if (at > now + 1) return 'That is still to come: only what has been done stands in the log.';
  if (at < now - LONGEST_BACK) return 'That is more than ten years ago. Is the year right?';
  const own = placeOf(event, piece);
  if (own === null) return null;
  for (const other of standingEvents(events)) {
    if (other.kind !== 'done' || other.id === event.id || !sharesZone(event, other)) continue;
    const place = placeOf(other, piece);
    if (place === null || place === own) continue;
    if (place < own && toMinute(other.at) > at)
      return `${other.coat?.name ?? 'The film'} below it went on later than that: correct that first.`;
    if (place > own && toMinute(other.at) < at)
      return `${other.coat?.name ?? 'The film'} above it went on sooner than that: correct that first.`;
  }
  return null;
}

/** Where a coat lies in the order of its part's coats; null for what is no coat of the piece as it is planned. */
function placeOf(event: DoneEvent, piece: Piece): number | null {
  if (!event.coat || event.pieceId !== piece.id) return null;
  const { layerId } = event.coat;
  const part = piece.parts.find((own) => own.layers.some((layer) => layer.id === layerId));
  if (!part) return null;
  const number = Number(event.stepKeys[0].split('.')[4]);
  return part.layers.findIndex((layer) => layer.id === layerId) * 100 + number;
}

function sharesZone(a: DoneEvent, b: DoneEvent): boolean {
  return a.on.some((one) =>
    b.on.some((other) => one.partId === other.partId && one.zoneIds.some((zoneId) => other.zoneIds.includes(zoneId))),
  );
}
