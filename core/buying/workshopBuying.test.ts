import { conditionsOf } from '#core/drying/index';
import type { Facts, Offer } from '#core/facts/index';
import { lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { plan, shoppingList } from '#core/plan/index';
import { DAY } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { solveWithHighs } from '../../solver/highs.ts';
import { buy, buyGreedily, buyingKey, buyingProblem, totalOf, usualPacks } from './index.ts';

/** What the coats of a workshop lack, bought as cheaply as can be proven. */

const productId = lacquer().productId as string;
const shop = (id: string, more: Partial<Facts['shops'][number]> = {}) => ({ id, name: id, delivery: 500, leadDays: 1, ...more });
const offer = (id: string, shopId: string, price: number, packMl = 400, more: Partial<Offer> = {}): Offer => ({
  id,
  shopId,
  productId,
  packMl,
  price,
  seenOn: '2026-11-30',
  ...more,
});
const workshop = (more: Partial<Facts> = {}): Facts => ({
  ...shelf,
  cans: shelf.cans.filter((can) => can.productId !== productId),
  pieces: [piece(part({ layers: [primer(), lacquer()] }))],
  shops: [shop('quay'), shop('pier', { delivery: 0, leadDays: 3 })],
  offers: [offer('q', 'quay', 800), offer('p', 'pier', 900)],
  ...more,
});
const planned = (facts: Facts) => plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
const bought = async (facts: Facts) => {
  const { wants } = planned(facts);
  return { wants, ...(await buy(wants, facts, NOW, solveWithHighs)) };
};

describe('buying for a workshop', () => {
  it('is proven, never dearer than one by one, and says what is left over', async () => {
    // One by one looks at no dates: both shops are as quick.
    const facts = workshop({ shops: [shop('quay'), shop('pier', { delivery: 0 })] });
    const { wants, purchases } = await bought(facts);
    const greedy = buyGreedily(wants, facts);
    expect(purchases.proven).toBe(true);
    expect(purchases.total).toBeLessThanOrEqual(greedy.total);
    const [line] = purchases.shops.flatMap(({ lines }) => lines);
    expect(line.left).toBeCloseTo(line.count * line.pack - (wants.find(({ key }) => key === line.want)?.amount ?? 0), 6);
  });
  it('counts every shop and delivery of the list to the cent', async () => {
    const facts = workshop();
    const { wants, purchases } = await bought(facts);
    const sum = purchases.shops.reduce((all, { goods, delivery }) => all + goods + delivery, 0);
    expect(sum).toBe(purchases.total);
    for (const { goods, lines } of purchases.shops) expect(lines.reduce((all, { price }) => all + price, 0)).toBe(goods);
    const packs = new Map(
      purchases.shops.flatMap(({ lines }) => lines.flatMap(({ offerId, count }) => (offerId ? [[offerId, count] as const] : []))),
    );
    const usual = purchases.shops.find(({ shopId }) => shopId === null)?.goods ?? 0;
    expect(totalOf({ packs }, buyingProblem(wants, facts, NOW)) + usual).toBe(purchases.total);
  });
  it('takes the slower shop only where there is time for it', async () => {
    const shops = async (more: Partial<Facts>) => (await bought(workshop(more))).purchases.shops.flatMap(({ shopId }) => shopId ?? []);
    const slow = { shops: [shop('quay'), shop('pier', { delivery: 0, leadDays: 20 })] };
    expect(await shops(slow)).toEqual(['quay']);
    const later = piece(part({ layers: [primer(), lacquer()] }), { held: { since: '2026-12-01T19:00:00.000Z', until: '2027-01-20' } });
    expect(await shops({ ...slow, pieces: [later] })).toEqual(['pier']);
  });
  it('orders for the day the shelf runs dry, not for the first coat', async () => {
    const held = { since: '2026-12-01T19:00:00.000Z', until: '2027-01-20' };
    const layers = [primer(), lacquer()];
    const pieces = [piece(part({ layers })), piece(part({ layers }), { id: 'gong', held })];
    const shops = [shop('quay'), shop('pier', { delivery: 0, leadDays: 20 })];
    const own = shelf.cans.find((can) => can.productId === productId) as Facts['cans'][number];
    const linesWith = async (cans: Facts['cans'], more: Partial<Facts> = {}) => {
      const facts = workshop({ pieces, shops, cans: [...workshop().cans, ...cans], ...more });
      const { wants, purchases } = await bought(facts);
      return shoppingList(purchases, wants, planned(facts).steps, NOW).flatMap(({ lines }) => lines);
    };
    const [late, ...others] = await linesWith([{ ...own, packMl: 50, leftMl: 24 }]);
    expect(others).toEqual([]);
    expect([late.offerId, late.waits?.pieceId, late.tonight]).toEqual(['p', 'gong', false]);
    // Nothing at hand: the little that is wanted at once comes from near, the rest from where it is cheap.
    const two = await linesWith([], { offers: [offer('near', 'quay', 300, 30), offer('far', 'pier', 100, 50, { stock: 9 })] });
    expect(two.map(({ offerId, waits }) => [offerId, waits?.pieceId])).toEqual([
      ['near', 'bell'],
      ['far', 'gong'],
    ]);
  });
  it('mixes packs where that is cheaper than one kind', async () => {
    const many = workshop({
      pieces: [piece(part({ copies: 12, layers: [primer(), lacquer(4)] }))],
      shops: [shop('quay', { delivery: 0 })],
      offers: [offer('large', 'quay', 1500, 400), offer('small', 'quay', 400, 100)],
    });
    const { wants, purchases } = await bought(many);
    const missing = wants.find(({ key }) => key === productId)?.amount ?? 0;
    let least = Number.POSITIVE_INFINITY;
    for (let large = 0; large < 20; large++)
      for (let small = 0; small < 80; small++)
        if (large * 400 + small * 100 >= missing) least = Math.min(least, large * 1500 + small * 400);
    expect(purchases.shops.find(({ shopId }) => shopId === 'quay')?.goods).toBe(least);
  });
  it('names what no shop can serve, and still serves the rest', async () => {
    const { purchases } = await bought(workshop({ offers: [offer('q', 'quay', 800, 50, { stock: 0 })] }));
    expect(purchases.short).toMatchObject([{ want: productId, why: 'stock' }]);
    const none = await bought(workshop({ offers: [] }));
    expect(none.purchases.shops.map(({ shopId }) => shopId)).toEqual([null]);
    expect(none.purchases.short).toEqual([]);
  });
  it('is taken up by the plan as long as its question is the same', async () => {
    const facts = workshop({ offers: [offer('q', 'quay', 800), offer('p', 'pier', 1250)] });
    const proven = await bought(facts);
    const again = (own: Facts) => plan({ facts: own, now: NOW, conditions: conditionsOf(own, NOW), datesOf: [], proven });
    expect(again(facts).purchases.proven).toBe(true);
    expect(again(facts).pieces[0].money.planned).toBe(proven.purchases.total);
    expect(again(workshop({ offers: [offer('q', 'quay', 850)] })).purchases.proven).toBe(false);
    expect(proven.key).toBe(buyingKey(buyingProblem(proven.wants, facts, NOW)));
  });
  it('says on each line what waits for it, and when it must be ordered', async () => {
    const facts = workshop();
    const { wants, purchases } = await bought(facts);
    const { steps } = planned(facts);
    const [line] = shoppingList(purchases, wants, steps, NOW).flatMap(({ lines }) => lines);
    const first = steps.find(({ coat }) => coat?.mix === productId);
    expect([line.waits?.stepId, line.pieceIds, line.neededBy]).toEqual([first?.id, ['bell'], first?.placed?.start]);
    expect(line.orderBy).toBe((line.neededBy ?? 0) - line.leadDays * DAY);
    expect(line.tonight).toBe((line.orderBy ?? 0) < NOW + DAY);
  });
});

describe('a pack that fits the hand', () => {
  const amounts = (...of: Parameters<typeof usualPacks>) => usualPacks(...of).map(({ ml }) => ml);
  it('is a bottle for the airbrush, a can for whoever has none, a small tin for the brush; the large one may still be cheaper', () => {
    expect(amounts('acrylic-lacquer', 'colour', 'airbrush')).toEqual([30, 400]);
    expect(amounts('acrylic-lacquer', 'colour', 'aerosol')).toEqual([400]);
    expect(amounts('acrylic-enamel', 'colour', 'brush')).toEqual([125, 400]);
    expect(amounts('waterborne-base', 'colour', 'aerosol')).toEqual([150]);
    expect(amounts('waterborne-base', 'colour', 'airbrush')).toEqual([60]);
  });
  it('is the person’s own where one is said', () => {
    const own = { id: 'p', sheetId: 's', name: 'P', typicalMl: 250, typicalPrice: 980 } as Parameters<typeof usualPacks>[3];
    expect(usualPacks('acrylic-lacquer', 'colour', 'airbrush', own)).toEqual([{ ml: 250, price: 980 }]);
  });
});
