import type { Facts } from '#core/facts/index';
import { DAY, type Minute } from '#core/units/index';
import { type Cheapest, cheapest } from './cheapest/cheapest.ts';
import { billsOf, type BuyingProblem, type Need, type PackOffer } from './cheapest/problem.ts';
import type { Solve } from './cheapest/solve.ts';
import {
  BEFORE_EVENING,
  orderBy,
  packFor,
  type PaintNeed,
  type PurchaseLine,
  type Purchases,
  type ShopTotal,
  USUAL_LEAD_DAYS,
} from './greedy.ts';

/** What the coats of all pieces lack, bought as cheaply as can be proven: the shelf is taken off already, dates and lead days are kept. */

/** Purchases for the needs they were worked out for. */
export type ProvenPurchases = { readonly key: string; readonly purchases: Purchases };

/** Wanted at no known day: whenever it comes is soon enough. */
const SOME_DAY = 3650;
/** Today's evening is no time to shop: the soonest that anything is here is tomorrow. */
const SOONEST_DAY = 1;
/** Where no shop is known to have it: any shop, at a usual price. */
const ANY_SHOP = '';

const NAMES_ANY = 'Any shop, at a usual price';

/** The needs as a buying problem: one product each, packs of every shop, a usual pack where no shop offers it. */
export function buyingProblem(needs: readonly PaintNeed[], facts: Facts, now: Minute): BuyingProblem {
  const missing = needs.filter((need) => need.missingMl > LEAST_MISSING);
  const offers = missing.flatMap((need) => offersOf(need, facts));
  return {
    needs: missing.map((need): Need => {
      const soonest = Math.min(...offers.filter((own) => own.product === need.mix && own.stock !== 0).map((own) => own.leadDays));
      const byDay = need.neededBy === null ? SOME_DAY : Math.floor((need.neededBy - now + BEFORE_EVENING) / DAY);
      // What cannot come in time still has to come: as soon as it can.
      return { id: need.mix, byDay: Math.max(byDay, soonest), servings: [{ product: need.mix, ml: need.missingMl }] };
    }),
    excluded: [],
    shelf: new Map(),
    offers,
    shops: facts.shops.map(({ id, delivery, freeOver, minimum }) => ({
      id,
      delivery,
      ...(freeOver === undefined ? {} : { freeOver }),
      ...(minimum === undefined ? {} : { minimum }),
    })),
  };
}

/** Less than this is no reason to buy, mL. */
const LEAST_MISSING = 0.05;

function offersOf(need: PaintNeed, facts: Facts): PackOffer[] {
  const own = facts.offers.filter((offer) => offer.productId === need.productId);
  if (own.length > 0)
    return own.map((offer) => ({
      id: offer.id,
      shop: offer.shopId,
      product: need.mix,
      ml: offer.packMl,
      price: offer.price,
      leadDays: Math.max(SOONEST_DAY, facts.shops.find(({ id }) => id === offer.shopId)?.leadDays ?? USUAL_LEAD_DAYS),
      ...(offer.stock === undefined ? {} : { stock: offer.stock }),
    }));
  const product = facts.products.find(({ id }) => id === need.productId);
  const pack = product ? { ml: product.typicalMl, price: product.typicalPrice } : packFor(need);
  return [{ id: `usual ${need.mix}`, shop: ANY_SHOP, product: need.mix, ml: pack.ml, price: pack.price, leadDays: USUAL_LEAD_DAYS }];
}

/** Two questions with one key have one answer. */
export function buyingKey(problem: BuyingProblem): string {
  const { needs, offers, shops } = problem;
  return JSON.stringify([needs.map(({ servings, ...need }) => [need, servings.map(({ ml }) => Math.ceil(ml * 10))]), offers, shops]);
}

/** The cheapest purchases for what is needed. @throws RangeError where nothing was found in time */
export async function buy(
  needs: readonly PaintNeed[],
  facts: Facts,
  now: Minute,
  solve: Solve,
  seconds?: number,
): Promise<ProvenPurchases> {
  const problem = buyingProblem(needs, facts, now);
  const answer = await cheapest(problem, solve, seconds);
  return { key: buyingKey(problem), purchases: purchasesOf(answer, problem, needs, facts) };
}

function purchasesOf(answer: Cheapest, problem: BuyingProblem, needs: readonly PaintNeed[], facts: Facts): Purchases {
  const bills = billsOf(answer, problem);
  const shops = [...bills].map(([id, bill]): ShopTotal => {
    const lines = problem.offers.flatMap((offer) =>
      offer.shop === id && answer.packs.has(offer.id) ? lineOf(offer, answer, problem, needs) : [],
    );
    return {
      shopId: id === ANY_SHOP ? null : id,
      name: facts.shops.find((shop) => shop.id === id)?.name ?? NAMES_ANY,
      ...bill,
      lines,
      underMinimum: 0,
    };
  });
  return {
    shops,
    total: answer.total,
    proven: answer.optimal,
    ...(answer.optimal ? {} : { bound: answer.bound }),
    short: answer.short.map(({ need, why }) => ({ mix: need, name: needs.find(({ mix }) => mix === need)?.name ?? need, why })),
  };
}

function lineOf(offer: PackOffer, { packs }: Cheapest, { offers }: BuyingProblem, needs: readonly PaintNeed[]): PurchaseLine[] {
  const need = needs.find(({ mix }) => mix === offer.product);
  const count = packs.get(offer.id) ?? 0;
  const bought = offers.filter((own) => own.product === offer.product && packs.has(own.id));
  if (!need) return [];
  return [
    {
      mix: need.mix,
      ...(need.productId === undefined ? {} : { productId: need.productId }),
      name: need.name,
      ...(offer.shop === ANY_SHOP ? {} : { offerId: offer.id, shopId: offer.shop }),
      packMl: offer.ml,
      count,
      price: count * offer.price,
      source: offer.shop === ANY_SHOP ? 'default' : 'label',
      neededBy: need.neededBy,
      leadDays: offer.leadDays,
      orderBy: orderBy(need.neededBy, offer.leadDays),
      leftMl: offer === bought[0] ? bought.reduce((sum, { id, ml }) => sum + ml * (packs.get(id) ?? 0), 0) - need.missingMl : 0,
    },
  ];
}
