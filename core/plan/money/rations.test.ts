import { conditionsOf } from '#core/drying/index';
import type { Can, Facts } from '#core/facts/index';
import { lacquer, NOW, part, piece, primed, primer, shelf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { plan } from '../plan.ts';

/** Paint that runs short is seen before it is shaken, with where to thin it out. */

const productId = lacquer().productId as string;
const can = (leftMl: number): Can => ({ id: 'c', productId, packMl: 400, leftMl, leftAt: toIso(NOW - 60), opened: true, paid: 800 });
const face = (id: string, seen: boolean) => ({ id, longMm: 80, shortMm: 40, count: 2, seen, zoneId: 'all' });
const hidden = part({ faces: [face('top', true), face('under', false)], layers: [primer(), lacquer(3)] });
const facts = (leftMl: number, own = hidden): Facts => ({
  ...shelf,
  cans: [...shelf.cans.filter((each) => each.productId !== productId), can(leftMl)],
  pieces: [piece(own)],
  events: primed,
});
const planned = (own: Facts) => plan({ facts: own, now: NOW, conditions: conditionsOf(own, NOW), datesOf: [] });
const needOf = (own: Facts) => planned(own).needs.find(({ mix }) => mix === productId);
const rationOf = (own: Facts) => planned(own).rations.find(({ mix }) => mix === productId);
const enough = needOf(facts(390))?.neededMl ?? 0;
/** What must be in the can so that so much comes out of it. */
const holding = (ml: number) => ml + 0.05 * 400;

describe('paint with coats to spare', () => {
  it('is not spoken of', () => expect(rationOf(facts(390))).toBeUndefined());
  it('by less than one is, though it lasts', () => {
    const ration = rationOf(facts(holding(enough + 1)));
    expect(ration?.runsDry).toBeNull();
    expect(ration?.marginCoats).toBeGreaterThanOrEqual(0);
    expect(ration?.marginCoats).toBeLessThan(1);
  });
});

describe('paint that does not last', () => {
  const aCoat = (needOf(facts(390))?.coatsMl ?? 0) / 3;
  const ration = rationOf(facts(holding(enough - 1.5 * aCoat)));
  it('says by how many coats, and at which it runs dry', () => {
    // Paint that comes later makes a batch of its own, whose nozzle is cleared too: never less than what is missing of the coats.
    expect(ration?.marginCoats).toBeCloseTo(((ration?.reach.haveMl ?? 0) - (ration?.reach.needMl ?? 0)) / aCoat, 9);
    expect(ration?.marginCoats).toBeLessThanOrEqual(-1.5 + 1e-9);
    expect(ration?.runsDry?.title).toMatch(/Coat [12] of 3/);
  });
  it('may be thinned out where nobody sees it: half of what goes there, never a seen face', () => {
    expect(ration?.spots).toEqual([{ pieceId: 'bell', partId: expect.any(String), savesMl: expect.any(Number) }]);
    // Half the area is hidden, and is sprayed half as heavy.
    expect(ration?.savesMl).toBeCloseTo((3 * aCoat) / 4, 6);
    expect(ration?.lasts).toBe(false);
    expect(rationOf(facts(holding(enough - 0.1 * aCoat)))?.lasts).toBe(true);
    const seen = part({ faces: [face('top', true)], layers: [primer(), lacquer(3)] });
    expect(rationOf(facts(holding(1), seen))?.spots ?? []).toEqual([]);
  });
  it('costs a refill as the list has it', () => {
    const own = facts(holding(enough - 1.5 * aCoat));
    const { purchases, rations } = planned(own);
    const line = purchases.shops.flatMap(({ lines }) => lines).find(({ want }) => want === productId);
    expect(rations.find(({ mix }) => mix === productId)).toMatchObject({ refill: line?.price, remix: null });
  });
  it('that was mixed here costs a second mix besides, by the paints in it', () => {
    const [one] = shelf.products.filter(({ id }) => id !== productId);
    const mixed = shelf.products.map((product) =>
      product.id === productId ? { ...product, mix: { parts: [{ productId: one.id, ml: 10 }] } } : product,
    );
    // Mixed in a cup it is airbrushed, which takes less.
    const own = { ...facts(2), products: mixed };
    const again = rationOf(own);
    const short = (again?.reach.needMl ?? 0) - (again?.reach.haveMl ?? 0);
    expect(short).toBeGreaterThan(1);
    expect(again?.remix).toBe(Math.round((short * one.typicalPrice) / one.typicalMl));
  });
  it('with no can at all is no ration but a purchase', () => expect(rationOf(facts(0))).toBeUndefined());
});
