import { type Facts, type LogEvent, standingEvents } from '#core/facts/index';
import { coat, lacquer, NOW, piece, part, shelf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { canFact, shelfCans, unnotedPaint, usableMl } from './index.ts';

/** Paint that was sprayed without a word on where it came from. */

const productId = lacquer().productId as string;
const product = shelf.products.find(({ id }) => id === productId) as Facts['products'][number];
const sprayed = (id: string, pieceId: string, ml: number, minutesAgo: number, more: object = {}): LogEvent => {
  const event = coat('colour', 1, minutesAgo, 'acrylic-lacquer', 'colour', 12) as Extract<LogEvent, { kind: 'done' }>;
  return { ...event, id, pieceId, supplies: [], coat: { ...event.coat, ml }, ...more } as LogEvent;
};
const facts = (events: LogEvent[], more: Partial<Facts> = {}): Facts => ({
  ...shelf,
  cans: [],
  pieces: [piece(part()), piece(part({ id: 'other', pegs: [2] }), { id: 'gong' })],
  events,
  ...more,
});
const outside = (own: Facts) => unnotedPaint(own, standingEvents(own.events)).flatMap(({ paid: shares }) => shares);
const paid = (own: Facts) => Object.fromEntries(outside(own).map(({ pieceId, paid: minor }) => [pieceId, minor]));
const two = [sprayed('one', 'bell', 30, 90), sprayed('two', 'gong', 15, 50)];

describe('paint nobody noted buying', () => {
  it('came out of a can that stands on the shelf since, paid by those who took of it, to the cent', () => {
    const own = facts(two);
    const [can, ...others] = shelfCans(own);
    expect(others).toEqual([]);
    expect(can).toMatchObject({ productId, packMl: product.typicalMl, paid: product.typicalPrice, opened: true, source: 'default' });
    expect(can.leftMl).toBeCloseTo(product.typicalMl - 45, 6);
    expect(canFact(can.id, own)?.productId).toBe(productId);
    const { bell, gong } = paid(own);
    expect(bell + gong).toBe(product.typicalPrice);
    expect(bell / gong).toBeCloseTo(2, 1);
  });
  it('costs what the cheapest shop that has it asks', () => {
    const offers = [890, 700, 500].map((price, index) => ({
      id: `o${index}`,
      shopId: 's',
      productId,
      packMl: 400,
      price,
      seenOn: '2026-11-01',
      ...(price === 500 ? { stock: 0 } : {}),
    }));
    expect(paid(facts([sprayed('one', 'bell', 30, 90)], { offers })).bell).toBe(700);
  });
  it('is a second can where one is not enough', () => {
    const own = facts([sprayed('one', 'bell', 390, 90), sprayed('two', 'bell', 200, 50)]);
    expect(shelfCans(own)).toHaveLength(2);
    expect(paid(own).bell).toBe(2 * product.typicalPrice);
    expect(usableMl(shelfCans(own), productId, 0)).toBeCloseTo(2 * product.typicalMl - 590, 6);
  });
  it('leaves a rest in each can: what will not come out is no paint', () => {
    const cansFor = (ml: number) => shelfCans(facts([sprayed('one', 'bell', ml, 90)])).length;
    expect([379, 381, 759, 761].map(cansFor)).toEqual([1, 2, 2, 3]);
    expect(unnotedPaint(facts(two), two)[0].leftMl).toBeCloseTo(0.95 * product.typicalMl - 45, 6);
  });
  it('is paid by each piece on the day it was first sprayed from it', () => {
    const days = Object.fromEntries(outside(facts(two)).map(({ pieceId, at }) => [pieceId, NOW - at]));
    expect(days).toEqual({ bell: 90, gong: 50 });
  });
  it('counts paint from the can alone: not what was mixed in for that coat, nor what its label says is', () => {
    const left = (own: Facts) => product.typicalMl - shelfCans(own)[0].leftMl;
    const base = (sprayed('one', 'bell', 30, 90) as { coat: object }).coat;
    const thinned = { coat: { ...base, ml: 30, hand: 'airbrush', ratio: { reducer: 1, hardener: 0.5 } } };
    expect(left(facts([sprayed('one', 'bell', 30, 90, thinned)]))).toBeCloseTo(30 / 2.5, 6);
    const sheets = shelf.sheets.map((sheet) =>
      sheet.id === product.sheetId ? { ...sheet, label: { thinning: { usual: 2 } } } : sheet,
    ) as Facts['sheets'];
    const byLabel = { coat: { ...base, ml: 30, hand: 'airbrush' } };
    expect(left(facts([sprayed('one', 'bell', 30, 90, byLabel)], { sheets }))).toBeCloseTo(10, 6);
  });
  it('is nothing where a can of it was entered or bought, before or after', () => {
    const can = { ...shelf.cans[0], id: 'mine', productId, leftAt: toIso(NOW) };
    expect(outside(facts(two, { cans: [can] }))).toEqual([]);
    const buying: LogEvent = { id: 'b', at: toIso(NOW - 5), kind: 'bought', productId, packMl: 400, count: 1, paid: 800 };
    expect(outside(facts([...two, buying]))).toEqual([]);
  });
  it('is nothing of what is remembered, or was logged before supplies were', () => {
    expect(outside(facts([sprayed('one', 'bell', 30, 90, { recalled: true })]))).toEqual([]);
    expect(outside(facts([sprayed('one', 'bell', 30, 90, { supplies: undefined })]))).toEqual([]);
  });
  it('goes with the coat that is taken back, and what was said of its can with it', () => {
    const undone: LogEvent = { id: 'u', at: toIso(NOW), kind: 'undo', undoes: 'one' };
    const own = facts([two[0]]);
    const can = canFact(shelfCans(own)[0].id, own) as Facts['cans'][number];
    const placed = { ...can, placeId: shelf.places[0].id };
    expect(shelfCans(facts([two[0]], { cans: [placed] }))).toHaveLength(1);
    expect(paid(facts([two[0]], { cans: [placed] })).bell).toBe(product.typicalPrice);
    expect(shelfCans(facts([two[0], undone], { cans: [placed] }))).toEqual([]);
    expect(outside(facts([two[0], undone]))).toEqual([]);
  });
  it('went into a mix and is borne by the pieces that were sprayed from it, each paint out of a can of its own', () => {
    const mixed: LogEvent = {
      id: 'm',
      at: toIso(NOW - 95),
      kind: 'mixed',
      productId: 'own',
      parts: [
        { productId, ml: 30 },
        { productId: 'other-paint', ml: 15 },
      ],
    };
    const second = { ...product, id: 'other-paint', typicalPrice: 300, typicalMl: 60 };
    const own = { ...product, id: 'own', mix: { parts: mixed.parts } };
    const from = (id: string, pieceId: string, ml: number) =>
      sprayed(id, pieceId, ml, 90, { coat: { ...(two[0] as { coat: object }).coat, productId: 'own', ml } });
    const all = facts([mixed, from('one', 'bell', 20), from('two', 'gong', 10)], { products: [...shelf.products, second, own] });
    const sum = (pieceId: string) =>
      outside(all)
        .filter((share) => share.pieceId === pieceId)
        .reduce((minor, share) => minor + share.paid, 0);
    expect(sum('bell') + sum('gong')).toBe(product.typicalPrice + 300);
    expect(sum('bell') / sum('gong')).toBeCloseTo(2, 1);
    const left = new Map(shelfCans(all).map((can) => [can.productId, can.leftMl]));
    expect([left.get(productId), left.get('other-paint')]).toEqual([product.typicalMl - 30, 45]);
    expect(left.get('own')).toBeCloseTo(15, 6);
    expect(new Set(shelfCans(all).map(({ id }) => id)).size).toBe(3);
    expect(outside({ ...all, events: [mixed] })).toEqual([]);
    // Sprayed by itself before that: the can it came out of is the one the cup was poured from.
    const before = facts([mixed, from('one', 'bell', 20), sprayed('early', 'bell', 5, 200)], {
      products: [...shelf.products, second, own],
    });
    expect(shelfCans(before).find((can) => can.productId === productId)?.id).toBe('early-0');
  });
  it('takes no can away whose id only looks like that of an entry', () => {
    const mine = { ...shelf.cans[0], id: 'one-0', productId: 'another', leftAt: toIso(NOW - 999) };
    expect(shelfCans(facts(two, { cans: [mine] })).map(({ productId: of }) => of)).toContain('another');
    const wait: LogEvent = {
      id: 'w',
      at: toIso(NOW),
      kind: 'wait',
      pieceId: 'bell',
      stepKeys: ['bell.body.wash.-.1'],
      until: toIso(NOW + 9),
    };
    expect(shelfCans(facts([wait], { cans: [{ ...mine, id: 'w-1' }] }))).toHaveLength(1);
  });
  it('stands on no shelf where it is no product yet, and is paid all the same', () => {
    const own = facts([
      sprayed('one', 'bell', 30, 90, {
        coat: {
          layerId: 'x',
          name: 'sea green',
          family: 'acrylic-lacquer',
          role: 'colour',
          lab: product.lab,
          hand: 'aerosol',
          filmUm: 12,
          placeId: shelf.places[0].id,
          ml: 30,
        },
      }),
    ]);
    expect(shelfCans(own)).toEqual([]);
    expect(paid(own).bell).toBeGreaterThan(0);
  });
});
