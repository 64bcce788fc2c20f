import { supplyKey } from '#core/amounts/index';
import { buy } from '#core/buying/index';
import { conditionsOf } from '#core/drying/index';
import type { Facts, Offer, Piece } from '#core/facts/index';
import { clear, generatedFacts, lacquer, NOW, part, piece, primer, shelf, withShops } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { solveWithHighs } from '../../solver/highs.ts';
import { suppliesToBuy } from './money/index.ts';
import { plan } from './plan.ts';
import { type PricedSaving, savingsOf } from './ways/index.ts';
import { DAY } from '#core/units/index';
import { savingWays } from './ways/saving.ts';

/** What each way to spend less saves, is saved to the cent; none spoils a joint; the best of them together is the best there is. */

const planned = (facts: Facts) => plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
const spent = async (facts: Facts) => {
  const { wants, pieces } = planned(facts);
  const { purchases } = await buy(wants, facts, NOW, solveWithHighs);
  const beside = suppliesToBuy(pieces.map(({ money }) => money.supplies)).filter(
    (line) => !wants.some(({ key }) => key === supplyKey(line)),
  );
  return purchases.total + beside.reduce((sum, { cost }) => sum + cost, 0);
};
const savings = (facts: Facts) => savingsOf({ facts, now: NOW, conditions: conditionsOf(facts, NOW) }, solveWithHighs);
const taken = (facts: Facts, { changes }: PricedSaving): Facts => ({
  ...facts,
  pieces: facts.pieces.map((own) => changes.pieces.find(({ id }) => id === own.id) ?? own),
  products: [...facts.products, ...changes.products],
  workshop: changes.workshop ? [changes.workshop] : facts.workshop,
});
const worst = (facts: Facts) =>
  planned(facts).pieces.map(({ steps }) => steps.joints.filter(({ joint }) => joint.verdict !== 'sits').length);

const offersFor = (products: readonly string[], price: (id: string, ml: number) => number, smallMl: number): Offer[] =>
  products.flatMap((productId) =>
    [smallMl, 400].map((packMl) => ({
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
const bench = (pieces: readonly Piece[], smallMl = 60): Facts => ({
  ...shelf,
  products: [...shelf.products, second],
  cans: [],
  pieces: [...pieces],
  shops: [{ id: 'quay', name: 'Quay', delivery: 490, freeOver: 6000, leadDays: 1 }],
  offers: offersFor(
    [colour, 'second', clear.productId as string, primer().productId as string],
    (id, ml) => (id === 'second' ? 2 : 3) * ml + 200,
    smallMl,
  ),
});
const lot = (id: string, copies: number) =>
  piece(part({ id: `${id}-body`, copies, finish: 'sound', layers: [primer(), lacquer(3), { ...clear, coats: 3 }] }), { id, name: id });

describe('ways to spend less', () => {
  const facts = bench([lot('bell', 6), lot('horn', 2)]);

  it('each save what they say, to the cent, and no joint is worse', async () => {
    // Three small bottles do for the colour where no jar is kept of it, and not else.
    const facts = bench([lot('bell', 6), lot('horn', 2)], 61);
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
    // Two of the first forty in which there is something to save.
    for (const seed of process.env.PROOF ? Array.from({ length: 40 }, (_, index) => index + 1) : [3, 5]) {
      const own = withShops(generatedFacts(2, seed, NOW), seed);
      const base = await spent(own);
      for (const way of (await savings(own)).ways) {
        seen++;
        expect([seed, way.label, base - (await spent(taken(own, way)))]).toEqual([seed, way.label, way.saved]);
      }
    }
    expect(seen).toBeGreaterThan(0);
  });
});

describe('an old can for what nobody sees', () => {
  const hidden = (seen: boolean) =>
    piece(
      part({ id: 'tray', faces: [{ id: 'f', longMm: 80, shortMm: 40, count: 4, seen, zoneId: 'all' }], layers: [primer(), lacquer(2)] }),
      { id: 'tray', name: 'Tray' },
    );
  const green = { ...second, id: 'green', name: 'Old green', lab: { l: 40, a: -30, b: 20 } };
  const can = { id: 'old', productId: 'green', packMl: 400, leftMl: 300, leftAt: '2026-11-01T10:00:00Z', opened: true, paid: 800 };
  const facts = (seen: boolean): Facts => ({ ...bench([hidden(seen)]), products: [...shelf.products, green], cans: [can] });
  const labels = async (own: Facts) => (await savings(own)).ways.map(({ label }) => label);
  it('is taken in another colour, and changes only the layers of that part', async () => {
    const { ways } = await savings(facts(false));
    const [way] = ways.filter(({ label }) => label.startsWith('Old green for'));
    expect(way.saved).toBeGreaterThan(0);
    expect(way.changes.pieces[0].parts[0].layers.map(({ productId }) => productId)).toEqual([primer().productId, 'green']);
    expect(way.lost).toContain('where nobody sees it');
  });
  it('is not offered for a face that is seen, nor from an empty can', async () => {
    expect((await labels(facts(true))).filter((label) => label.startsWith('Old green'))).toEqual([]);
    expect((await labels({ ...facts(false), cans: [{ ...can, leftMl: 0 }] })).filter((label) => label.startsWith('Old green'))).toEqual([]);
  });
});

describe('a piece that waits a week', () => {
  const two = (more: Partial<Piece> = {}): Facts => {
    const other = part({ id: 'horn-body', copies: 2, layers: [{ ...lacquer(3), id: 'other', productId: 'second' }] });
    return {
      ...bench([lot('bell', 6), piece(other, { id: 'horn', name: 'horn', ...more })]),
      shops: [
        { id: 'quay', name: 'Quay', delivery: 0, leadDays: 1 },
        { id: 'slow', name: 'Slow boat', delivery: 0, leadDays: 8 },
      ],
      offers: offersFor([colour, 'second', clear.productId as string, primer().productId as string], () => 900, 60).flatMap((offer) => [
        offer,
        { ...offer, id: `slow-${offer.id}`, shopId: 'slow', price: 300 },
      ]),
    };
  };
  const waits = async (facts: Facts) => (await savings(facts)).ways.filter(({ id }) => id.startsWith('wait'));
  it('may be bought where it takes longer, and says by how many days it is later', async () => {
    const found = await waits(two());
    expect(found.length).toBeGreaterThan(0);
    for (const { saved, later, changes } of found) {
      expect(saved).toBeGreaterThan(0);
      expect(later).toBeGreaterThan(DAY);
      expect(changes.pieces.map(({ held }) => held?.until !== undefined)).toEqual([true]);
    }
  });
  it('is not asked to, where it has a day to keep or is alone', async () => {
    expect((await waits(two({ neededBy: '2026-12-20' }))).every(({ label }) => !label.includes('horn'))).toBe(true);
    expect(await waits({ ...two(), pieces: [lot('bell', 6)] })).toEqual([]);
  });
});
