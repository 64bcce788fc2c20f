/** Work by hand grows slower than the area: pads, scrapers and papers grow with the piece (trade §12). */

/** What one treatment goes over on one part. */
export type WorkSize = {
  /** Whole area of one copy under the treatment, cm². */
  readonly copyCm2: number;
  readonly copies: number;
  /** Perforation 2, wire and fine relief 1.5, else 1. */
  readonly factor: number;
};

/** Kinds of work that grow with the area each in its own way (trade §12). */
export type WorkKind = 'strip' | 'flat' | 'scuff' | 'wash';

/** Scraping, brushing and sanding to bare; up to so many 100 cm², and above it, where larger blades, pads and tools do it. */
const STRIP_POWER = 0.65;
const STRIP_POWER_ABOVE = 0.45;
const STRIP_KNEE = 32;
const POWERS: Readonly<Record<Exclude<WorkKind, 'strip'>, number>> = { flat: 0.55, scuff: 0.45, wash: 0.35 };
/** What is used up and what is covered by hand grow so. */
const USE_POWER = 0.65;

/** Growth of use with area: (area ÷ 100 cm²)^0.65; nothing for no area. */
export function areaGrowth(cm2: number, unitCm2 = 100): number {
  return cm2 <= 0 ? 0 : (cm2 / unitCm2) ** USE_POWER;
}

/** Growth of a kind of work with the area of one copy, 1 at 100 cm²; nothing for no area (trade §12). */
export function workGrowth(cm2: number, kind: WorkKind): number {
  const area = cm2 / 100;
  if (area <= 0) return 0;
  if (kind !== 'strip') return area ** POWERS[kind];
  return Math.min(area, STRIP_KNEE) ** STRIP_POWER * Math.max(1, area / STRIP_KNEE) ** STRIP_POWER_ABOVE;
}

/** Minutes of a treatment that takes so many on 100 cm²; copies add, the power holds within one copy. */
export function workMinutes(minutesAt100: number, { copyCm2, copies, factor }: WorkSize, kind: WorkKind): number {
  return minutesAt100 * workGrowth(copyCm2, kind) * copies * factor;
}

/** Quarter sheets of one grit before rounding: (area ÷ 250 cm²)^0.65 a copy. Parts add; the sum is rounded up. */
export function quarterSheets({ copyCm2, copies }: WorkSize): number {
  return areaGrowth(copyCm2, 250) * copies;
}
