import type { Detail, DetailWay } from '#core/facts/index';

/** Paint on a fine brush for one detail, mL; a pen brings its own. Defaults. */
const ML_EACH: Record<DetailWay, number> = {
  brush: 0.1,
  pen: 0,
  'small-mask': 0.3,
  wash: 0.1,
  'wipe-back': 0.1,
  'worn-edge': 0.05,
  drybrush: 0.05,
};

/** mL of paint that a detail takes on all copies of its part. */
export function detailMl({ way, count }: Pick<Detail, 'way' | 'count'>, copies: number): number {
  return ML_EACH[way] * count * copies;
}
