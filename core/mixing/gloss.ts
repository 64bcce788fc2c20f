import { DROP_ML, type Portion } from '#core/colour/index';
import { glossOf } from '#core/coats/index';
import type { BenchPaint } from './ranges.ts';

/** A flat paint takes the gloss out of a mix faster than its share: its flattener stands out of the film. */

/**
 * Gloss units a mix dries to: the geometric mean of its paints by volume, so that a tenth of a flat paint (10) takes a gloss (85) to
 * a good two thirds. A rule of this program, to be tried on a card.
 */
export function mixedGloss(portions: readonly Portion[], paints: readonly BenchPaint[]): number {
  const own = portions.flatMap(({ id, drops }) => {
    const paint = paints.find((candidate) => candidate.id === id);
    return paint ? [{ gloss: glossOfPaint(paint), ml: drops * DROP_ML }] : [];
  });
  const whole = own.reduce((sum, { ml }) => sum + ml, 0);
  if (whole <= 0) throw new RangeError('Nothing is in the cup: give at least one paint an amount.');
  return Math.exp(own.reduce((sum, { gloss, ml }) => sum + (ml / whole) * Math.log(Math.max(1, gloss)), 0));
}

/** The paint that brings the gloss down, and from what; null where all dry alike. */
export function flattenedBy(
  portions: readonly Portion[],
  paints: readonly BenchPaint[],
): { readonly flat: BenchPaint; readonly from: number; readonly to: number } | null {
  const own = portions.flatMap(({ id, drops }) => {
    const paint = paints.find((candidate) => candidate.id === id);
    return paint ? [{ paint, drops }] : [];
  });
  if (own.length < 2) return null;
  const main = own.reduce((most, one) => (one.drops > most.drops ? one : most)).paint;
  const flat = own.reduce((least, one) => (glossOfPaint(one.paint) < glossOfPaint(least.paint) ? one : least)).paint;
  const [from, to] = [glossOfPaint(main), mixedGloss(portions, paints)];
  return flat !== main && from - to >= SEEN_LESS ? { flat, from, to } : null;
}

/** Gloss units less that an eye sees. */
const SEEN_LESS = 5;

function glossOfPaint({ product, sheet }: BenchPaint): number {
  return product.gloss ?? glossOf(sheet.family, sheet.role, sheet.label).gloss;
}
