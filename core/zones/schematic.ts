import type { Cut, MaskShape, Part } from '#core/facts/index';
import { islandOf } from './outline.ts';

/** A part drawn from the side, zone by zone, in a frame of 1 by 1: what lies in another comes after it. */

export type DrawnZone = {
  /** Its place in the drawing. */
  readonly key: string;
  readonly zoneId: string;
  readonly shape: 'area' | 'frame' | MaskShape;
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly tall: number;
};

type Frame = Pick<DrawnZone, 'x' | 'y' | 'wide' | 'tall'>;

/** Thinner than this nothing can be seen or pressed. */
const THINNEST = 0.05;
/** Islands drawn at most: more are told by their count. */
const MOST_DRAWN = 24;

export function schematic(part: Part, shareOf: (zoneId: string) => number): DrawnZone[] {
  const cutOf = new Map((part.cuts ?? []).filter((cut) => cut.merged !== true).map((cut) => [cut.of, cut] as const));
  const draw: Draw = (zoneId, frame, shape = 'area') => {
    const cut = cutOf.get(zoneId);
    return cut ? drawCut(cut, frame, draw, shareOf) : [{ key: `${zoneId} ${frame.x} ${frame.y}`, zoneId, shape, ...frame }];
  };
  const roots = part.zones;
  const heights = shared(roots.map((zone) => shareOf(zone.id)));
  return roots.flatMap((zone, index) => draw(zone.id, { x: 0, wide: 1, y: before(heights, index), tall: heights[index] }));
}

type Draw = (zoneId: string, frame: Frame, shape?: DrawnZone['shape']) => DrawnZone[];

function drawCut(cut: Cut, frame: Frame, draw: Draw, shareOf: (zoneId: string) => number): DrawnZone[] {
  const ids = cut.into.map((zone) => zone.id);
  if (islandOf(cut)) return [...draw(ids[0], frame), ...islands(cut, frame, draw)];
  const parts = shared(ids.map(shareOf));
  switch (cut.how) {
    case 'ends':
    case 'sides':
    case 'flip':
      return ids.flatMap((id, index) =>
        draw(id, { ...frame, x: frame.x + before(parts, index) * frame.wide, wide: parts[index] * frame.wide }),
      );
    case 'inside':
      return [
        ...draw(ids[0], frame),
        ...draw(ids[1], { x: frame.x + frame.wide * 0.7, y: frame.y + frame.tall * 0.3, wide: frame.wide * 0.25, tall: frame.tall * 0.4 }),
      ];
    case 'rim': {
      const thick = Math.min(0.12, Math.max(0.03, parts[1] / 4));
      const [dx, dy] = [frame.wide * thick, frame.tall * thick * 1.6];
      const within = { x: frame.x + dx, y: frame.y + dy, wide: frame.wide - 2 * dx, tall: frame.tall - 2 * dy };
      return [...draw(ids[1], frame), ...draw(ids[0], within)];
    }
    default:
      return ids.flatMap((id, index) =>
        draw(id, { ...frame, y: frame.y + before(parts, index) * frame.tall, tall: parts[index] * frame.tall }),
      );
  }
}

/** Shares that add up to one, none too thin to be seen. */
function shared(areas: readonly number[]): number[] {
  const total = areas.reduce((sum, area) => sum + area, 0) || 1;
  const seen = areas.map((area) => Math.max(THINNEST, area / total));
  const sum = seen.reduce((all, share) => all + share, 0);
  return seen.map((share) => share / sum);
}

function before(parts: readonly number[], index: number): number {
  return parts.slice(0, index).reduce((sum, part) => sum + part, 0);
}

/** Islands in rows in the middle of the frame. */
function islands(cut: Cut, frame: Frame, draw: Draw): DrawnZone[] {
  const count = Math.min(MOST_DRAWN, cut.numbers.count ?? 1);
  const columns = Math.ceil(Math.sqrt(count * 3));
  const rows = Math.ceil(count / columns);
  const across = Math.min(columns, count);
  const cell = { wide: (frame.wide * 0.9) / across, tall: (frame.tall * 0.7) / rows };
  const shape = cut.how === 'shapes' ? (cut.numbers.shape ?? 'round') : cut.how === 'feature' ? 'frame' : 'area';
  return Array.from({ length: count }, (_, index) => ({
    x: frame.x + frame.wide * 0.05 + cell.wide * ((index % columns) + 0.15),
    y: frame.y + frame.tall * 0.15 + cell.tall * (Math.floor(index / columns) + 0.1),
    wide: cell.wide * 0.7,
    tall: cell.tall * 0.8,
  })).flatMap((own) => draw(cut.into[1].id, own, shape));
}
