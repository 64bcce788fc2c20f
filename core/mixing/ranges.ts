import { CAN_RESIDUE } from '#core/amounts/index';
import { shelfCans, usableMl } from '#core/buying/index';
import type { Offered } from '#core/colour/index';
import { type Facts, type Family, plain, type Product, type Sheet } from '#core/facts/index';

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
