import type { Face, Part } from '#core/facts/index';
import { areaMm2 } from './area.ts';
import type { ShapeFace } from './shapes.ts';

/** Shortest side a face may have, mm: below it nothing is drawn or painted. */
const SHORTEST_MM = 0.1;

/** A part with new faces: each of its zones keeps the share of the area it had, and stays seen or hidden as it was. */
export function resized(part: Part, shape: readonly ShapeFace[], newId: () => string): Pick<Part, 'faces' | 'edges'> {
  const total = areaMm2(part.faces);
  const before = Math.max(...part.faces.map((face) => face.longMm));
  const after = Math.max(...shape.map((face) => face.longMm));
  const faces = part.zones.flatMap((zone): Face[] => {
    const own = part.faces.filter((face) => face.zoneId === zone.id);
    const share = areaMm2(own) / total;
    if (share === 0) return [];
    const seen = own.some((face) => face.seen);
    return shape.map(({ hidden, ...face }) => ({
      ...face,
      id: newId(),
      zoneId: zone.id,
      seen: seen && !hidden,
      shortMm: Math.max(SHORTEST_MM, face.shortMm * share),
    }));
  });
  return { faces, edges: part.edges.map((edge) => ({ ...edge, mm: Math.min(5000, Math.max(1, Math.round(edge.mm * (after / before)))) })) };
}
