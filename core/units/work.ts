/** Work by hand grows slower than the area: pads, scrapers and papers grow with the piece (trade §12). */

/** What one treatment goes over on one part. */
export type WorkSize = {
  /** Whole area of one copy under the treatment, cm². */
  readonly copyCm2: number;
  readonly copies: number;
  /** Perforation 2, wire and fine relief 1.5, else 1. */
  readonly factor: number;
};

const POWER = 0.65;

/** Growth of work with area: (area ÷ 100 cm²)^0.65; nothing for no area. */
export function areaGrowth(cm2: number, unitCm2 = 100): number {
  return cm2 <= 0 ? 0 : (cm2 / unitCm2) ** POWER;
}

/** Minutes of a treatment that takes so many on 100 cm²; copies add, the power holds within one copy. */
export function workMinutes(minutesAt100: number, { copyCm2, copies, factor }: WorkSize): number {
  return minutesAt100 * areaGrowth(copyCm2) * copies * factor;
}

/** Quarter sheets of one grit before rounding: (area ÷ 250 cm²)^0.65 a copy. Parts add; the sum is rounded up. */
export function quarterSheets({ copyCm2, copies }: WorkSize): number {
  return areaGrowth(copyCm2, 250) * copies;
}
