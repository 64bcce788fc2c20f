import { PAINT_DENSITY } from '#core/amounts/index';
import { colourDifference, ingredientOf, mixedLab } from '#core/colour/index';
import type { Lab, Product } from '#core/facts/index';
import type { BenchPaint } from './ranges.ts';

/** A whole bottle or tin tinted by weight: a per cent of tint, and what each comes to (trade §10). */

/** Per cent, by weight, of the paint it goes into. */
export const TINT_STEPS: readonly number[] = [0.5, 1, 1.5, 2, 2.5, 3, 4, 5];
/** Beyond as much again it is no tint any more, per cent. */
export const MOST_TINT_TYPED = 100;
/** Where the label says nothing: more tint than this has too little binder left to hold it. */
const USUAL_MOST = 5;

export type TintRow = {
  readonly percent: number;
  readonly tintG: number;
  readonly tintMl: number;
  readonly lab: Lab;
  /** From the colour wanted; null where none is named. */
  readonly deltaE: number | null;
  /** More than the label of the paint, or usage, allows: the film gets weak. */
  readonly weakens: boolean;
  readonly enough: boolean;
};

/**
 * What each share of tint weighs and comes to.
 * @param baseMl of the paint that is tinted, mL
 * @param percents of that paint's weight, above 0 to MOST_TINT_TYPED
 */
export function tintTable(
  base: BenchPaint,
  tint: BenchPaint,
  baseMl: number,
  target: Lab | null,
  percents: readonly number[] = TINT_STEPS,
): TintRow[] {
  const ingredients = [ingredientOf(base), ingredientOf(tint)];
  const baseG = gramsOf(base.product, baseMl);
  const most = base.sheet.label.tintAtMost ?? USUAL_MOST;
  return percents.map((percent) => {
    const tintG = (baseG * percent) / 100;
    const tintMl = tintG / densityOf(tint.product);
    const lab = mixedLab(ingredients, [baseMl, tintMl]);
    return {
      percent,
      tintG,
      tintMl,
      lab,
      deltaE: target && colourDifference(lab, target),
      weakens: percent > most,
      enough: tintMl <= tint.ml + 1e-9,
    };
  });
}

/** Most tint, per cent by weight, that the label of a paint bears, and whether that is the label's own word. */
export function mostTint({ sheet }: BenchPaint): { readonly percent: number; readonly source: 'label' | 'default' } {
  const own = sheet.label.tintAtMost;
  return own === undefined ? { percent: USUAL_MOST, source: 'default' } : { percent: own, source: 'label' };
}

/** g/mL, as weighed or as paints usually are. */
export function densityOf({ density }: Product): number {
  return density ?? PAINT_DENSITY;
}

export function gramsOf(product: Product, ml: number): number {
  return ml * densityOf(product);
}
