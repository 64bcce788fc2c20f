import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import type { Cut, MaskShape, Part } from '#core/facts/index';
import { shapeOf } from '#core/zones/index';

/** Repeated shapes laid out on tape or film to be cut: identical ones in rows, mixed ones packed; with a spare of each (trade §9). */

/** Between two cuts there must be so much to hold, mm. */
const BETWEEN_MM = 2;
/** Longer than this no template is cut in one go, mm. */
const LONGEST_MM = 3000;

export type Wanted = { readonly id: string; readonly name: string; readonly shape: MaskShape; readonly mm: number; readonly count: number };
export type Laid = {
  readonly id: string;
  readonly shape: MaskShape;
  readonly mm: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly wideMm: number;
  readonly tallMm: number;
  readonly turned: boolean;
};

export type Nest = {
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly laid: readonly Laid[];
  /** Share of the tape between and beside the shapes. */
  readonly waste: number;
};

/** Shapes of one part that are cut as sets, with a spare of each. */
export function shapesToCut(part: Part): Wanted[] {
  return (part.cuts ?? []).flatMap((cut: Cut) =>
    cut.merged !== true && cut.how === 'shapes'
      ? [
          {
            id: cut.id,
            name: cut.into[1].name,
            shape: cut.numbers.shape ?? 'round',
            mm: cut.numbers.longMm ?? 1,
            count: (cut.numbers.count ?? 1) * part.copies + 1,
          },
        ]
      : [],
  );
}

/** A layout on tape so many mm wide, or why there is none. */
export function nested(wanted: readonly Wanted[], widthMm: number): Nest | { readonly refused: string } {
  const wide = wanted.find(({ shape, mm }) => smaller(shape, mm) + 2 * BETWEEN_MM > widthMm);
  if (wide)
    return {
      refused: `${wide.name} is ${Math.round(smaller(wide.shape, wide.mm) * 10) / 10} mm across: it does not fit on tape of ${widthMm} mm. Take a wider film.`,
    };
  const laid = wanted.length === 1 ? inRows(wanted[0], widthMm) : packed(wanted, widthMm);
  const lengthMm = Math.max(0, ...laid.map(({ yMm, tallMm }) => yMm + tallMm)) + BETWEEN_MM;
  if (lengthMm > LONGEST_MM)
    return {
      refused: `That takes ${Math.round(lengthMm / 100) / 10} m of tape in one piece: cut it in several sets, or take a wider film.`,
    };
  const used = laid.reduce((sum, { wideMm, tallMm }) => sum + wideMm * tallMm, 0);
  return { widthMm, lengthMm, laid, waste: lengthMm === 0 ? 0 : 1 - used / (widthMm * lengthMm) };
}

function smaller(shape: MaskShape, mm: number): number {
  return shapeOf(shape, mm).shortMm;
}

/** Rows of one shape, upright or turned, whichever takes less tape: the best there is of such rows. */
function inRows(wanted: Wanted, widthMm: number): Laid[] {
  const { longMm, shortMm } = shapeOf(wanted.shape, wanted.mm);
  const ways = [false, true].flatMap((turned) => {
    const [wide, tall] = turned ? [longMm, shortMm] : [shortMm, longMm];
    const across = Math.floor((widthMm - BETWEEN_MM) / (wide + BETWEEN_MM));
    return across < 1 ? [] : [{ turned, wide, tall, across, length: Math.ceil(wanted.count / across) * (tall + BETWEEN_MM) }];
  });
  const best = ways.reduce((one, other) => (other.length < one.length ? other : one));
  return Array.from({ length: wanted.count }, (_, index) => ({
    id: wanted.id,
    shape: wanted.shape,
    mm: wanted.mm,
    xMm: BETWEEN_MM + (index % best.across) * (best.wide + BETWEEN_MM),
    yMm: BETWEEN_MM + Math.floor(index / best.across) * (best.tall + BETWEEN_MM),
    wideMm: best.wide,
    tallMm: best.tall,
    turned: best.turned,
  }));
}

/** Different shapes together, by a packer of rectangles. */
function packed(wanted: readonly Wanted[], widthMm: number): Laid[] {
  const packer = new MaxRectsPacker(widthMm - BETWEEN_MM, LONGEST_MM * wanted.length, BETWEEN_MM, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: true,
  });
  for (const own of wanted) {
    const { longMm, shortMm } = shapeOf(own.shape, own.mm);
    for (let piece = 0; piece < own.count; piece++) packer.add(shortMm, longMm, own);
  }
  return packer.bins.flatMap((bin, index) =>
    bin.rects.map(({ x, y, width, height, data }) => {
      const own = data as Wanted;
      return {
        id: own.id,
        shape: own.shape,
        mm: own.mm,
        xMm: BETWEEN_MM + x,
        yMm: BETWEEN_MM + y + index * LONGEST_MM,
        wideMm: width,
        tallMm: height,
        turned: width > height,
      };
    }),
  );
}
