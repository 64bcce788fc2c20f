import type { Facts, Family, Hand, Offer, Role } from '#core/facts/index';
import { DAY, type Minute } from '#core/units/index';
import type { ShortWhy } from './cheapest/short.ts';
import { BOTTLED, TYPICAL_HARDENER, TYPICAL_HOBBY_THINNER, TYPICAL_REDUCER, typicalPack } from './typical.ts';

/** What must be bought, where, and what it costs: a sound greedy answer, not yet proven the cheapest. */

export type PaintNeed = {
  readonly mix: string;
  /** Paint from its container, or what is mixed into it. */
  readonly what: 'paint' | 'reducer' | 'hardener';
  readonly productId?: string;
  readonly name: string;
  readonly family: Family;
  readonly role: Role;
  readonly hand: Hand;
  /** mL that must still be bought, nozzle and residue counted. */
  readonly missingMl: number;
  /** What the coats themselves take, and with what clears the nozzle of each batch. */
  readonly coatsMl: number;
  readonly neededMl: number;
  readonly shelfMl: number;
  /** Wanted for touch-up besides, and how much of that is really left once the coats are on. */
  readonly keptMl: number;
  readonly jarMl: number;
  readonly neededBy: Minute | null;
  /** mL that each piece takes of it: what its cost is shared out by. */
  readonly byPiece: readonly { readonly pieceId: string; readonly ml: number }[];
};

export type PurchaseLine = {
  readonly mix: string;
  readonly productId?: string;
  readonly name: string;
  readonly offerId?: string;
  readonly shopId?: string;
  readonly packMl: number;
  readonly count: number;
  readonly price: number;
  readonly source: 'label' | 'default';
  readonly neededBy: Minute | null;
  readonly leadDays: number;
  /** When it has to be ordered at the latest to be here in time; null where nothing has a day yet. */
  readonly orderBy: Minute | null;
  /** mL that all packs of this paint leave over beside the touch-up jar; on the first line of a paint, 0 on the others. */
  readonly leftMl: number;
};

export type ShopTotal = {
  readonly shopId: string | null;
  readonly name: string;
  readonly goods: number;
  readonly delivery: number;
  readonly lines: readonly PurchaseLine[];
  readonly underMinimum: number;
};
export type Purchases = {
  readonly shops: readonly ShopTotal[];
  readonly total: number;
  /** Nothing cheaper exists. */
  readonly proven: boolean;
  /** Where that was tried and not proven: nothing cheaper than this exists. */
  readonly bound?: number;
  /** What no shop can serve, with the reason. */
  readonly short: readonly ShortPaint[];
};

export type ShortPaint = { readonly mix: string; readonly name: string; readonly why: ShortWhy };

/** The last evening on which what takes so many days may be ordered. */
export function orderBy(neededBy: Minute | null, leadDays: number): Minute | null {
  return neededBy === null ? null : neededBy - leadDays * DAY;
}

/** What is here by a day is here before its evening, minutes. */
export const BEFORE_EVENING: Minute = 6 * 60;

export const USUAL_LEAD_DAYS = 1;

/** How soon a missing product can be here: the quickest shop that has it, else a day. */
export function leadDays(facts: Facts, productId: string | undefined): number {
  const leads = facts.offers
    .filter((offer) => offer.productId === productId && offer.stock !== 0)
    .map((offer) => facts.shops.find((shop) => shop.id === offer.shopId)?.leadDays ?? USUAL_LEAD_DAYS);
  return leads.length > 0 ? Math.min(...leads) : USUAL_LEAD_DAYS;
}

/**
 * Whole packs for each need, then one improvement at a time: a product moves to another shop while that lowers the total
 * with deliveries. Greedy and deterministic.
 */
export function buyGreedily(needs: readonly PaintNeed[], facts: Facts): Purchases {
  const choices = needs.filter((need) => need.missingMl > 0.05).map((need) => optionsFor(need, facts));
  let picked = choices.map((options) => options[0]);
  for (let improved = true; improved; ) {
    improved = false;
    for (const [index, options] of choices.entries()) {
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
  return { shops, total: shops.reduce((sum, shop) => sum + shop.goods + shop.delivery, 0), proven: false, short: [] };
}

function optionsFor(need: PaintNeed, facts: Facts): PurchaseLine[] {
  const offers = facts.offers.filter((offer) => offer.productId === need.productId && enoughStock(offer, need));
  const base = { mix: need.mix, productId: need.productId, name: need.name, neededBy: need.neededBy };
  const lines = offers.map((offer) => {
    const count = Math.ceil(need.missingMl / offer.packMl);
    const lead = facts.shops.find((shop) => shop.id === offer.shopId)?.leadDays ?? USUAL_LEAD_DAYS;
    return {
      ...base,
      offerId: offer.id,
      shopId: offer.shopId,
      packMl: offer.packMl,
      count,
      price: count * offer.price,
      source: 'label' as const,
      leadDays: lead,
      orderBy: orderBy(need.neededBy, lead),
      leftMl: count * offer.packMl - need.missingMl,
    };
  });
  if (lines.length > 0) return lines.sort((a, b) => a.price - b.price);
  const product = facts.products.find((candidate) => candidate.id === need.productId);
  const pack = product ? { ml: product.typicalMl, price: product.typicalPrice } : packFor(need);
  const count = Math.ceil(need.missingMl / pack.ml);
  return [{ ...base, packMl: pack.ml, count, price: count * pack.price, source: 'default', ...atUsualShop(need, count * pack.ml) }];
}

function atUsualShop({ neededBy, missingMl }: PaintNeed, ml: number): Pick<PurchaseLine, 'leadDays' | 'orderBy' | 'leftMl'> {
  return { leadDays: USUAL_LEAD_DAYS, orderBy: orderBy(neededBy, USUAL_LEAD_DAYS), leftMl: ml - missingMl };
}

/** Usual pack of what is needed: paint by its family and hand, reducer and hardener by their own. */
export function packFor({ what, family, role, hand }: PaintNeed): { ml: number; price: number } {
  if (what === 'reducer') return BOTTLED.includes(family) ? TYPICAL_HOBBY_THINNER : TYPICAL_REDUCER;
  return what === 'hardener' ? TYPICAL_HARDENER : typicalPack(family, role, hand);
}

function enoughStock(offer: Offer, need: PaintNeed): boolean {
  return offer.stock === undefined || offer.stock * offer.packMl >= need.missingMl;
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
      name: shop?.name ?? 'Any shop, at a usual price',
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
