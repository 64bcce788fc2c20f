import { leadDays, shelfCans, usableMl, usualCost } from '#core/buying/index';
import { coatsToHide, knownPaint } from '#core/coats/index';
import { besideWords, colourDifference, type Likeness, likeness, looksAfter } from '#core/colour/index';
import type { Facts, Lab, Product, Sheet } from '#core/facts/index';

/** The paints there are, nearest to a colour first, each with what it is off. */

export type Nearest = {
  readonly product: Product;
  /** As it will look: its own colour, or over the ground it is planned on. */
  readonly lab: Lab;
  readonly deltaE: number;
  readonly likeness: Likeness;
  readonly beside: readonly string[];
  /** Of those planned, or what it takes to hide; a transparent one is given three. */
  readonly coats: number;
  readonly owned: boolean;
  /** Minor units: of an owned paint what the coats take, null where no area is named; of another a whole pack. */
  readonly price: number | null;
  /** Days until it is here; 0 where it stands on the shelf. */
  readonly leadDays: number;
};

export type NearestWish = {
  readonly target: Lab;
  /** What it is to go on; absent: it is taken to hide. */
  readonly ground?: Lab;
  /** mL of a coat as sprayed, of what is to be painted in it. */
  readonly mlPerCoat?: number;
};

const COATS_OF_TRANSPARENT = 3;

/** Colours and metallics the workshop knows, owned or not; transparent ones only over a ground that is named. */
export function nearestPaints(facts: Facts, { target, ground, mlPerCoat }: NearestWish, most: number): Nearest[] {
  const cans = shelfCans(facts);
  return facts.products
    .flatMap((product): Nearest[] => {
      const sheet = facts.sheets.find((own) => own.id === product.sheetId);
      if (!sheet || (sheet.role !== 'colour' && sheet.role !== 'metallic') || (product.transparent && !ground)) return [];
      const { lab: own, share } = knownPaint(product, facts);
      const coats = product.transparent ? COATS_OF_TRANSPARENT : ground ? coatsToHide(ground, own, share).coats : 1;
      const lab = ground ? looksAfter(ground, { lab: own, share, transparent: product.transparent }, coats) : own;
      const deltaE = colourDifference(lab, target);
      const owned = usableMl(cans, product.id, 0) > 0;
      return [
        {
          product,
          lab,
          deltaE,
          likeness: likeness(deltaE),
          beside: besideWords(lab, target),
          coats,
          owned,
          price: owned ? (mlPerCoat === undefined ? null : usedCost(product, sheet, mlPerCoat * coats)) : packPrice(product, facts),
          leadDays: owned ? 0 : leadDays(facts, product.id),
        },
      ];
    })
    .sort((a, b) => a.deltaE - b.deltaE || a.product.name.localeCompare(b.product.name))
    .slice(0, most);
}

function usedCost(product: Product, { family, role, hand }: Sheet, ml: number): number {
  return usualCost({ product, family, role, hand }, ml);
}

/** The cheapest pack there is an offer for, else the usual one. */
function packPrice({ id, typicalPrice }: Product, { offers }: Facts): number {
  const prices = offers.filter((offer) => offer.productId === id && offer.stock !== 0).map(({ price }) => price);
  return prices.length > 0 ? Math.min(...prices) : typicalPrice;
}
