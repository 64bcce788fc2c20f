import type { Face, Part } from '#core/facts/index';

/** Faces of a part in mm², mm and how they spread over its copies. */

type Measured = Pick<Face, 'longMm' | 'shortMm' | 'count' | 'holes'>;

/** Area of one such face, mm²: the sheet less its holes, and the hole walls that are painted from this side. */
export function faceAreaMm2(face: Measured): number {
  const sheet = face.longMm * face.shortMm;
  if (!face.holes) return sheet;
  const { count, acrossMm, wallMm } = face.holes;
  return sheet - (count * Math.PI * acrossMm ** 2) / 4 + count * Math.PI * acrossMm * wallMm;
}

/** Area of some faces of one copy, mm². */
export function areaMm2(faces: readonly Measured[]): number {
  return faces.reduce((sum, face) => sum + faceAreaMm2(face) * face.count, 0);
}

/** A face as the paint meets it: outer size for the sweeps, true area for the film. */
export type PaintedFace = {
  readonly longMm: number;
  readonly shortMm: number;
  readonly count: number;
  readonly areaMm2: number;
  readonly angles?: number;
};

/** Holes are sprayed at a slant from two sides, or their walls stay bare. Wire is reckoned by its own length and is swept twice as it is. */
const THROUGH_HOLES = 2;

/** Faces of the zones named, counted over copies; bare zones get no paint. */
export function paintedFaces(part: Part, covers: 'all' | readonly string[]): PaintedFace[] {
  const bare = new Set(part.zones.filter((zone) => zone.bare !== undefined).map((zone) => zone.id));
  return part.faces
    .filter((face) => !bare.has(face.zoneId) && (covers === 'all' || covers.includes(face.zoneId)))
    .map((face) => ({
      longMm: Math.max(face.longMm, face.shortMm),
      shortMm: Math.min(face.longMm, face.shortMm),
      count: face.count * part.copies,
      areaMm2: faceAreaMm2(face),
      ...(face.holes ? { angles: THROUGH_HOLES } : {}),
    }));
}

/** Area of a whole part with all its copies, cm². */
export function partAreaCm2(part: Part): number {
  return (areaMm2(part.faces) * part.copies) / 100;
}

/** A part with holes through it keeps old paint inside each one. */
export function isPerforated(part: Part): boolean {
  return part.faces.some((face) => face.holes !== undefined);
}

/** Faces made larger or smaller by a factor, to a tenth of a millimetre, within what a face may measure. */
export function scaledFaces(faces: readonly Face[], factor: number): Face[] {
  const scaled = (mm: number) => Math.min(5000, Math.max(0.1, Math.round(mm * factor * 10) / 10));
  return faces.map((face) => ({
    ...face,
    longMm: scaled(face.longMm),
    shortMm: scaled(face.shortMm),
    ...(face.holes ? { holes: { ...face.holes, acrossMm: scaled(face.holes.acrossMm) } } : {}),
  }));
}
