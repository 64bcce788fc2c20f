import type { Face, Part } from '#core/facts/index';

/** Faces of a part in mm², mm and how they spread over its copies. */

/** Area of some faces of one copy, mm². */
export function areaMm2(faces: readonly Pick<Face, 'longMm' | 'shortMm' | 'count'>[]): number {
  return faces.reduce((sum, face) => sum + face.longMm * face.shortMm * face.count, 0);
}

/** Faces of the zones named, counted over copies; bare zones get no paint. */
export function paintedFaces(part: Part, covers: 'all' | readonly string[]): { longMm: number; shortMm: number; count: number }[] {
  const bare = new Set(part.zones.filter((zone) => zone.bare !== undefined).map((zone) => zone.id));
  return part.faces
    .filter((face) => !bare.has(face.zoneId) && (covers === 'all' || covers.includes(face.zoneId)))
    .map((face) => ({
      longMm: Math.max(face.longMm, face.shortMm),
      shortMm: Math.min(face.longMm, face.shortMm),
      count: face.count * part.copies,
    }));
}

/** Area of a whole part with all its copies, cm². */
export function partAreaCm2(part: Part): number {
  return (areaMm2(part.faces) * part.copies) / 100;
}

/** A body of this length as five faces L × 0.4 L (BRIEF §7). */
export function bodyOfLength(longestMm: number): { longMm: number; shortMm: number; count: number } {
  return { longMm: longestMm, shortMm: longestMm * 0.4, count: 5 };
}

/** A wire cage's surface as one long strip: wire length × π × diameter. */
export function wireCage(wireMm: number, diameterMm: number): { longMm: number; shortMm: number; count: number } {
  const circumference = Math.PI * diameterMm;
  const count = Math.max(1, Math.ceil(wireMm / 2000));
  return { longMm: wireMm / count, shortMm: circumference, count };
}

/** Faces made larger or smaller by a factor, to a tenth of a millimetre, within what a face may measure. */
export function scaledFaces(faces: readonly Face[], factor: number): Face[] {
  const scaled = (mm: number) => Math.min(5000, Math.max(0.1, Math.round(mm * factor * 10) / 10));
  return faces.map((face) => ({ ...face, longMm: scaled(face.longMm), shortMm: scaled(face.shortMm) }));
}
