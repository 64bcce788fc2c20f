import type { Family, Hand, Product, Role } from '#core/facts/index';

/** Invented typical packs and prices, minor units: used where no offer is known, and then said to be "about". */
const TYPICAL: Partial<Record<Family, readonly [ml: number, price: number]>> = {
  'acrylic-lacquer': [400, 890],
  'nitro-lacquer': [400, 1190],
  'lacquer-primer': [400, 790],
  'wood-sealer': [400, 950],
  'alkyd-enamel': [150, 640],
  'acrylic-enamel': [400, 690],
  'alcohol-acrylic': [10, 260],
  'water-acrylic': [17, 280],
  'waterborne-base': [60, 720],
  'waterborne-sealer': [60, 680],
  'solvent-base': [400, 1490],
  'urethane-2k': [400, 1990],
  'epoxy-primer': [400, 1890],
  'etch-primer': [400, 1190],
  dye: [300, 1290],
  candy: [150, 1190],
  'high-temperature': [400, 1090],
  'rust-barrier': [400, 990],
  texture: [400, 1190],
  latex: [375, 890],
};

/** Hobby paints come in small bottles for the airbrush and in cans for those who own none. */
const HOBBY_CAN: readonly [ml: number, price: number] = [150, 990];
/** An airbrush takes a few mL: what comes in cans for spraying comes in bottles for it; a brush takes a small tin. */
const SMALL_PACK: Partial<Record<Hand, readonly [ml: number, price: number]>> = { airbrush: [30, 450], brush: [125, 690] };
export const BOTTLED: readonly Family[] = ['alcohol-acrylic', 'water-acrylic', 'waterborne-base', 'waterborne-sealer'];

/** Usual pack and price of a paint laid by this hand; absent hand: as it mostly comes. */
export function typicalPack(family: Family, role: Role, hand?: Hand): { ml: number; price: number } {
  if (hand === 'aerosol' && BOTTLED.includes(family)) return { ml: HOBBY_CAN[0], price: HOBBY_CAN[1] };
  const [ml, price] = TYPICAL[family] ?? [400, 900];
  const small = hand && SMALL_PACK[hand];
  if (small && ml > small[0] && !BOTTLED.includes(family)) return { ml: small[0], price: small[1] };
  // Filler primers come dearer, primers for the brush in larger bottles.
  if (role === 'filler-primer') return { ml, price: Math.round(price * 1.15) };
  if (family === 'water-acrylic' && role !== 'colour') return { ml: 60, price: 690 };
  return { ml, price };
}

/**
 * Usual packs of a paint that nobody has typed a pack of: the one that fits the hand, and the large one where a small one is usual.
 * @param product its own usual pack, where somebody has said one
 */
export function usualPacks(family: Family, role: Role, hand: Hand, product?: Product): { ml: number; price: number }[] {
  const large = typicalPack(family, role);
  if (product && (product.typicalMl !== large.ml || product.typicalPrice !== large.price))
    return [{ ml: product.typicalMl, price: product.typicalPrice }];
  const fitting = typicalPack(family, role, hand);
  return hand === 'aerosol' || fitting.ml === large.ml ? [fitting] : [fitting, large];
}

/** Usual bottles of what is mixed into paint. */
export const TYPICAL_REDUCER = { ml: 500, price: 690 };
/** Hobby paints have small bottles of thinner too. */
export const TYPICAL_HOBBY_THINNER = { ml: 100, price: 390 };
export const TYPICAL_HARDENER = { ml: 250, price: 1290 };

type Paint = { readonly product?: Product | undefined; readonly family: Family; readonly role: Role; readonly hand: Hand };

/** What so much paint costs by its usual pack, minor units. */
export function usualCost({ product, family, role, hand }: Paint, ml: number): number {
  const [pack] = usualPacks(family, role, hand, product);
  return Math.round((ml / pack.ml) * pack.price);
}
