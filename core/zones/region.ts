import type { Face, Zone } from '#core/facts/index';
import { areaMm2 } from '#core/survey/index';

/** A stretch of a part while it is being divided: its faces, and how far it reaches round, up and along. */
export type Region = {
  readonly zone: Zone;
  readonly faces: readonly Face[];
  /** Lengths of the stretches a level line through it is made of, mm: four round a body, one or two across a sheet. */
  readonly sides: readonly number[];
  readonly tallMm: number;
  /** Length of a line across it, all the way round where it goes round, mm. */
  readonly girthMm: number;
};

/** As many flat faces as this, or fewer, are a sheet and no body. */
const SHEET_FACES = 2;

/** A measured zone as a region: a sheet; a box known by its roof; else a body as deep as it is tall. */
export function rootRegion(zone: Zone, faces: readonly Face[]): Region {
  const [long, short] = [Math.max, Math.min].map((pick) => Math.max(0, ...faces.map((face) => pick(face.longMm, face.shortMm))));
  const count = faces.reduce((sum, face) => sum + face.count, 0);
  if (count <= SHEET_FACES) return { zone, faces, sides: Array.from({ length: count }, () => long), tallMm: short, girthMm: short * count };
  const box = boxOf(faces) ?? { longMm: long, wideMm: short, tallMm: short };
  return {
    zone,
    faces,
    sides: [box.longMm, box.longMm, box.wideMm, box.wideMm],
    tallMm: box.tallMm,
    girthMm: 2 * (box.wideMm + box.tallMm),
  };
}

/** A box by its one roof, whose two sides its walls share; null for other bodies. */
function boxOf(faces: readonly Face[]): { readonly longMm: number; readonly wideMm: number; readonly tallMm: number } | null {
  for (const roof of faces.filter((face) => face.count === 1)) {
    const walls = (side: number) => faces.filter((face) => face !== roof && (face.longMm === side || face.shortMm === side));
    const [longWalls, endWalls] = [walls(roof.longMm), walls(roof.shortMm)];
    const up = (wall: Face, side: number) => (wall.longMm === side ? wall.shortMm : wall.longMm);
    const tall = Math.max(0, ...longWalls.map((wall) => up(wall, roof.longMm)));
    if (endWalls.some((wall) => up(wall, roof.shortMm) === tall)) return { longMm: roof.longMm, wideMm: roof.shortMm, tallMm: tall };
  }
  return null;
}

export function regionArea(region: Region): number {
  return areaMm2(region.faces);
}

/** Length of a level line through it, mm. */
export function aroundMm(region: Region): number {
  return region.sides.reduce((sum, side) => sum + side, 0);
}

export function lengthMm(region: Region): number {
  return Math.max(0, ...region.sides);
}

/** Length of its whole outline, mm: a sheet's four edges, the one open edge of a body. */
export function outlineMm(region: Region): number {
  return region.sides.length <= SHEET_FACES ? region.sides.reduce((sum, side) => sum + 2 * (side + region.tallMm), 0) : aroundMm(region);
}

export function isSeen(region: Region): boolean {
  return region.faces.some((face) => face.seen);
}

/** The region's faces with their area times a share, taken off one side of each. */
export function facesShared(region: Region, share: number, zoneId: string, along: 'longMm' | 'shortMm' = 'shortMm'): Face[] {
  return region.faces.map((face) => ({
    ...face,
    id: `${face.id}.${zoneId}`,
    zoneId,
    [along]: face[along] * share,
    ...(face.holes ? { holes: { ...face.holes, count: face.holes.count * share } } : {}),
  }));
}

/** A band of this width all along the region, mm. */
export function bandFaces(region: Region, widthMm: number, zoneId: string): Face[] {
  return region.sides.map((side, index) => plainFace(`${zoneId}.${index}`, zoneId, side, widthMm, 1, isSeen(region)));
}

export function plainFace(id: string, zoneId: string, a: number, b: number, count: number, seen: boolean): Face {
  return { id, zoneId, longMm: Math.max(a, b), shortMm: Math.min(a, b), count, seen };
}
