/**
 * What to buy where, as an exact problem: needs that each take one of several products, packs in shops with delivery, threshold and
 * minimum, what stands on the shelf. Money in whole minor units, days counted from today.
 */

/** A product that serves a need, and how much of it that takes, mL. */
export type Serving = {
  readonly product: string;
  readonly ml: number;
  /** Of the ways that change this need, those taken where it is served so; the others are left. */
  readonly taking?: readonly string[];
};

/** A way to save that may be taken or left. What it does to needs stands in their servings; this is what it saves beside packs. */
export type OptionalWay = { readonly id: string; readonly saves: number };

export type Need = {
  readonly id: string;
  /** Wanted by the end of this day. */
  readonly byDay: number;
  /** Any one of them serves it, whole. */
  readonly servings: readonly Serving[];
  /** Ways that change how it may be served; absent: none. */
  readonly ways?: readonly string[];
};

/** One need served by one product. */
export type Choice = { readonly need: string; readonly product: string };

export type PackOffer = {
  readonly id: string;
  readonly shop: string;
  readonly product: string;
  readonly ml: number;
  readonly price: number;
  readonly leadDays: number;
  /** Packs there are; absent: as many as are wanted. */
  readonly stock?: number;
};

export type BuyingShop = {
  readonly id: string;
  readonly delivery: number;
  /** Goods from which delivery is free. */
  readonly freeOver?: number;
  /** Goods below which it sends nothing. */
  readonly minimum?: number;
};

export type BuyingProblem = {
  readonly needs: readonly Need[];
  /** Choices that may not go together: a joint that nothing lets pass. */
  readonly excluded: readonly (readonly [Choice, Choice])[];
  /** mL of each product at hand. */
  readonly shelf: ReadonlyMap<string, number>;
  readonly offers: readonly PackOffer[];
  readonly shops: readonly BuyingShop[];
  readonly ways?: readonly OptionalWay[];
  /** Ways that may not both be taken. */
  readonly apart?: readonly (readonly [string, string])[];
};

/** What is bought, and what serves each need. */
export type Basket = {
  /** Offer to packs; none are left out. */
  readonly packs: ReadonlyMap<string, number>;
  /** Need to what serves it. */
  readonly serve: ReadonlyMap<string, Serving>;
  /** Ways that are taken. */
  readonly ways: ReadonlySet<string>;
};

export type ShopBill = { readonly goods: number; readonly delivery: number };

/** What each shop asks for a basket: goods, and delivery unless they reach its threshold. */
export function billsOf(
  { packs }: Pick<Basket, 'packs'>,
  { offers, shops }: Pick<BuyingProblem, 'offers' | 'shops'>,
): Map<string, ShopBill> {
  const goods = new Map<string, number>();
  for (const { id, shop, price } of offers) {
    const count = packs.get(id) ?? 0;
    if (count > 0) goods.set(shop, (goods.get(shop) ?? 0) + count * price);
  }
  return new Map(
    [...goods].map(([id, sum]) => {
      const shop = shops.find((own) => own.id === id);
      const free = shop?.freeOver !== undefined && sum >= shop.freeOver;
      return [id, { goods: sum, delivery: shop && !free ? shop.delivery : 0 }];
    }),
  );
}

/** Goods and deliveries of all shops, less what the ways taken save beside them. */
export function totalOf(
  basket: Pick<Basket, 'packs'> & Partial<Pick<Basket, 'ways'>>,
  problem: Pick<BuyingProblem, 'offers' | 'shops' | 'ways'>,
): number {
  const spent = [...billsOf(basket, problem).values()].reduce((sum, { goods, delivery }) => sum + goods + delivery, 0);
  return (problem.ways ?? []).reduce((sum, { id, saves }) => (basket.ways?.has(id) ? sum - saves : sum), spent);
}
