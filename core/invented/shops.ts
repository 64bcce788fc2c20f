import type { Facts, Goods, Offer } from '#core/facts/index';
import { seededRandom } from '#core/plan/index';

/** Three shops round a workshop, with prices for most of its paints and for what it uses beside paint: the same seed, the same shops. */

const SUPPLIES: readonly (readonly [Extract<Goods['of'], { kind: 'supply' }>, number, number])[] = [
  [{ kind: 'supply', supply: 'gloves', spec: 'nitrile', unit: 'pair' }, 10, 240],
  [{ kind: 'supply', supply: 'tack-cloth', spec: 'tack cloth', unit: 'piece' }, 2, 190],
  [{ kind: 'supply', supply: 'paper', spec: 'P400', unit: 'sheet' }, 5, 160],
  [{ kind: 'supply', supply: 'paper', spec: 'P800', unit: 'sheet' }, 5, 170],
  [{ kind: 'supply', supply: 'tape', spec: 'fine line 3 mm', unit: 'm' }, 33, 390],
];
const SEEN_ON = '2026-11-20';

export function withShops(facts: Facts, seed: number): Facts {
  const random = seededRandom(seed);
  const shops = [
    { id: 'near', name: 'Near', delivery: 0, leadDays: 1 },
    { id: 'post', name: 'Post', delivery: 490, freeOver: 2500, leadDays: 3 },
    { id: 'trade', name: 'Trade', delivery: 690, minimum: 1200, leadDays: 6 },
  ];
  const offers = shops.flatMap(({ id: shopId }) =>
    facts.products.flatMap(({ id: productId, typicalMl, typicalPrice }): Offer[] =>
      random() < 0.35
        ? []
        : [
            {
              id: `${shopId}-${productId}`.slice(0, 64),
              shopId,
              productId,
              packMl: typicalMl,
              price: Math.round(typicalPrice * (0.8 + 0.4 * random())),
              seenOn: SEEN_ON,
            },
          ],
    ),
  );
  const goods = shops.flatMap(({ id: shopId }) =>
    SUPPLIES.flatMap(([of, amount, price], at): Goods[] =>
      random() < 0.4
        ? []
        : [{ id: `${shopId}-${at}`, shopId, of, amount, price: Math.round(price * (0.8 + 0.4 * random())), seenOn: SEEN_ON }],
    ),
  );
  return { ...facts, shops, offers, goods };
}
