import { typicalPack } from '#core/buying/index';
import type { Facts, Offer, Product, Shop } from '#core/facts/index';
import { addDays } from '#core/units/index';
import { createHash } from 'node:crypto';

/** Three simulated shops with prices, stock and lead times. They stand in for real ones on the same interface: asked what they have of some paints. */

export type PriceList = { readonly shops: Shop[]; readonly offers: Offer[] };
export type Shops = { ask(facts: Pick<Facts, 'products' | 'sheets'>, today: string): PriceList | null };

type Simulated = Shop & {
  /** Against a usual price. */
  readonly dear: number;
  /** Of all paints it has so many, 0 to 1. */
  readonly range: number;
};

const SHOPS: readonly Simulated[] = [
  { id: 'simulated-ropewalk', name: 'Ropewalk tools and paint', delivery: 0, leadDays: 1, dear: 1.08, range: 0.6 },
  { id: 'simulated-capstan', name: 'Capstan hobby post', delivery: 490, freeOver: 4500, leadDays: 3, dear: 0.98, range: 0.9 },
  { id: 'simulated-drydock', name: 'Drydock trade paints', delivery: 690, minimum: 1500, leadDays: 5, dear: 0.86, range: 0.7 },
];

/** `failing`: they do not answer. The same paint on the same day has the same price, as in a real shop; it moves from month to month. */
export function simulatedShops(failing = false): Shops {
  return {
    ask(facts, today) {
      if (failing) return null;
      const paints = facts.products.filter(({ mix }) => !mix);
      return {
        shops: SHOPS.map(({ dear: _dear, range: _range, ...shop }) => shop),
        offers: SHOPS.flatMap((shop) => paints.flatMap((paint) => offerOf(shop, paint, facts, today))),
      };
    },
  };
}

function offerOf(shop: Simulated, paint: Product, { sheets }: Pick<Facts, 'sheets'>, today: string): Offer[] {
  const about = `${shop.id} ${paint.name}`;
  if (chance(`${about} range`) > shop.range) return [];
  const sheet = sheets.find(({ id }) => id === paint.sheetId);
  const usual = sheet ? typicalPack(sheet.family, sheet.role, sheet.hand) : { ml: paint.typicalMl, price: paint.typicalPrice };
  const moved = 0.92 + 0.16 * chance(`${about} ${today.slice(0, 7)}`);
  return [
    {
      id: createHash('sha256').update(`${shop.id} ${paint.id}`).digest('hex').slice(0, 40),
      shopId: shop.id,
      productId: paint.id,
      packMl: usual.ml,
      price: Math.max(5, Math.round((usual.price * shop.dear * moved) / 5) * 5),
      stock: Math.floor(9 * chance(`${about} stock ${today}`)),
      // Not every list is of today.
      seenOn: addDays(today, -Math.floor(4 * chance(`${about} seen`))),
    },
  ];
}

/** 0 to 1, the same for the same words. */
function chance(words: string): number {
  return createHash('sha256').update(words).digest().readUInt32BE(0) / 2 ** 32;
}
