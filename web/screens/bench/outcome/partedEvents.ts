import type { EventOf, LogEvent } from '#core/facts/index';
import { toIso } from '#core/units/index';

/** How a fastening ended at teardown. */
export type End = EventOf<'parted'>['outcome'];

/** One event a fastening. */
export function partedEvents(pieceId: string, ends: Readonly<Record<string, End>>, newId: () => string, at: number): LogEvent[] {
  return Object.entries(ends).map(([fasteningId, outcome]) => ({
    id: newId(),
    at: toIso(at),
    kind: 'parted' as const,
    pieceId,
    fasteningId,
    outcome,
  }));
}
