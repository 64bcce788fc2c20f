import { buy, buyGreedily, type Want } from '#core/buying/index';
import { conditionsOf } from '#core/drying/index';
import type { Facts, Goods } from '#core/facts/index';
import { lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { solveWithHighs } from '../../../solver/highs.ts';
import { plan } from '../plan.ts';
import { lineShares, priceMoves } from './index.ts';

/** Papers, parts and paint on one list, once a shop has a price for them. */

const shop = (id: string, more: Partial<Facts['shops'][number]> = {}) => ({ id, name: id, delivery: 500, leadDays: 1, ...more });
const gloves = (id: string, shopId: string, amount: number, price: number, more: Partial<Goods> = {}): Goods => ({
  id,
  shopId,
  of: { kind: 'supply', supply: 'gloves', spec: 'nitrile', unit: 'pair' },
  amount,
  price,
  seenOn: '2026-11-30',
  ...more,
});
const glass = { id: 'glass', name: 'Window glass', price: 700, arrived: false };
const workshop = (more: Partial<Facts> = {}): Facts => ({
  ...shelf,
  pieces: [piece(part({ layers: [primer(), lacquer()] }), { parcels: [glass] })],
  shops: [shop('quay', { delivery: 0 }), shop('pier', { freeOver: 3000 })],
  goods: [gloves('few', 'quay', 1, 60), gloves('many', 'quay', 50, 600)],
  ...more,
});
const planned = (facts: Facts) => plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
const wanted = (facts: Facts, key: string) => planned(facts).wants.find((want) => want.key === key);

describe('what has no paint in it', () => {
  it('stands on the list where a shop has a price for it, and nowhere twice', () => {
    const { purchases, pieces } = planned(workshop());
    const { money } = pieces[0];
    expect(purchases.shops.flatMap(({ lines }) => lines.map(({ want }) => want))).toContain('gloves nitrile');
    expect(money.total).toBe(money.committed + money.planned + money.consumables);
    const without = planned(workshop({ goods: [] })).pieces[0].money;
    const one = money.supplies.find(({ kind }) => kind === 'gloves');
    expect(without.consumables - money.consumables).toBe(one?.cost);
    expect(money.planned - without.planned).toBe(60 * (one?.toBuy ?? 0));
  });
  it('is wanted by the evening its step uses it, in its own unit, less what is on the shelf', () => {
    const want = wanted(workshop(), 'gloves nitrile');
    expect([want?.unit, want?.of, want?.byPiece.map(({ pieceId }) => pieceId)]).toEqual(['pair', 'supply', ['bell']]);
    const stock: Facts['stock'] = [{ id: 'g', kind: 'gloves', spec: 'nitrile', unit: 'pair', left: 40, leftAt: toIso(NOW) }];
    expect(wanted(workshop({ stock }), 'gloves nitrile')).toBeUndefined();
  });
  it('of another spec or unit is another thing', () => {
    const goods = [gloves('few', 'quay', 1, 60, { of: { kind: 'supply', supply: 'gloves', spec: 'nitrile', unit: 'piece' } })];
    expect(wanted(workshop({ goods }), 'gloves nitrile')).toBeUndefined();
  });
  it('such as a part nobody has ordered is bought where it is cheapest with its delivery, instead of at its guess', () => {
    const of = { kind: 'parcel', pieceId: 'bell', parcelId: 'glass' } as const;
    const goods: Goods[] = [
      { id: 'near', shopId: 'quay', of, amount: 1, price: 650, seenOn: '2026-11-30' },
      { id: 'far', shopId: 'pier', of, amount: 1, price: 300, seenOn: '2026-11-30' },
    ];
    const { purchases, pieces } = planned(workshop({ goods }));
    expect(purchases.shops.flatMap(({ lines }) => lines.map(({ offerId }) => offerId))).toContain('near');
    expect(pieces[0].money.planned).toBe(purchases.total);
    // Ordered, it is spent and off the list.
    const ordered = piece(part({ layers: [primer(), lacquer()] }), { parcels: [{ ...glass, price: 650, orderedAt: '2026-12-01' }] });
    const after = planned(workshop({ goods, pieces: [ordered] }));
    expect([after.pieces[0].money.committed, after.purchases.shops.length]).toEqual([650, 0]);
  });
});

describe('paint and the rest in one basket', () => {
  it('is never dearer than the greedy list, and helps a delivery to be free', async () => {
    const facts = workshop({
      cans: [],
      offers: shelf.products.map(({ id }) => ({
        id: `o-${id}`,
        shopId: 'pier',
        productId: id,
        packMl: 400,
        price: 1450,
        seenOn: '2026-11-30',
      })),
      goods: [gloves('few', 'quay', 1, 120), gloves('box', 'pier', 10, 200)],
    });
    const { wants } = planned(facts);
    const { purchases } = await buy(wants, facts, NOW, solveWithHighs);
    expect(purchases.total).toBeLessThanOrEqual(buyGreedily(wants, facts).total);
    expect(purchases.shops.map(({ shopId, delivery }) => [shopId, delivery])).toEqual([['pier', 0]]);
  });
  it('that no shop has enough of is said to be short', () => {
    const facts = workshop({ goods: [gloves('few', 'quay', 1, 60, { stock: 0 })] });
    expect(planned(facts).purchases.short).toEqual([{ want: 'gloves nitrile', name: 'Gloves, nitrile', why: 'stock' }]);
  });
});

describe('a line paid for', () => {
  const BASE = { key: 'k', of: 'paint', name: 'k', unit: 'mL', amount: 9, portions: [], packs: [] } as const;
  it('is borne by who takes of it, to the cent', () => {
    const takers = [
      { pieceId: 'a', amount: 2 },
      { pieceId: 'b', amount: 1 },
    ];
    const shared: Want = { ...BASE, byPiece: takers };
    expect(lineShares({ want: 'k' }, 1000, [shared])).toEqual([
      { pieceId: 'a', paid: 667 },
      { pieceId: 'b', paid: 333 },
    ]);
    expect(lineShares({ want: 'other' }, 1000, [shared])).toEqual([]);
  });
});

describe('another price', () => {
  const facts = workshop({
    cans: [],
    offers: shelf.products.map(({ id }) => ({
      id: `o-${id}`,
      shopId: 'quay',
      productId: id,
      packMl: 400,
      price: 800,
      seenOn: '2026-11-30',
    })),
  });
  const { wants } = planned(facts);
  const [bought] = wants.filter(({ of }) => of === 'paint');
  const offerId = bought.packs[0].offerId as string;
  it('says by how much the list moves, and who bears it', () => {
    const { total, pieces } = priceMoves(wants, facts, offerId, 950);
    expect(total).toBeGreaterThan(0);
    expect(pieces.reduce((sum, { minor }) => sum + minor, 0)).toBe(total);
    expect(priceMoves(wants, facts, offerId, 700).total).toBeLessThan(0);
  });
  it('of what nobody wants moves nothing', () => {
    expect(priceMoves(wants, facts, 'few', 60)).toEqual({ total: 0, pieces: [] });
    expect(priceMoves(wants, facts, 'nothing', 9)).toEqual({ total: 0, pieces: [] });
  });
});

describe('what is mixed into paint', () => {
  const byGun = (sheet: Facts['sheets'][number]) => ({
    ...sheet,
    hand: 'gun' as const,
    form: 'tin' as const,
    label: { thinning: { least: 0.2, usual: 0.5, most: 1 } },
  });
  it('is bought where a shop has a price for it, under the name it stands on the shelf by', () => {
    const gun = { ...shelf, workshop: [{ ...shelf.workshop[0], hands: ['gun' as const] }], sheets: shelf.sheets.map(byGun), cans: [] };
    const own = { ...gun, pieces: [piece(part({ layers: [primer(), lacquer()] }))], shops: [shop('quay', { delivery: 0 })] };
    const [reducer] = planned(own).wants.filter(({ of }) => of === 'reducer');
    expect(reducer.packs[0].shopId).toBeNull();
    const of = { kind: 'supply', supply: 'cleaner', spec: reducer.name, unit: 'mL' } as const;
    const goods = [{ id: 'thin', shopId: 'quay', of, amount: 1000, price: 500, seenOn: '2026-11-30' }];
    expect(planned({ ...own, goods }).wants.find(({ key }) => key === reducer.key)?.packs).toMatchObject([
      { offerId: 'thin', amount: 1000 },
    ]);
  });
});
