import { residueOf, shelfCans, usableMl } from '#core/buying/index';
import { knownPaint } from '#core/coats/index';
import { type Offered, recipesFor } from '#core/colour/index';
import { isOwnThinner } from '#core/drying/index';
import { type Facts, type Family, type Lab, plain, type Product, type Sheet } from '#core/facts/index';

/** Paints that may go into one cup: opaque colours of one family, for two families curdle or fall out (trade §10). */

export type BenchPaint = Offered & {
  readonly product: Product;
  readonly sheet: Sheet;
  /** What is left of it, mL; of one to be bought, what a pack holds. */
  readonly ml: number;
  readonly owned: boolean;
};

export type Range = {
  readonly family: Family;
  readonly name: string;
  /** Of the shelf. */
  readonly paints: readonly BenchPaint[];
  /** Of the same family, known and not owned. */
  readonly toBuy: readonly BenchPaint[];
  /** Owned, of another family that takes the same thinner: care, never without a cup test. */
  readonly foreign: readonly BenchPaint[];
};

/** Ranges with at least one paint left, the largest first. */
export function rangesOf(facts: Facts): Range[] {
  const all = benchPaints(facts);
  const owned = all.filter((paint) => paint.owned);
  const families = [...new Set(owned.map(({ sheet }) => sheet.family))];
  return families
    .map((family) => {
      const paints = owned.filter(({ sheet }) => sheet.family === family);
      return {
        family,
        name: plain(family),
        paints,
        toBuy: all.filter((paint) => !paint.owned && paint.sheet.family === family && !paint.product.mix),
        foreign: owned.filter(({ sheet }) => sheet.family !== family && isOwnThinner(family, sheet.family)),
      };
    })
    .sort((a, b) => b.paints.length - a.paints.length);
}

/** Every opaque colour the workshop knows, as the bench takes it. */
export function benchPaints(facts: Facts): BenchPaint[] {
  const cans = shelfCans(facts);
  return facts.products.flatMap((product): BenchPaint[] => {
    const sheet = facts.sheets.find((own) => own.id === product.sheetId);
    if (sheet?.role !== 'colour' || product.transparent) return [];
    const left = usableMl(cans, product.id, residueOf(product.id, facts));
    const { lab, share } = knownPaint(product, facts);
    const { drawdown } = product;
    return [
      {
        id: product.id,
        lab,
        share,
        ...(drawdown ? { drawdown } : {}),
        ml: left > 0 ? left : product.typicalMl,
        owned: left > 0,
        product,
        sheet,
      },
    ];
  });
}

/** A first look at each range: a small cup, of three paints where there are few to choose from. */
const FIRST_LOOK = { few: 8, drops: 20 } as const;

/** The range that comes nearest to a colour at a first look; undefined where there is none. */
export function likeliestRange(ranges: readonly Range[], target: Lab): Range | undefined {
  const looked = ranges.map((range) => ({
    range,
    deltaE: recipesFor(firstLook(range, target))[0]?.deltaE ?? Number.POSITIVE_INFINITY,
  }));
  return looked.sort((a, b) => a.deltaE - b.deltaE)[0]?.range;
}

function firstLook({ paints }: Range, target: Lab) {
  return { target, paints, maxPaints: paints.length <= FIRST_LOOK.few ? 3 : 2, drops: FIRST_LOOK.drops };
}
