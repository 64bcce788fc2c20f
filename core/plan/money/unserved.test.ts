import { conditionsOf } from '#core/drying/index';
import type { Facts, Offer } from '#core/facts/index';
import { lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { buy } from '#core/buying/index';
import { solveWithHighs } from '../../../solver/highs.ts';
import { describe, expect, it } from 'vitest';
import { plan } from '../plan.ts';
import { purchaseShares } from './split.ts';
import { unservedOf } from './unserved.ts';

/** What no shop serves is wanted all the same. */

const productId = lacquer(3).productId ?? '';
const shop = { id: 'shop', name: 'Corner shop', delivery: 590, leadDays: 2 };
const offer = (more: Partial<Offer> = {}): Offer => ({ id: 'o', productId, shopId: 'shop', packMl: 400, price: 1350, ...more }) as Offer;
const facts = (offers: readonly Offer[]): Facts => ({
  ...shelf,
  cans: shelf.cans.filter((can) => can.productId !== productId),
  shops: [shop as Facts['shops'][number]],
  offers: [...offers],
  pieces: [piece(part({ layers: [primer(), lacquer(3)] }))],
});
const planned = (own: Facts) => plan({ facts: own, now: NOW, conditions: conditionsOf(own, NOW), datesOf: [] });

describe('a paint that the only shop has none of', () => {
  const none = planned(facts([offer({ stock: 0 })]));
  const some = planned(facts([offer()]));
  it('stays in what the piece costs, at what a pack of it costs, and is said to be about', () => {
    expect(some.purchases.short).toEqual([]);
    expect(none.purchases.short.map(({ want }) => want)).toContain(productId);
    const [own] = unservedOf(none.purchases, none.wants).filter(({ want }) => want === productId);
    expect(own.about).toBe(1350);
    expect(none.pieces[0].money.total).toBe(some.pieces[0].money.total - shop.delivery);
    expect(none.pieces[0].money.about).toBe(true);
  });
  it('is not counted twice where the list is worked out to the end', async () => {
    const { purchases } = await buy(none.wants, facts([offer({ stock: 0 })]), NOW, solveWithHighs);
    const shares = [...purchaseShares(purchases, none.wants).values()].reduce((sum, { minor }) => sum + minor, 0);
    expect(shares).toBe(purchases.total + 1350);
  });
  it('is reckoned only for what the shop has too little of', () => {
    const little = planned(facts([offer({ stock: 1, packMl: 10, price: 100 })]));
    const want = little.wants.find(({ key }) => key === productId);
    const served = little.purchases.shops.flatMap(({ lines }) => lines).filter((line) => line.want === productId);
    const had = served.reduce((sum, line) => sum + line.pack * line.count, 0);
    const [own] = unservedOf(little.purchases, little.wants).filter(({ want: key }) => key === productId);
    expect(had).toBeLessThan(want?.amount ?? 0);
    expect(own.about).toBe(Math.ceil(((want?.amount ?? 0) - had) / 10) * 100);
  });
});
