import type { EventOf, Fastening, Part, Piece } from '#core/facts/index';
import type { History } from '../films/index.ts';

/** A piece as the log has left it: what inspections and teardown have decided is put into its parts before any step is made. */

export type Outcomes = {
  readonly piece: Piece;
  /** Fastenings that broke: they are glued or bought anew. */
  readonly broken: readonly Fastening[];
};

export function withOutcomes(piece: Piece, history: Pick<History, 'ofPiece'>): Outcomes {
  const ended = endOfFastenings(piece, history);
  const parts = piece.parts.map((part) => stayedOn(withMoreCoats(part, piece, history), piece, ended));
  const broken = (piece.fastenings ?? []).filter((fastening) => ended.get(fastening.id) === 'broke');
  return { piece: { ...piece, parts }, broken };
}

type End = EventOf<'parted'>['outcome'];

/** How each fastening ended at teardown, the newest word first. */
function endOfFastenings(piece: Piece, { ofPiece }: Pick<History, 'ofPiece'>): ReadonlyMap<string, End> {
  return new Map(ofPiece(piece.id).flatMap((event) => (event.kind === 'parted' ? [[event.fasteningId, event.outcome] as const] : [])));
}

/** "One more coat" at an inspection adds one to the layer on these parts. */
function withMoreCoats(part: Part, piece: Piece, { ofPiece }: Pick<History, 'ofPiece'>): Part {
  const more = new Map<string, number>();
  for (const event of ofPiece(piece.id)) {
    if (event.kind !== 'inspected' || event.outcome !== 'one-more' || !event.partIds.includes(part.id)) continue;
    more.set(event.layerId, (more.get(event.layerId) ?? 0) + 1);
  }
  if (more.size === 0) return part;
  return { ...part, layers: part.layers.map((layer) => ({ ...layer, coats: Math.min(12, layer.coats + (more.get(layer.id) ?? 0)) })) };
}

/**
 * A part that would not come off, or was left, stays where it is: bare of paint it is masked in place, painted it is brushed there
 * (trade §2).
 */
function stayedOn(part: Part, piece: Piece, ended: ReadonlyMap<string, End>): Part {
  const held = (piece.fastenings ?? []).find(({ id, a }) => a === part.id && (ended.get(id) === 'would-not' || ended.get(id) === 'left'));
  if (!held) return part;
  const painted = part.layers.length > 0 && part.zones.some((zone) => zone.bare === undefined);
  if (!painted) return { ...part, maskedInPlace: true, ...(held.b ? { within: held.b } : {}) };
  return { ...part, layers: part.layers.map((layer) => ({ ...layer, hand: 'brush' as const })) };
}

/** Zones without coat or reason: nobody has decided on them. A part that is not planned has none. */
export function undecidedZones(part: Part): Part['zones'] {
  const covered = (zoneId: string) => part.layers.some((layer) => layer.covers === 'all' || layer.covers.includes(zoneId));
  return part.zones.filter((zone) => zone.bare === undefined && !covered(zone.id));
}
