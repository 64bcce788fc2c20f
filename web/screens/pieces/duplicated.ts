import type { Piece } from '#core/facts/index';
import { toIso } from '#core/units/index';

/** The same piece again with ids and tags of its own, nothing done to it yet. */
export function duplicated(piece: Piece, newId: () => string, pegsTaken: readonly number[]): Piece {
  const taken = new Set(pegsTaken);
  const freePeg = (): number[] => {
    for (let peg = 1; peg <= 40; peg++) {
      if (taken.has(peg)) continue;
      taken.add(peg);
      return [peg];
    }
    return [];
  };
  const name = `${piece.name}, again`.slice(0, 80);
  return {
    ...piece,
    id: newId(),
    name,
    createdAt: toIso(Date.now() / 60_000),
    finished: false,
    parcels: [],
    guesses: [],
    parts: piece.parts.map((part) => {
      const zoneIds = new Map(part.zones.map((zone) => [zone.id, newId()]));
      const zone = (id: string) => zoneIds.get(id) ?? id;
      return {
        ...part,
        id: newId(),
        pegs: freePeg(),
        colourOrder: undefined,
        zones: part.zones.map((own) => ({ ...own, id: zone(own.id) })),
        faces: part.faces.map((face) => ({ ...face, id: newId(), zoneId: zone(face.zoneId) })),
        edges: part.edges.map((edge) => ({ ...edge, a: zone(edge.a), b: zone(edge.b) })),
        layers: part.layers.map((layer) => ({ ...layer, id: newId(), covers: layer.covers === 'all' ? 'all' : layer.covers.map(zone) })),
      };
    }),
  };
}
