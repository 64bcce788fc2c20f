import type { Facts } from '#core/facts/index';
import { DAY, type Minute } from '#core/units/index';
import { type Cheapest, cheapest } from './cheapest/cheapest.ts';
import { billsOf, type BuyingProblem, type Need, type PackOffer } from './cheapest/problem.ts';
import type { Solve } from './cheapest/solve.ts';
import { neededDates } from './portions.ts';
import {
  ANY_SHOP_NAME,
  BEFORE_EVENING,
  type PurchaseLine,
  purchaseLine,
  type Purchases,
  type ShopTotal,
  type ShortWant,
} from './purchases.ts';
import type { Want } from './want.ts';

/** What all pieces lack, bought as cheaply as can be proven: the shelf is taken off already, dates and lead days are kept. */

/** Purchases for the wants they were worked out for. */
export type ProvenPurchases = { readonly key: string; readonly purchases: Purchases };

/** Wanted at no known day: whenever it comes is soon enough. */
const SOME_DAY = 3650;
/** Today's evening is no time to shop: the soonest that anything is here is tomorrow. */
const SOONEST_DAY = 1;
/** Where no shop is known to have it: any shop, at a usual price. */
const ANY_SHOP = '';

/** The wants as a buying problem: one product each, packs of every shop, a usual pack where no shop offers it. */
export function buyingProblem(wants: readonly Want[], facts: Pick<Facts, 'shops'>, now: Minute): BuyingProblem {
  return {
    needs: wants.flatMap((want) =>
      datedPortions(want, now).map(({ id, byDay, amount }): Need => ({ id, byDay, servings: [{ product: want.key, ml: amount }] })),
    ),
    excluded: [],
    shelf: new Map(),
    offers: wants.flatMap(offersOf),
    shops: facts.shops.map(({ id, delivery, freeOver, minimum }) => ({
      id,
      delivery,
      ...(freeOver === undefined ? {} : { freeOver }),
      ...(minimum === undefined ? {} : { minimum }),
    })),
  };
}

/** What a want asks for by a day, told from its other portions by the packs that can be here by then. */
export type DatedPortion = { readonly id: string; readonly byDay: number; readonly amount: number };

/** Portions that the same packs come in time for are one: what serves the later of them serves the earlier too. */
export function datedPortions({ key, packs, portions }: Want, now: Minute): DatedPortion[] {
  const leads = packs.filter(({ stock }) => stock !== 0).map(leadOf);
  const soonest = Math.min(...leads);
  const dated = new Map<number, DatedPortion>();
  for (const { neededBy, amount } of portions) {
    const wanted = neededBy === null ? SOME_DAY : Math.floor((neededBy - now + BEFORE_EVENING) / DAY);
    // What cannot come in time still has to come: as soon as it can.
    const byDay = Math.max(wanted, soonest);
    const inTime = leads.filter((lead) => lead <= byDay).length;
    const known = dated.get(inTime);
    dated.set(inTime, { id: `${key} #${inTime}`, byDay: known?.byDay ?? byDay, amount: (known?.amount ?? 0) + amount });
  }
  return [...dated.values()];
}

function leadOf({ shopId, leadDays }: Want['packs'][number]): number {
  return shopId === null ? leadDays : Math.max(SOONEST_DAY, leadDays);
}

function offersOf({ key, packs }: Want): PackOffer[] {
  return packs.map((pack) => ({
    id: pack.offerId ?? `usual ${key}`,
    shop: pack.shopId ?? ANY_SHOP,
    product: key,
    ml: pack.amount,
    price: pack.price,
    leadDays: leadOf(pack),
    ...(pack.stock === undefined ? {} : { stock: pack.stock }),
  }));
}

/** Two questions with one key have one answer. */
export function buyingKey(problem: BuyingProblem): string {
  const { needs, offers, shops } = problem;
  return JSON.stringify([needs.map(({ servings, ...need }) => [need, servings.map(({ ml }) => Math.ceil(ml * 10))]), offers, shops]);
}

/** The cheapest purchases for what is wanted. @throws RangeError where nothing was found in time */
export async function buy(
  wants: readonly Want[],
  facts: Pick<Facts, 'shops'>,
  now: Minute,
  solve: Solve,
  seconds?: number,
): Promise<ProvenPurchases> {
  const problem = buyingProblem(wants, facts, now);
  const answer = await cheapest(problem, solve, seconds);
  return { key: buyingKey(problem), purchases: purchasesOf(answer, problem, wants, facts) };
}

function purchasesOf(answer: Cheapest, problem: BuyingProblem, wants: readonly Want[], facts: Pick<Facts, 'shops'>): Purchases {
  const shops = [...billsOf(answer, problem)].map(([id, bill]): ShopTotal => {
    const shopId = id === ANY_SHOP ? null : id;
    return {
      shopId,
      name: facts.shops.find((shop) => shop.id === id)?.name ?? ANY_SHOP_NAME,
      ...bill,
      lines: wants.flatMap((want) => linesOf(want, shopId, answer)),
      underMinimum: 0,
    };
  });
  return {
    shops,
    total: answer.total,
    proven: answer.optimal,
    ...(answer.optimal ? {} : { bound: answer.bound }),
    short: shortOf(answer, problem, wants),
  };
}

/** Each want that goes short once, whichever of its portions does. */
function shortOf({ short }: Cheapest, { needs }: BuyingProblem, wants: readonly Want[]): ShortWant[] {
  const why = new Map(
    short.flatMap((own) => {
      const product = needs.find(({ id }) => id === own.need)?.servings[0]?.product;
      return product === undefined ? [] : [[product, own.why] as const];
    }),
  );
  return wants.flatMap(({ key, name }) => {
    const own = why.get(key);
    return own === undefined ? [] : [{ want: key, name, why: own }];
  });
}

function linesOf(want: Want, shopId: string | null, { packs }: Cheapest): PurchaseLine[] {
  const countOf = ({ offerId }: Want['packs'][number]) => packs.get(offerId ?? `usual ${want.key}`) ?? 0;
  const bought = want.packs.filter((pack) => countOf(pack) > 0);
  const dates = neededDates(
    bought.map((pack) => ({ pack, count: countOf(pack) })),
    want.portions,
  );
  const left = bought.reduce((sum, pack) => sum + pack.amount * countOf(pack), 0) - want.amount;
  return bought
    .filter((pack) => pack.shopId === shopId)
    .map((pack) =>
      purchaseLine(want, pack, { count: countOf(pack), left: pack === bought[0] ? left : 0, neededBy: dates.get(pack) ?? null }),
    );
}
