import { besideWords, colourDifference, type Likeness, likeness } from '#core/colour/index';
import type { Facts, Lab, Product } from '#core/facts/index';

/** The paints there are, nearest to a colour first, each with what it is off. */

export type Nearest = {
  readonly product: Product;
  readonly deltaE: number;
  readonly likeness: Likeness;
  readonly beside: readonly string[];
};

/** Opaque colours and metallics the workshop knows, owned or not. */
export function nearestPaints(facts: Facts, target: Lab, most: number): Nearest[] {
  return facts.products
    .filter((product) => {
      const role = facts.sheets.find((sheet) => sheet.id === product.sheetId)?.role;
      return (role === 'colour' || role === 'metallic') && !product.transparent;
    })
    .map((product) => {
      const deltaE = colourDifference(product.lab, target);
      return { product, deltaE, likeness: likeness(deltaE), beside: besideWords(product.lab, target) };
    })
    .sort((a, b) => a.deltaE - b.deltaE || a.product.name.localeCompare(b.product.name))
    .slice(0, most);
}
