import { describe, expect, it } from 'vitest';
import { EMPTY_FACTS, type Facts, type LogEvent } from '#core/facts/index';
import { toIso } from '#core/units/index';
import {
  buyGreedily,
  leadDays,
  type PaintNeed,
  residueOf,
  shelfCans,
  starterShelf,
  typicalPack,
  usableMl,
  usualCost,
  wantsOf,
} from './index.ts';

const NOW = 30_000_000;
const shelf = starterShelf();
const product = shelf.products[0].id;
const facts = (more: Partial<Facts> = {}): Facts => ({ ...EMPTY_FACTS, ...shelf, ...more });
const can = (id: string, leftMl: number, opened = true) => ({
  id,
  productId: product,
  packMl: 400,
  leftMl,
  leftAt: toIso(NOW - 5000),
  opened,
  paid: 800,
});
const coat = (id: string, ml: number, ago = 10): LogEvent => ({
  id,
  at: toIso(NOW - ago),
  kind: 'done',
  pieceId: 'p',
  stepKeys: [id],
  on: [{ partId: 'a', zoneIds: ['z'] }],
  coat: {
    layerId: 'l',
    productId: product,
    name: 'x',
    family: 'lacquer-primer',
    role: 'fine-primer',
    lab: { l: 50, a: 0, b: 0 },
    hand: 'aerosol',
    filmUm: 12,
    placeId: 'room',
    ml,
  },
});
const need = (mix: string, missingMl: number, productId?: string): PaintNeed => ({
  mix,
  what: 'paint',
  productId,
  name: mix,
  family: 'acrylic-lacquer',
  role: 'colour',
  hand: 'aerosol',
  missingMl,
  coatsMl: missingMl,
  neededMl: missingMl,
  shelfMl: 0,
  keptMl: 0,
  jarMl: 0,
  toMixMl: 0,
  portions: [{ amount: missingMl, neededBy: null }],
  byPiece: [],
});

describe('the shelf', () => {
  it('falls by what was sprayed, the emptier can first', () => {
    const cans = shelfCans(facts({ cans: [can('a', 300), can('b', 40)], events: [coat('c', 60)] }));
    expect(cans.find((one) => one.id === 'b')?.leftMl).toBe(0);
    expect(cans.find((one) => one.id === 'a')?.leftMl).toBe(280);
  });
  it('is reset by a weighing, which counts as own evidence', () => {
    const events: LogEvent[] = [
      coat('c', 60, 100),
      { id: 'w', at: toIso(NOW - 50), kind: 'weighed', canId: 'a', leftMl: 120 },
      coat('d', 20),
    ];
    expect(shelfCans(facts({ cans: [can('a', 300)], events }))[0]).toMatchObject({ leftMl: 100, source: 'own', known: 'weighed' });
    const seen = events.map((event) => (event.kind === 'weighed' ? { ...event, by: 'eye' as const } : event));
    expect(shelfCans(facts({ cans: [can('a', 300)], events: seen }))[0]).toMatchObject({ leftMl: 100, known: 'by eye' });
    expect(shelfCans(facts({ cans: [can('a', 300)], events: [] }))[0]).toMatchObject({ known: 'reckoned' });
  });
  it('grows by what was bought, one can a count, and falls again when the purchase is undone', () => {
    const bought: LogEvent = { id: 'b', at: toIso(NOW), kind: 'bought', productId: product, packMl: 400, count: 2, paid: 1600 };
    expect(shelfCans(facts({ events: [bought] }))).toHaveLength(2);
    expect(shelfCans(facts({ events: [bought, { id: 'u', at: toIso(NOW), kind: 'undo', undoes: 'b' }] }))).toHaveLength(0);
  });
  it('never gives the last twentieth of a can', () => {
    expect(usableMl(shelfCans(facts({ cans: [can('a', 300)] })), product, 0.05)).toBe(280);
    expect(usableMl(shelfCans(facts({ cans: [can('a', 10)] })), product, 0.05)).toBe(0);
  });
  it('is a can that sprays: of a bottle, and of what was mixed here, all of it comes out', () => {
    const sprays = shelf.sheets.find(({ hand }) => hand === 'aerosol')?.id;
    const pours = shelf.sheets.find(({ hand }) => hand === 'airbrush')?.id;
    const of = (sheetId: string | undefined) => shelf.products.find((own) => own.sheetId === sheetId);
    const [sprayed, poured] = [of(sprays), of(pours)];
    expect(sprayed && poured).toBeDefined();
    expect(residueOf(sprayed?.id, shelf)).toBe(0.05);
    expect(residueOf(poured?.id, shelf)).toBe(0);
    expect(residueOf('nobody knows', shelf)).toBe(0);
    const mixed = shelf.products.map((own) => (own.id === sprayed?.id ? { ...own, mix: { parts: [{ productId: own.id, ml: 1 }] } } : own));
    expect(residueOf(sprayed?.id, { ...shelf, products: mixed })).toBe(0);
  });
});

const bought = (needs: PaintNeed[], own: Facts) => buyGreedily(wantsOf(needs, { supplies: [], parcels: [] }, own), own);

describe('buying', () => {
  const shops = [
    { id: 'near', name: 'Near', delivery: 0, leadDays: 1 },
    { id: 'far', name: 'Far', delivery: 500, freeOver: 3000, leadDays: 4 },
    { id: 'strict', name: 'Strict', delivery: 100, minimum: 4000, leadDays: 2 },
  ];
  const [one, two] = shelf.products.map((entry) => entry.id);
  const offer = (shopId: string, productId: string, price: number, packMl = 400, stock?: number) => ({
    id: `${shopId}-${productId}-${packMl}`,
    shopId,
    productId,
    packMl,
    price,
    seenOn: '2026-11-01',
    ...(stock === undefined ? {} : { stock }),
  });

  it('buys whole packs', () => {
    const { shops: inShops, total } = bought([need('a', 450, one)], facts({ shops, offers: [offer('near', one, 900)] }));
    expect(inShops[0].lines[0]).toMatchObject({ count: 2, price: 1800, source: 'label' });
    expect(total).toBe(1800);
  });
  it('rather pays more than a second delivery', () => {
    const offers = [offer('near', one, 900), offer('near', two, 950), offer('far', two, 700)];
    const { shops: inShops, total } = bought([need('a', 100, one), need('b', 100, two)], facts({ shops, offers }));
    expect(inShops.map((shop) => shop.shopId)).toEqual(['near']);
    expect(total).toBe(1850);
  });
  it('leaves a shop whose minimum it does not reach, and one without stock', () => {
    const offers = [offer('strict', one, 500), offer('near', one, 900)];
    expect(bought([need('a', 100, one)], facts({ shops, offers })).shops[0].shopId).toBe('near');
    const sold = [offer('near', one, 500, 400, 0), offer('far', one, 900)];
    expect(bought([need('a', 100, one)], facts({ shops, offers: sold })).shops[0].shopId).toBe('far');
  });
  it('counts delivery free over its limit', () => {
    const { total } = bought([need('a', 1500, one)], facts({ shops, offers: [offer('far', one, 900)] }));
    expect(total).toBe(4 * 900);
  });
  it('falls back to a usual price, said to be a default', () => {
    const { shops: inShops } = bought([need('a', 100)], facts());
    expect(inShops[0]).toMatchObject({ shopId: null, delivery: 0 });
    expect(inShops[0].lines[0]).toMatchObject({ source: 'default', price: typicalPack('acrylic-lacquer', 'colour').price });
  });
  it('buys nothing for nothing and knows the quickest way', () => {
    expect(bought([need('a', 0, one)], facts()).total).toBe(0);
    expect(leadDays(facts({ shops, offers: [offer('near', one, 9), offer('far', one, 5)] }), one)).toBe(1);
    expect(leadDays(facts(), one)).toBe(1);
  });
});

describe('the usual pack of a paint', () => {
  it('prices so much of it, of a known paint by its own pack', () => {
    const own = { ...shelf.products[0], typicalMl: 200, typicalPrice: 1000 };
    expect(usualCost({ product: own, family: 'acrylic-lacquer', role: 'colour', hand: 'aerosol' }, 30)).toBe(150);
    expect(usualCost({ family: 'acrylic-lacquer', role: 'colour', hand: 'aerosol' }, 40)).toBe(89);
  });
  it.each([
    ['acrylic-lacquer', 'colour', undefined, 400],
    ['water-acrylic', 'colour', undefined, 17],
    ['water-acrylic', 'fine-primer', undefined, 60],
    ['water-acrylic', 'colour', 'aerosol', 150],
    ['alcohol-acrylic', 'clear', 'aerosol', 150],
    ['acrylic-enamel', 'fine-primer', 'aerosol', 400],
  ] as const)('of %s as %s by %s holds %4$s mL', (family, role, hand, ml) => expect(typicalPack(family, role, hand).ml).toBe(ml));
  it('is dearer for a filler primer', () => {
    const [fine, filler] = (['fine-primer', 'filler-primer'] as const).map((role) => typicalPack('lacquer-primer', role).price);
    expect(filler).toBe(Math.round(fine * 1.15));
  });
});
