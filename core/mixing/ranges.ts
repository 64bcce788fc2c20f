import { CAN_RESIDUE } from '#core/amounts/index';
import { shelfCans, usableMl } from '#core/buying/index';
import { type Offered, recipesFor } from '#core/colour/index';
import { type Facts, type Family, type Lab, plain, type Product, type Sheet } from '#core/facts/index';

/** Paints of the shelf that may go into one cup: opaque colours of one family, for two families curdle or fall out (BRIEF §10). */

export type BenchPaint = Offered & { readonly product: Product; readonly sheet: Sheet; readonly ml: number };

export type Range = {
  readonly family: Family;
  readonly name: string;
  readonly paints: readonly BenchPaint[];
  /** Only in cans that spray: decanted before anything can be dropped into a cup. */
  readonly decanted: boolean;
};

/** Ranges with at least one paint left, the largest first. */
export function rangesOf(facts: Facts): Range[] {
  const cans = shelfCans(facts);
  const paints = facts.products.flatMap((product): BenchPaint[] => {
    const sheet = facts.sheets.find((own) => own.id === product.sheetId);
    const ml = usableMl(cans, product.id, CAN_RESIDUE);
    if (sheet?.role !== 'colour' || product.transparent || ml <= 0) return [];
    return [{ id: product.id, lab: product.lab, ...(product.share === undefined ? {} : { share: product.share }), ml, product, sheet }];
  });
  const families = [...new Set(paints.map(({ sheet }) => sheet.family))];
  return families
    .map((family) => {
      const own = paints.filter(({ sheet }) => sheet.family === family);
      return { family, name: plain(family), paints: own, decanted: own.every(({ sheet }) => sheet.hand === 'aerosol') };
    })
    .sort((a, b) => b.paints.length - a.paints.length);
}

/** A first look at each range: two paints, a small cup. */
const FIRST_LOOK = { maxPaints: 2, drops: 10 } as const;

/** The range that comes nearest to a colour at a first look; undefined where there is none. */
export function likeliestRange(ranges: readonly Range[], target: Lab): Range | undefined {
  const looked = ranges.map((range) => ({
    range,
    deltaE: recipesFor({ target, paints: range.paints, ...FIRST_LOOK })[0]?.deltaE ?? Number.POSITIVE_INFINITY,
  }));
  return looked.sort((a, b) => a.deltaE - b.deltaE)[0]?.range;
}
