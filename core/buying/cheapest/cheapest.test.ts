import { inventedBuying } from '#core/invented/index';
import { seededRandom } from '#core/plan/index';
import { describe, expect, it } from 'vitest';
import { solveWithHighs } from '../../../solver/highs.ts';
import {
  type Basket,
  basketBreaks,
  type BuyingProblem,
  cheapest,
  type Need,
  type PackOffer,
  type Serving,
  type Solve,
  totalOf,
} from '../index.ts';

/** The cheapest basket, held against trying every one of them. */

const CASES = process.env.PROOF ? 1200 : 100;
const WAYS_CASES = process.env.PROOF ? 80 : 8;

/** The least total over every choice of products and every count of packs; null: not all needs can be served. */
function byTrying(problem: BuyingProblem): number | null {
  const { needs, offers, excluded } = problem;
  const apart = (serve: Basket['serve']) =>
    excluded.every(([one, other]) => serve.get(one.need)?.product !== one.product || serve.get(other.need)?.product !== other.product);
  let least: number | null = null;
  const pack = (at: number, packs: Map<string, number>, serve: Basket['serve']) => {
    if (at === offers.length) {
      if (basketBreaks({ packs, serve, ways: new Set() }, problem).length > 0) return;
      const total = totalOf({ packs }, problem);
      if (least === null || total < least) least = total;
      return;
    }
    const offer = offers[at];
    for (let count = 0; count <= worthOf(offer, problem); count++) {
      if (least !== null && goodsOf(packs, offers) + count * offer.price >= least) break;
      const next = new Map(packs);
      if (count > 0) next.set(offer.id, count);
      pack(at + 1, next, serve);
    }
  };
  const choose = (left: readonly Need[], serve: Map<string, Serving>) => {
    const [need, ...rest] = left;
    if (!need) return apart(serve) && pack(0, new Map(), serve);
    for (const own of need.servings) choose(rest, new Map(serve).set(need.id, own));
  };
  choose(needs, new Map());
  return least;
}

function goodsOf(packs: ReadonlyMap<string, number>, offers: readonly PackOffer[]): number {
  return offers.reduce((sum, { id, price }) => sum + price * (packs.get(id) ?? 0), 0);
}

/** More of one pack than all needs together, and what a threshold or a minimum might ask for besides, is never cheaper. */
function worthOf({ ml, price, stock, shop }: PackOffer, { needs, shops }: BuyingProblem): number {
  const wanted = needs.reduce((sum, { servings }) => sum + Math.max(...servings.map((own) => own.ml)), 0);
  const { delivery = 0, minimum = 0 } = shops.find(({ id }) => id === shop) ?? {};
  return Math.min(stock ?? Number.POSITIVE_INFINITY, Math.ceil(wanted / ml) + Math.ceil(Math.max(delivery, minimum) / price));
}

describe('the cheapest basket', () => {
  it('is the least of all there are, and where some need goes short the rest is served by the rules', { timeout: 600_000 }, async () => {
    let [compared, short] = [0, 0];
    for (let seed = 1; compared < CASES; seed++) {
      const random = seededRandom(seed);
      const problem = inventedBuying(random, {
        needs: 1 + Math.floor(random() * 3),
        products: 2 + Math.floor(random() * 2),
        shops: 1 + Math.floor(random() * 2),
      });
      if (problem.offers.length > 5) continue;
      compared++;
      const answer = await cheapest(problem, solveWithHighs);
      const least = byTrying(problem);
      expect([seed, basketBreaks(answer, problem), answer.optimal]).toEqual([seed, [], true]);
      if (least === null) short++;
      expect([seed, answer.short.length > 0 ? null : answer.total]).toEqual([seed, least]);
      expect(answer.serve.size + answer.short.length).toBe(problem.needs.length);
    }
    expect(short).toBeGreaterThan(CASES / 50);
    expect(short).toBeLessThan(CASES / 1.2);
  });
});

const need = (id: string, ml: number, byDay: number, ...products: string[]): Need => ({
  id,
  byDay,
  servings: products.map((product) => ({ product, ml })),
});
const offer = (id: string, shop: string, product: string, ml: number, price: number, more: Partial<PackOffer> = {}): PackOffer => ({
  id,
  shop,
  product,
  ml,
  price,
  leadDays: 1,
  ...more,
});
const problem = (more: Partial<BuyingProblem>): BuyingProblem => ({
  needs: [],
  excluded: [],
  shelf: new Map(),
  offers: [],
  shops: [{ id: 'a', delivery: 0 }],
  ...more,
});
const shortOf = async (more: Partial<BuyingProblem>) => (await cheapest(problem(more), solveWithHighs)).short;

describe('a need that goes short says why', () => {
  it('no offer, too late, out of stock, below the minimum, or excluded', async () => {
    const needs = [need('red', 100, 3, 'r')];
    expect(await shortOf({ needs })).toEqual([{ need: 'red', why: 'no-offer' }]);
    expect(await shortOf({ needs, offers: [offer('o', 'a', 'r', 400, 900, { leadDays: 5 })] })).toEqual([{ need: 'red', why: 'too-late' }]);
    expect(await shortOf({ needs, offers: [offer('o', 'a', 'r', 50, 900, { stock: 1 })] })).toEqual([{ need: 'red', why: 'stock' }]);
    expect(await shortOf({ needs, offers: [offer('o', 'a', 'r', 50, 900, { stock: 0 })] })).toEqual([{ need: 'red', why: 'stock' }]);
    const shops = [{ id: 'a', delivery: 0, minimum: 5000 }];
    expect(await shortOf({ needs, shops, offers: [offer('o', 'a', 'r', 400, 900, { stock: 2 })] })).toEqual([
      { need: 'red', why: 'minimum' },
    ]);
    const pair = { needs: [...needs, need('clear', 60, 3, 'c')], offers: [offer('o', 'a', 'r', 400, 900), offer('q', 'a', 'c', 400, 800)] };
    expect(
      await shortOf({
        ...pair,
        excluded: [
          [
            { need: 'red', product: 'r' },
            { need: 'clear', product: 'c' },
          ],
        ],
      }),
    ).toMatchObject([{ why: 'excluded' }]);
  });
  it('beside others: of paint that is enough for one the rest is served', async () => {
    const answer = await cheapest(
      problem({ needs: [need('one', 300, 3, 'r'), need('two', 300, 3, 'r')], offers: [offer('o', 'a', 'r', 400, 900, { stock: 1 })] }),
      solveWithHighs,
    );
    expect([answer.serve.size, answer.short.map(({ why }) => why), answer.total]).toEqual([1, ['stock'], 900]);
  });
});

describe('buying', () => {
  it('takes the shelf first, and nothing where it does', async () => {
    const answer = await cheapest(
      problem({ needs: [need('red', 100, 0, 'r')], shelf: new Map([['r', 100]]), offers: [offer('o', 'a', 'r', 400, 900)] }),
      solveWithHighs,
    );
    expect([answer.total, answer.packs.size, answer.serve.get('red')?.product]).toEqual([0, 0, 'r']);
  });
  it('buys one more can where that is cheaper than the delivery', async () => {
    const shops = [{ id: 'a', delivery: 600, freeOver: 1000 }];
    const answer = await cheapest(
      problem({ needs: [need('red', 100, 3, 'r')], shops, offers: [offer('o', 'a', 'r', 400, 800), offer('p', 'a', 'r', 50, 250)] }),
      solveWithHighs,
    );
    expect([answer.total, answer.packs.get('o'), answer.packs.get('p')]).toEqual([1000, undefined, 4]);
  });
  it('leaves packs that cost nothing and serve nothing', async () => {
    const answer = await cheapest(problem({ needs: [need('red', 60, 3, 'r')], offers: [offer('o', 'a', 'r', 50, 0)] }), solveWithHighs);
    expect([answer.total, answer.packs.get('o')]).toEqual([0, 2]);
  });
  it('stopped early says what nothing can better', async () => {
    const early: Solve = async (programme, seconds) => ({ ...(await solveWithHighs(programme, seconds)), status: 'stopped', bound: 650.2 });
    const answer = await cheapest(problem({ needs: [need('red', 100, 3, 'r')], offers: [offer('o', 'a', 'r', 400, 900)] }), early);
    expect([answer.optimal, answer.total, answer.bound]).toEqual([false, 900, 651]);
  });
});

/** Ways to save over an invented problem: each shrinks the paint of one or two needs, or saves by itself. */
function withWays(random: () => number, plain: BuyingProblem): BuyingProblem {
  const ways = ['fewer', 'scuff', 'jar', 'drop'].map((id) => ({ id, saves: Math.floor(random() * 3) * 120 }));
  const needs = plain.needs.map((own): Need => {
    const touching = ways.map(({ id }) => id).filter(() => random() < 0.5);
    const subsets = Array.from({ length: 2 ** touching.length }, (_, mask) => touching.filter((_id, at) => (mask >> at) & 1));
    const factors = new Map(touching.map((id) => [id, 0.3 + 0.6 * random()]));
    const servings = own.servings.flatMap(({ product, ml }) =>
      subsets.map((taking) => ({ product, ml: Math.round(taking.reduce((left, id) => left * (factors.get(id) ?? 1), ml)), taking })),
    );
    return { ...own, servings, ways: touching };
  });
  return { ...plain, needs, excluded: [], ways, apart: random() < 0.5 ? [['fewer', 'drop']] : [] };
}

/** The problem with just these ways taken: nothing of them is left to choose. */
function withTaken(problem: BuyingProblem, taken: readonly string[]): BuyingProblem {
  const { ways: _ways, apart: _apart, ...rest } = problem;
  const needs = problem.needs.map(({ ways = [], ...own }) => ({
    ...own,
    servings: own.servings
      .filter((serving) => ways.every((id) => taken.includes(id) === (serving.taking?.includes(id) ?? false)))
      .map(({ product, ml }) => ({ product, ml })),
  }));
  return { ...rest, needs };
}

describe('ways to save', () => {
  it('are taken in the best combination: the least over all of them', { timeout: 300_000 }, async () => {
    let chosen = 0;
    for (let seed = 1; seed <= WAYS_CASES; seed++) {
      const random = seededRandom(seed);
      const whole = withWays(random, inventedBuying(random, { needs: 3, products: 3, shops: 2 }));
      const answer = await cheapest(whole, solveWithHighs);
      expect([seed, basketBreaks(answer, whole)]).toEqual([seed, []]);
      if (answer.short.length > 0) continue;
      let least = Number.POSITIVE_INFINITY;
      const ids = (whole.ways ?? []).map(({ id }) => id);
      for (let mask = 0; mask < 2 ** ids.length; mask++) {
        const taken = ids.filter((_, at) => (mask >> at) & 1);
        if ((whole.apart ?? []).some((pair) => pair.every((id) => taken.includes(id)))) continue;
        const fixed = await cheapest(withTaken(whole, taken), solveWithHighs);
        const saved = (whole.ways ?? []).reduce((sum, { id, saves }) => (taken.includes(id) ? sum + saves : sum), 0);
        if (fixed.short.length === 0) least = Math.min(least, fixed.total - saved);
      }
      expect([seed, answer.total]).toEqual([seed, least]);
      chosen += answer.ways.size;
    }
    expect(chosen).toBeGreaterThan(WAYS_CASES / 2);
  });
});
