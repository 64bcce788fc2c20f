import { EMPTY_FACTS, type Facts, type LogEvent, type Stock } from '#core/facts/index';
import { toIso } from '#core/units/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asKept, boughtOutside, lostPaint, shelfCans, shelfStock, starterShelf, supplyUses, wasBought } from './index.ts';

/** Every can and every row of stock balances after any events and their undoing: nothing appears, nothing is lost without a word. */

const NOW = 30_000_000;
const shelf = starterShelf();
const [one, two] = shelf.products.map(({ id }) => id);
const facts = (more: Partial<Facts>): Facts => ({ ...EMPTY_FACTS, ...shelf, stock: [], ...more });
const row = (left: number | undefined, ago = 1000): Stock => ({
  id: 'p400',
  kind: 'paper',
  spec: 'P400',
  unit: 'sheet',
  leftAt: toIso(NOW - ago),
  ...(left === undefined ? {} : { left }),
});
const done = (id: string, at: number, amount: number): LogEvent => ({
  id,
  at: toIso(at),
  kind: 'done',
  pieceId: 'p',
  stepKeys: ['p.a.key'],
  on: [{ partId: 'a', zoneIds: ['z'] }],
  supplies: [{ kind: 'paper', spec: 'P400', unit: 'sheet', amount }],
});
const stocked = (id: string, at: number, amount: number, paid = 140): LogEvent => ({
  id,
  at: toIso(at),
  kind: 'stocked',
  supply: 'paper',
  spec: 'P400',
  unit: 'sheet',
  amount,
  paid,
});
const leftOf = (stock: Stock[], events: LogEvent[]) => shelfStock(facts({ stock, events }))[0]?.left;

describe('a row of stock', () => {
  it('falls by what steps used, grows by what was bought, and is reset by a count', () => {
    expect(leftOf([row(5)], [done('d', NOW - 10, 2)])).toBe(3);
    expect(leftOf([row(5)], [stocked('s', NOW - 20, 4), done('d', NOW - 10, 2.5)])).toBe(6.5);
    const counted: LogEvent = { id: 'c', at: toIso(NOW - 5), kind: 'counted', stockId: 'p400', left: 1 };
    expect(leftOf([row(5)], [done('d', NOW - 10, 2), counted, done('e', NOW - 2, 0.5)])).toBe(0.5);
  });
  it('knows nothing of what was before it was counted, and is never below nothing', () => {
    expect(leftOf([row(5)], [done('d', NOW - 2000, 2), stocked('s', NOW - 1500, 9)])).toBe(5);
    expect(leftOf([row(1)], [done('d', NOW - 10, 3)])).toBe(0);
  });
  it('that was never counted stays some, and one that was bought only is there with its price', () => {
    expect(leftOf([row(undefined)], [stocked('s', NOW - 10, 4)])).toBeUndefined();
    expect(shelfStock(facts({ events: [stocked('s', NOW - 10, 4)] }))).toMatchObject([{ id: 's', spec: 'P400', left: 4, unitPrice: 35 }]);
  });
  it('that was bought stays with nothing left when it is taken off, its price in whole cents or not at all', () => {
    const events = [stocked('s', NOW - 10, 500, 640)];
    const [bought] = shelfStock(facts({ events }));
    expect([wasBought(bought, { events }), wasBought({ ...bought, spec: 'P800' }, { events })]).toEqual([true, false]);
    expect(bought.unitPrice).toBeCloseTo(1.28, 9);
    expect(asKept(bought)).not.toHaveProperty('unitPrice');
    expect(asKept({ ...bought, unitPrice: 35 }).unitPrice).toBe(35);
    const off = { ...asKept(bought), left: 0, leftAt: toIso(NOW) };
    expect(shelfStock(facts({ stock: [off], events }))).toMatchObject([{ id: 's', left: 0 }]);
  });
  it('counted in another unit is left alone', () => {
    const metres: LogEvent = { ...done('d', NOW - 10, 2), supplies: [{ kind: 'paper', spec: 'P400', unit: 'm', amount: 2 }] } as LogEvent;
    expect(leftOf([row(5)], [metres])).toBe(5);
  });
});

describe('what was used and never noted as bought', () => {
  const outside = (stock: Stock[], events: LogEvent[]) =>
    boughtOutside(facts({ stock, events })).map(({ pieceId, paid }) => [pieceId, paid]);
  it('was bought outside, at the price that is known; what stood here was not', () => {
    expect(outside([], [done('d', NOW - 10, 2)])).toEqual([['p', 70]]);
    expect(outside([row(1.5)], [done('d', NOW - 10, 2)])).toEqual([['p', 18]]);
    expect(outside([row(5)], [done('d', NOW - 10, 2)])).toEqual([]);
    expect(outside([row(undefined)], [done('d', NOW - 10, 2)])).toEqual([]);
  });
  it('of the minute of a count is among what was counted then, and one bought in it stands there', () => {
    const counted: LogEvent = { id: 'c', at: toIso(NOW), kind: 'counted', stockId: 'p400', left: 1 };
    expect(leftOf([row(5)], [counted, done('d', NOW, 1)])).toBe(0);
    expect(leftOf([row(5)], [stocked('s', NOW - 1000, 4)])).toBe(9);
    expect(leftOf([row(5)], [{ ...counted, stockId: 'another' }])).toBe(5);
  });
  it('was not, where it had been bought before it was used', () => {
    expect(outside([], [stocked('s', NOW - 20, 4), done('d', NOW - 10, 2)])).toEqual([]);
    expect(outside([], [done('d', NOW - 20, 2), stocked('s', NOW - 10, 4)])).toEqual([['p', 70]]);
  });
});

describe('gloves and tack cloths', () => {
  const worn = (id: string, pieceId: string, at: number, stage: string, more = {}): LogEvent =>
    ({ ...done(id, at, 1), pieceId, stepKeys: [`${pieceId}.a.${stage}.x`], supplies: [], ...more }) as LogEvent;
  const lines = (events: LogEvent[]) => supplyUses(facts({ events })).map(({ pieceId, line }) => [pieceId, line.spec, line.amount]);
  it('are worn once a day, two pairs with stripper, and shared by the pieces of that day', () => {
    expect(lines([worn('a', 'p', NOW, 'clean'), worn('b', 'p', NOW + 30, 'clean')])).toEqual([['p', 'nitrile', 1]]);
    expect(lines([worn('a', 'p', NOW, 'strip-on')])).toEqual([]);
    expect(lines([worn('a', 'p', NOW, 'strip-on', { method: 'gel' })])).toEqual([['p', 'for strippers', 2]]);
    expect(lines([worn('a', 'p', NOW, 'clean'), worn('b', 'q', NOW + 30, 'clean')])).toEqual([
      ['p', 'nitrile', 0.5],
      ['q', 'nitrile', 0.5],
    ]);
    expect(lines([worn('a', 'p', NOW, 'clean'), worn('b', 'p', NOW + 2880, 'clean')])).toHaveLength(2);
    expect(lines([worn('a', 'p', NOW, 'teardown'), worn('b', 'p', NOW + 5, 'metal-prep')])).toEqual([['p', 'nitrile', 1]]);
  });
  it('go with a fifth of a tack cloth where any of it was sprayed', () => {
    const [sprayed] = eventsOf([{ what: 'coat', ml: 5, of: 0 }]);
    expect(lines([worn('a', 'p', NOW, 'clean'), sprayed])).toEqual([
      ['p', 'nitrile', 1],
      ['p', 'tack cloth', 0.2],
    ]);
  });
  it('are not made up for what was logged before supplies were noted, for what was remembered, or for work with bare hands', () => {
    expect(lines([worn('a', 'p', NOW, 'clean', { supplies: undefined })])).toEqual([]);
    expect(lines([worn('a', 'p', NOW, 'clean', { recalled: true })])).toEqual([]);
    expect(lines([worn('a', 'p', NOW, 'teardown')])).toEqual([]);
  });
});

type Said = {
  readonly what: 'coat' | 'buy' | 'mix' | 'spoil' | 'weigh' | 'stock' | 'use' | 'undo';
  readonly ml: number;
  readonly of: number;
};
const said = fc.record({
  what: fc.constantFrom<Said['what']>('coat', 'buy', 'mix', 'spoil', 'weigh', 'stock', 'use', 'undo'),
  ml: fc.integer({ min: 1, max: 300 }),
  of: fc.nat({ max: 40 }),
});

/** Events a minute apart, as a person may log them in any order. */
function eventsOf(list: readonly Said[]): LogEvent[] {
  return list.map(({ what, ml, of }, at): LogEvent => {
    const head = { id: `e${at}`, at: toIso(NOW + at) };
    const productId = of % 2 === 0 ? one : two;
    const canId = of % 3 === 0 ? 'can' : `e${of}-0`;
    if (what === 'buy') return { ...head, kind: 'bought', productId, packMl: 400, count: 1 + (of % 2), paid: 801 };
    if (what === 'mix') return { ...head, kind: 'mixed', productId: two, parts: [{ productId: one, ml }] };
    if (what === 'spoil') return { ...head, kind: 'spoiled', canId, why: 'dried' };
    if (what === 'weigh') return { ...head, kind: 'weighed', canId, leftMl: Math.min(ml, 400) };
    if (what === 'stock') return stocked(head.id, NOW + at, ml);
    if (what === 'use') return done(head.id, NOW + at, ml / 100);
    if (what === 'undo') return { ...head, kind: 'undo', undoes: `e${of}` };
    const layer = { layerId: 'l', productId, name: 'x', family: 'acrylic-lacquer', role: 'colour', hand: 'brush' } as const;
    return {
      ...done(head.id, NOW + at, 1),
      supplies: [],
      coat: { ...layer, lab: { l: 50, a: 0, b: 0 }, filmUm: 12, placeId: 'room', ml },
    } as LogEvent;
  });
}

describe('the whole shelf', () => {
  const can = { id: 'can', productId: one, packMl: 400, leftMl: 300, leftAt: toIso(NOW - 10), opened: true, paid: 800 };
  it('holds in every can between nothing and what it can, and a purchase undone leaves no can', () => {
    fc.assert(
      fc.property(fc.array(said, { maxLength: 40 }), (list) => {
        const events = eventsOf(list);
        const cans = shelfCans(facts({ cans: [can], events }));
        for (const own of cans) {
          expect(own.leftMl).toBeGreaterThanOrEqual(-1e-9);
          expect(own.leftMl).toBeLessThanOrEqual(Math.max(own.packMl, 400) + 1e-9);
        }
        for (const own of shelfStock(facts({ stock: [row(7)], events }))) expect(own.left).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 300 },
    );
  });
  it('gives back exactly what every event took once all of them are undone', () => {
    fc.assert(
      fc.property(fc.array(said, { maxLength: 25 }), (list) => {
        const events = eventsOf(list.filter(({ what }) => what !== 'undo'));
        const undone = events.map((event, at): LogEvent => ({ id: `u${at}`, at: toIso(NOW + 1000 + at), kind: 'undo', undoes: event.id }));
        const own = { cans: [can], stock: [row(7)] };
        const after = facts({ ...own, events: [...events, ...undone] });
        expect(shelfCans(after)).toEqual(shelfCans(facts(own)));
        expect(shelfStock(after)).toEqual(shelfStock(facts(own)));
        expect(lostPaint(after)).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });
  it('is emptied by coats and mixes by just what they took, as long as there is enough', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 30 }), { maxLength: 10 }), (list) => {
        const events = eventsOf(list.map((ml, at): Said => ({ what: at % 2 === 0 ? 'coat' : 'mix', ml, of: 0 })));
        const all = shelfCans(facts({ cans: [can], events }));
        const mixed = list.reduce((sum, ml, at) => (at % 2 === 0 ? sum : sum + ml), 0);
        const sprayed = list.reduce((sum, ml, at) => (at % 2 === 0 ? sum + ml : sum), 0);
        expect(all.find(({ id }) => id === 'can')?.leftMl).toBeCloseTo(300 - mixed - sprayed, 9);
        expect(all.reduce((sum, own) => sum + own.leftMl, 0)).toBeCloseTo(300 - sprayed, 9);
        // What a can had cost stands in the jars that were filled from it, to the cent of each.
        const jars = all.filter(({ productId }) => productId === two);
        for (const jar of jars) expect(jar.paid).toBe(Math.round((jar.packMl / 400) * 800));
      }),
    );
  });
});
