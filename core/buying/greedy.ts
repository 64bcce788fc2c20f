import type { Facts, Offer } from '#core/facts/index';
import { ANY_SHOP_NAME, type PurchaseLine, purchaseLine, type Purchases, type ShopTotal } from './purchases.ts';
import { USUAL_LEAD_DAYS, type Want } from './want.ts';

/** What must be bought, where, and what it costs: a sound greedy answer, not yet proven the cheapest. */

/** How soon a missing product can be here: the quickest shop that has it, else a day. */
export function leadDays(facts: Facts, productId: string | undefined): number {
  const leads = facts.offers
    .filter((offer) => offer.productId === productId && offer.stock !== 0)
    .map((offer) => facts.shops.find((shop) => shop.id === offer.shopId)?.leadDays ?? USUAL_LEAD_DAYS);
  return leads.length > 0 ? Math.min(...leads) : USUAL_LEAD_DAYS;
}

/**
 * Whole packs for each want, then one improvement at a time: it moves to another shop while that lowers the total with deliveries.
 * Greedy and deterministic. What no shop has enough of is bought nowhere.
 */
export function buyGreedily(wants: readonly Want[], facts: Facts): Purchases {
  const choices = wants.map(optionsFor);
  const served = choices.filter((options) => options.length > 0);
  let picked = served.map((options) => options[0]);
  for (let improved = true; improved; ) {
    improved = false;
    for (const [index, options] of served.entries()) {
      for (const option of options) {
        const changed = picked.map((line, at) => (at === index ? option : line));
        if (totalOf(changed, facts) < totalOf(picked, facts)) {
          picked = changed;
          improved = true;
        }
      }
    }
  }
  const shops = byShop(picked, facts);
  return {
    shops,
    total: shops.reduce((sum, shop) => sum + shop.goods + shop.delivery, 0),
    proven: false,
    short: wants.flatMap(({ key, name }, at) => (choices[at].length === 0 ? [{ want: key, name, why: 'stock' as const }] : [])),
  };
}

/** Packs of one kind, as many as it takes, the cheapest first. */
function optionsFor(want: Want): PurchaseLine[] {
  return want.packs
    .filter(({ stock, amount }) => stock === undefined || stock * amount >= want.amount)
    .map((pack) => {
      const count = Math.ceil(want.amount / pack.amount);
      const [first] = want.portions;
      return purchaseLine(want, pack, { count, left: count * pack.amount - want.amount, neededBy: first?.neededBy ?? null });
    })
    .sort((a, b) => a.price - b.price);
}

function byShop(lines: readonly PurchaseLine[], facts: Facts): ShopTotal[] {
  const groups = new Map<string | null, PurchaseLine[]>();
  for (const line of lines) groups.set(line.shopId ?? null, [...(groups.get(line.shopId ?? null) ?? []), line]);
  return [...groups].map(([shopId, own]) => {
    const shop = facts.shops.find((candidate) => candidate.id === shopId);
    const goods = own.reduce((sum, line) => sum + line.price, 0);
    const free = shop?.freeOver !== undefined && goods >= shop.freeOver;
    return {
      shopId,
      name: shop?.name ?? ANY_SHOP_NAME,
      goods,
      delivery: shop && !free ? shop.delivery : 0,
      lines: own,
      underMinimum: Math.max(0, (shop?.minimum ?? 0) - goods),
    };
  });
}

/** Goods and deliveries; a shop below its minimum costs the goods still wanting, so that the search leaves it. */
function totalOf(lines: readonly PurchaseLine[], facts: Facts): number {
  return byShop(lines, facts).reduce((sum, shop) => sum + shop.goods + shop.delivery + shop.underMinimum, 0);
}

/** Minor units for 100 mL: what packs of different size are compared by. */
export function pricePer100Ml({ price, packMl }: Pick<Offer, 'price' | 'packMl'>): number {
  return Math.round((price / packMl) * 100);
}
