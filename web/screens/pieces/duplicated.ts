import type { Part, Piece } from '#core/facts/index';
import { toIso } from '#core/units/index';

/** The same part again with ids of its own, on no peg yet. */
export function duplicatedPart(part: Part, newId: () => string): Part {
  const zoneIds = new Map(part.zones.map((zone) => [zone.id, newId()]));
  const zone = (id: string) => zoneIds.get(id) ?? id;
  return {
    ...part,
    id: newId(),
    pegs: [],
    colourOrder: undefined,
    zones: part.zones.map((own) => ({ ...own, id: zone(own.id) })),
    faces: part.faces.map((face) => ({ ...face, id: newId(), zoneId: zone(face.zoneId) })),
    edges: part.edges.map((edge) => ({ ...edge, a: zone(edge.a), b: zone(edge.b) })),
    layers: part.layers.map((layer) => ({ ...layer, id: newId(), covers: layer.covers === 'all' ? 'all' : layer.covers.map(zone) })),
  };
}

/** The same piece again with ids and tags of its own: nothing done to it, nothing ordered for it, no spares in its box. */
export function duplicated(piece: Piece, newId: () => string, pegsTaken: readonly number[]): Piece {
  const free = Array.from({ length: 40 }, (_, index) => index + 1).filter((peg) => !pegsTaken.includes(peg));
  const parts = piece.parts.map((part, index) => ({ ...duplicatedPart(part, newId), pegs: free.slice(index, index + 1) }));
  const own = new Map(piece.parts.map((part, index) => [part.id, parts[index].id]));
  const { pictures: _pictures, bags: _bags, fitOrder: _order, spares: _spares, ...kept } = piece;
  return {
    ...kept,
    id: newId(),
    name: `${piece.name}, again`.slice(0, 80),
    createdAt: toIso(Date.now() / 60_000),
    finished: false,
    parcels: piece.parcels.map(({ orderedAt: _ordered, due: _due, holds, ...parcel }) => ({
      ...parcel,
      id: newId(),
      arrived: false,
      ...(holds ? { holds: { ...holds, ...(holds.partId ? { partId: own.get(holds.partId) ?? holds.partId } : {}) } } : {}),
    })),
    guesses: [],
    parts: parts.map((part) => ({
      ...part,
      ...(part.within ? { within: own.get(part.within) } : {}),
      marks: part.marks?.map(({ pin: _pin, ...mark }) => ({ ...mark, id: newId() })),
    })),
    fastenings: piece.fastenings?.map((fastening) => ({
      ...fastening,
      id: newId(),
      a: own.get(fastening.a) ?? fastening.a,
      ...(fastening.b ? { b: own.get(fastening.b) } : {}),
      ...(fastening.behind ? { behind: own.get(fastening.behind) } : {}),
    })),
  };
}
