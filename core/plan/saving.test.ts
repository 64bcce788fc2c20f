import { buy } from '#core/buying/index';
import { conditionsOf } from '#core/drying/index';
import type { Facts, Offer, Piece } from '#core/facts/index';
import { clear, generatedFacts, lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { solveWithHighs } from '../../solver/highs.ts';
import { suppliesToBuy } from './money/index.ts';
import { plan } from './plan.ts';
import { type PricedSaving, savingsOf } from './ways/index.ts';
import { savingWays } from './ways/saving.ts';

/** What each way to spend less saves, is saved to the cent; none spoils a joint; the best of them together is the best there is. */

const planned = (facts: Facts) => plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
const spent = async (facts: Facts) => {
  const { wants, pieces } = planned(facts);
  const { purchases } = await buy(wants, facts, NOW, solveWithHighs);
  return purchases.total + suppliesToBuy(pieces.map(({ money }) => money.supplies)).reduce((sum, { cost }) => sum + cost, 0);
};
const savings = (facts: Facts) => savingsOf({ facts, now: NOW, conditions: conditionsOf(facts, NOW) }, solveWithHighs);
const taken = (facts: Facts, { changes }: PricedSaving): Facts => ({
  ...facts,
  pieces: facts.pieces.map((own) => changes.pieces.find(({ id }) => id === own.id) ?? own),
  workshop: changes.workshop ? [changes.workshop] : facts.workshop,
});
const worst = (facts: Facts) =>
  planned(facts).pieces.map(({ steps }) => steps.joints.filter(({ joint }) => joint.verdict !== 'sits').length);

const offersFor = (products: readonly string[], price: (id: string, ml: number) => number): Offer[] =>
  products.flatMap((productId) =>
    [60, 400].map((packMl) => ({
      id: `${productId}-${packMl}`,
      shopId: 'quay',
      productId,
      packMl,
      price: price(productId, packMl),
      seenOn: '2026-11-30',
    })),
  );
const colour = lacquer().productId as string;
const second = { ...(shelf.products.find(({ id }) => id === colour) as Facts['products'][number]), id: 'second', name: 'Second red' };
const bench = (pieces: readonly Piece[]): Facts => ({
  ...shelf,
  products: [...shelf.products, second],
  cans: [],
  pieces: [...pieces],
  shops: [{ id: 'quay', name: 'Quay', delivery: 490, freeOver: 6000, leadDays: 1 }],
  offers: offersFor(
    [colour, 'second', clear.productId as string, primer().productId as string],
    (id, ml) => (id === 'second' ? 2 : 3) * ml + 200,
  ),
});
const lot = (id: string, copies: number) =>
  piece(part({ id: `${id}-body`, copies, finish: 'sound', layers: [primer(), lacquer(3), { ...clear, coats: 3 }] }), { id, name: id });

describe('ways to spend less', () => {
  const facts = bench([lot('bell', 6), lot('horn', 2)]);

  it('each save what they say, to the cent, and no joint is worse', async () => {
    const [base, { ways }] = [await spent(facts), await savings(facts)];
    expect(ways.map(({ label }) => label)).toEqual(expect.arrayContaining(['No touch-up jars', expect.stringContaining('Second red for')]));
    const before = worst(facts);
    for (const way of ways) {
      const after = taken(facts, way);
      expect([way.label, base - (await spent(after))]).toEqual([way.label, way.saved]);
      for (const [index, count] of worst(after).entries()) expect(count).toBeLessThanOrEqual(before[index]);
    }
    expect(ways.map(({ saved }) => saved)).toEqual([...ways.map(({ saved }) => saved)].sort((a, b) => b - a));
  });

  it('together are the best of all combinations', { timeout: 120_000 }, async () => {
    const [base, { ways, together }] = [await spent(facts), await savings(facts)];
    const all = savingWays(facts, planned(facts)).filter(({ id }) => ways.some((own) => own.id === id));
    let most = 0;
    for (let mask = 0; mask < 2 ** all.length; mask++) {
      const some = all.filter((_, at) => (mask >> at) & 1);
      if (some.some((one, at) => some.slice(at + 1).some((other) => one.touches.some((own) => other.touches.includes(own))))) continue;
      most = Math.max(most, base - (await spent(some.reduce((own, way) => way.apply(own), facts))));
    }
    expect(together?.saved).toBe(most);
  });

  it('are none where nothing has to be bought', async () => {
    const { ways, together } = await savings({ ...facts, pieces: [] });
    expect([ways, together]).toEqual([[], null]);
  });

  it('of generated workshops keep their word', { timeout: 120_000 }, async () => {
    let seen = 0;
    for (let seed = 1; seed <= (process.env.PROOF ? 40 : 4); seed++) {
      const own = generatedFacts(2, seed, NOW);
      const base = await spent(own);
      for (const way of (await savings(own)).ways) {
        seen++;
        expect([seed, way.label, base - (await spent(taken(own, way)))]).toEqual([seed, way.label, way.saved]);
      }
    }
    expect(seen).toBeGreaterThan(0);
  });
});
