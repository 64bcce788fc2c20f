import type { Curve, Cut, Face } from '#core/facts/index';
import { areaMm2 } from '#core/survey/index';
import { type Island, islandOf } from './outline.ts';
import { aroundMm, bandFaces, facesShared, isSeen, lengthMm, outlineMm, plainFace, type Region, regionArea } from './region.ts';

/** One zone divided: its new zones with their faces, the line between each two of them, and who inherits its old neighbours. */

export type Side = 'top' | 'bottom' | 'front' | 'rear' | 'outer' | 'inner';

/** A line between two of the new zones, by their place in the cut. */
export type NewLine = {
  readonly a: number;
  readonly aSide: Side;
  readonly b: number;
  readonly bSide: Side;
  readonly mm: number;
  readonly curve: Curve;
  readonly radiusMm?: number;
};

export type CutOpen = {
  readonly regions: readonly Region[];
  readonly lines: readonly NewLine[];
  /** Shares of a neighbour on this side that go to each new zone. */
  readonly heirs: (side: Side) => readonly (readonly [place: number, share: number])[];
};

/** However a part is resized later, no zone shrinks to less than this share of what it was cut from. */
const LEAST_SHARE = 0.005;
const held = (share: number) => Math.min(1 - LEAST_SHARE, Math.max(LEAST_SHARE, share));

/** Half where nobody has said how much. */
const HALF = 0.5;

export function cutOpen(region: Region, cut: Cut): CutOpen {
  const island = islandOf(cut);
  if (island) return cutIsland(region, cut, island);
  switch (cut.how) {
    case 'stripe':
      return cutStripe(region, cut);
    case 'ends':
    case 'sides':
      return cutAcross(region, cut);
    case 'inside':
      return cutInside(region, cut);
    case 'flip':
      return cutFlip(region, cut);
    case 'rim':
      return cutRim(region, cut);
    default:
      return cutLine(region, cut);
  }
}

/** Upper and lower: by a height above the lower edge, or by the lower one's share of the area. */
function cutLine(region: Region, cut: Cut): CutOpen {
  const [upper, lower] = cut.into;
  const { mm } = cut.numbers;
  const share = lowerShare(region, cut);
  const height = mm ?? share * region.tallMm;
  // A height that fits gives a band just so wide; one that was cut down to what is there, a share of every face.
  const isBand = mm !== undefined && share === wholeShare(region, mm);
  const up: Region = {
    ...region,
    zone: upper,
    faces: facesShared(region, 1 - share, upper.id),
    ...scaledUp(region, region.tallMm - height),
  };
  const down: Region = {
    ...region,
    zone: lower,
    faces: isBand ? bandFaces(region, mm, lower.id) : facesShared(region, share, lower.id),
    ...scaledUp(region, height),
  };
  return {
    regions: [up, down],
    lines: [{ a: 0, aSide: 'bottom', b: 1, bSide: 'top', mm: aroundMm(region), curve: 'straight' }],
    heirs: (side) =>
      side === 'top'
        ? [[0, 1]]
        : side === 'bottom'
          ? [[1, 1]]
          : side === 'inner'
            ? [[share > HALF ? 1 : 0, 1]]
            : [
                [0, 1 - share],
                [1, share],
              ],
  };
}

function lowerShare(region: Region, { numbers }: Cut): number {
  return held(numbers.mm === undefined ? (numbers.share ?? HALF) : wholeShare(region, numbers.mm));
}

/** Share of the region's area that a band so wide has. */
function wholeShare(region: Region, mm: number): number {
  return (mm * aroundMm(region)) / Math.max(1e-9, regionArea(region));
}

function scaledUp(region: Region, tallMm: number): Pick<Region, 'tallMm' | 'girthMm'> {
  const tall = Math.max(0, tallMm);
  return { tallMm: tall, girthMm: region.tallMm > 0 ? (region.girthMm * tall) / region.tallMm : 0 };
}

/** Above, stripe and below; without a height the stripe runs through the middle. */
function cutStripe(region: Region, cut: Cut): CutOpen {
  const [above, stripe, below] = cut.into;
  const { mm = 1, fromMm = Math.max(0, (region.tallMm - mm) / 2) } = cut.numbers;
  const perMm = aroundMm(region) / Math.max(1e-9, regionArea(region));
  const wide = Math.min(1 - 2 * LEAST_SHARE, Math.max(LEAST_SHARE, mm * perMm));
  const low = Math.min(1 - wide - LEAST_SHARE, Math.max(LEAST_SHARE, fromMm * perMm));
  const high = 1 - wide - low;
  const exact = wide === mm * perMm;
  const part = (zone: (typeof cut.into)[number], share: number, tallMm: number): Region => ({
    ...region,
    zone,
    faces: facesShared(region, share, zone.id),
    ...scaledUp(region, tallMm),
  });
  const lines = ([0, 1] as const).map(
    (a): NewLine => ({ a, aSide: 'bottom', b: a + 1, bSide: 'top', mm: aroundMm(region), curve: 'straight' }),
  );
  return {
    regions: [
      part(above, high, region.tallMm - mm - fromMm),
      { ...part(stripe, wide, mm), ...(exact ? { faces: bandFaces(region, mm, stripe.id) } : {}) },
      part(below, low, fromMm),
    ],
    lines,
    heirs: (side) =>
      side === 'top'
        ? [[0, 1]]
        : side === 'bottom'
          ? [[2, 1]]
          : side === 'inner'
            ? [[low > high ? 2 : 0, 1]]
            : [
                [0, high],
                [1, wide],
                [2, low],
              ],
  };
}

/** Front and rear, or left and right: the second by its length or its share. */
function cutAcross(region: Region, cut: Cut): CutOpen {
  const [first, second] = cut.into;
  const lengthways = cut.how === 'ends';
  const whole = lengthways ? lengthMm(region) : region.tallMm;
  const share = held(cut.numbers.mm === undefined ? (cut.numbers.share ?? HALF) : cut.numbers.mm / Math.max(1e-9, whole));
  const along = lengthways ? 'longMm' : 'shortMm';
  const part = (zone: typeof first, own: number): Region => ({
    ...region,
    zone,
    faces: facesShared(region, own, zone.id, along),
    sides: region.sides.map((side) => side * own),
    ...(lengthways ? {} : { girthMm: region.girthMm * own }),
  });
  return {
    regions: [part(first, 1 - share), part(second, share)],
    lines: [{ a: 0, aSide: 'rear', b: 1, bSide: 'front', mm: lengthways ? region.girthMm : lengthMm(region), curve: 'straight' }],
    heirs: (side) =>
      side === 'front'
        ? [[0, 1]]
        : side === 'rear'
          ? [[1, 1]]
          : side === 'inner'
            ? [[share > HALF ? 1 : 0, 1]]
            : [
                [0, 1 - share],
                [1, share],
              ],
  };
}

/** Outside and inside: by which faces are seen where that tells them apart, else by share. */
function cutInside(region: Region, cut: Cut): CutOpen {
  const [outside, inside] = cut.into;
  const told = region.faces.some((face) => face.seen) && region.faces.some((face) => !face.seen);
  const share = held(cut.numbers.share ?? HALF);
  const faces = (zoneId: string, seen: boolean) =>
    told
      ? region.faces.filter((face) => face.seen === seen).map((face) => ({ ...face, id: `${face.id}.${zoneId}`, zoneId }))
      : facesShared(region, seen ? 1 - share : share, zoneId).map((face) => ({ ...face, seen }));
  return {
    regions: [
      { ...region, zone: outside, faces: faces(outside.id, true) },
      { ...region, zone: inside, faces: faces(inside.id, false) },
    ],
    lines: [{ a: 0, aSide: 'inner', b: 1, bSide: 'outer', mm: aroundMm(region), curve: 'straight' }],
    heirs: () => [[0, 1]],
  };
}

/**
 * Two positions of one part: the side that is seen, and the one sprayed first and lain on. Told by which faces are seen, else half
 * of each kind; no line runs between them, for they are never sprayed from one side.
 */
function cutFlip(region: Region, cut: Cut): CutOpen {
  const [upper, back] = cut.into;
  const told = region.faces.some((face) => face.seen) && region.faces.some((face) => !face.seen);
  const paired = region.faces.every(({ count }) => count % 2 === 0);
  const faces = (zoneId: string, seen: boolean): Face[] => {
    if (told) return region.faces.filter((face) => face.seen === seen).map((face) => ({ ...face, id: `${face.id}.${zoneId}`, zoneId }));
    if (!paired) return facesShared(region, HALF, zoneId);
    return region.faces.map((face) => ({ ...face, id: `${face.id}.${zoneId}`, zoneId, count: face.count / 2 }));
  };
  const share = told ? areaMm2(region.faces.filter(({ seen }) => seen)) / Math.max(1e-9, regionArea(region)) : HALF;
  const side = (zone: typeof upper, own: number, seen: boolean): Region => ({
    ...region,
    zone,
    faces: faces(zone.id, seen),
    sides: region.sides.length === 2 ? region.sides.slice(1) : region.sides.map((mm) => mm * own),
    girthMm: region.girthMm * own,
  });
  return {
    regions: [side(upper, share, true), side(back, 1 - share, false)],
    lines: [],
    heirs: () => [
      [0, share],
      [1, 1 - share],
    ],
  };
}

/** What is left, and the islands that lie in it. */
function cutIsland(region: Region, cut: Cut, island: Island): CutOpen {
  const [rest, own] = cut.into;
  const share = held((island.areaMm2 * island.count) / Math.max(1e-9, regionArea(region)));
  const exact = share * regionArea(region);
  const each = exact / island.count;
  const long = Math.max(1e-6, island.longMm);
  return {
    regions: [
      { ...region, zone: rest, faces: facesShared(region, 1 - share, rest.id) },
      {
        zone: own,
        // As long as it is, and as wide as gives its area.
        faces: [plainFace(`${own.id}.0`, own.id, long, each / long, island.count, isSeen(region))],
        sides: Array.from({ length: Math.min(2, island.count) }, () => (long * island.count) / Math.min(2, island.count)),
        tallMm: island.shortMm,
        girthMm: island.shortMm * island.count,
      },
    ],
    lines: [
      {
        a: 0,
        aSide: 'inner',
        b: 1,
        bSide: 'outer',
        mm: island.outlineMm * island.count,
        curve: island.curve,
        ...(island.radiusMm ? { radiusMm: island.radiusMm } : {}),
      },
    ],
    heirs: () => [[0, 1]],
  };
}

/** What lies within, and the rim of so many mm all along its outline: neighbours meet the rim. */
function cutRim(region: Region, cut: Cut): CutOpen {
  const [within, rim] = cut.into;
  const { mm = 1 } = cut.numbers;
  const share = held((outlineMm(region) * mm) / Math.max(1e-9, regionArea(region)));
  return {
    regions: [
      { ...region, zone: within, faces: facesShared(region, 1 - share, within.id) },
      { ...region, zone: rim, faces: facesShared(region, share, rim.id), tallMm: mm, girthMm: 2 * mm },
    ],
    lines: [{ a: 0, aSide: 'outer', b: 1, bSide: 'inner', mm: outlineMm(region), curve: isRound(region) ? 'gentle' : 'straight' }],
    heirs: (side) => [[side === 'inner' ? 0 : 1, 1]],
  };
}

/** A disc is kept as a square of its area; a sheet that is longer than wide has straight edges. */
function isRound({ sides, tallMm }: Region): boolean {
  return sides.length <= 2 && Math.abs(Math.max(...sides) - tallMm) < 0.02 * tallMm;
}
