import type { Budget, Facts, Lot } from '#core/facts/index';
import { conditionsOf } from '#core/drying/index';
import { lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plan } from '../plan.ts';
import { budgetStates, lotShares, moneyByMonth, worthOf } from './index.ts';

/** Budgets of a piece, of several and of a month; what a lot was bought for; what a piece comes to beside what it is worth. */

const bell = (id: string, more = {}) => ({ ...piece(part({ layers: [primer(), lacquer()] }), more), id, name: id });
const workshop = (more: Partial<Facts> = {}): Facts => ({ ...shelf, cans: [], pieces: [bell('a'), bell('b')], ...more });
const planned = (facts: Facts) => plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
const stateOf = (budget: Omit<Budget, 'id'>, more: Partial<Facts> = {}) => {
  const facts = workshop({ ...more, budgets: [{ id: 'x', ...budget }] });
  const made = planned(facts);
  return { made, state: made.budgets[0] };
};

const BOUGHT = {
  id: 'e',
  at: toIso(NOW - 5),
  kind: 'bought',
  productId: shelf.products[0].id,
  packMl: 400,
  count: 1,
  paid: 750,
} as const;

describe('a budget', () => {
  it('of several pieces is held against all of them, to the cent', () => {
    const { made, state } = stateOf({ pieceIds: ['a', 'b'], amount: 1000 });
    const sum = made.pieces.reduce((all, { money }) => all + money.total, 0);
    expect([state.total, state.over]).toEqual([sum, Math.max(0, sum - 1000)]);
    expect(state.overPercent).toBe(Math.round((state.over / 1000) * 100));
    expect(state.forecast).toBeGreaterThanOrEqual(state.total);
  });
  it('of one piece says what its own money says, and one of a piece that is gone holds nothing', () => {
    const { made, state } = stateOf({ pieceIds: ['a'], amount: 100 });
    expect(state.over).toBe(made.pieces.find(({ pieceId }) => pieceId === 'a')?.money.over);
    expect(stateOf({ pieceIds: ['gone'], amount: 100 }).state).toMatchObject({ total: 0, over: 0 });
  });
  it('of nothing is over by all there is, without a share of nothing', () => {
    expect(stateOf({ pieceIds: ['a'], amount: 0 }).state.overPercent).toBe(0);
    expect(stateOf({ pieceIds: ['a'], amount: 0 }).state.over).toBeGreaterThan(0);
  });
  it('of a month holds all that goes out in it: lists, deliveries, lots and parts', () => {
    const month = toIso(NOW).slice(0, 7);
    const { made, state } = stateOf({ month, amount: 100 });
    const beside = made.pieces.reduce((sum, { money }) => sum + money.consumables, 0);
    expect(state.planned).toBe(made.purchases.total + beside);
    const lot: Lot = {
      id: 'l',
      name: 'Box',
      paid: 900,
      postage: 100,
      boughtOn: `${month}-01`,
      split: 'equally',
      pieces: [{ pieceId: 'a' }],
    };
    const more = stateOf({ month, amount: 100 }, { lots: [lot], events: [BOUGHT] }).state;
    expect(more.committed).toBe(1750);
    expect(stateOf({ month: '2031-01', amount: 100 }, { lots: [lot], events: [BOUGHT] }).state).toMatchObject({ committed: 0, planned: 0 });
  });
  it('holds rework besides, and of what is spent only what is still to come', () => {
    const month = toIso(NOW).slice(0, 7);
    const { made, state } = stateOf({ month, amount: 100 });
    const rework = made.pieces.reduce((sum, { money }) => sum + money.forecast - money.total, 0);
    expect(rework).toBeGreaterThan(0);
    expect(state.forecast).toBe(state.total + rework);
    const { state: spent, made: after } = stateOf({ pieceIds: ['a'], amount: 100 }, { events: [{ ...BOUGHT, pieceId: 'a' }] });
    const [money] = after.pieces.filter(({ pieceId }) => pieceId === 'a').map((own) => own.money);
    expect([spent.committed, spent.planned]).toEqual([750, money.total - 750]);
  });
  it('of a month takes what is overdue into this one, a delivery with the first of its order, and no part of a finished piece', () => {
    const month = toIso(NOW).slice(0, 7);
    const shops = [{ id: 'post', name: 'Post', delivery: 490, leadDays: 40 }];
    const offers = shelf.products.map(({ id }) => ({
      id: `o-${id}`,
      shopId: 'post',
      productId: id,
      packMl: 400,
      price: 800,
      seenOn: '2026-11-30',
    }));
    const parcel = { id: 'glass', name: 'Glass', price: 333, arrived: false };
    const done = { ...bell('b'), finished: true, parcels: [parcel] };
    const { made, state } = stateOf({ month, amount: 100 }, { shops, offers, pieces: [bell('a', { parcels: [parcel] }), done] });
    const inMonth = (at: number | null) => toIso(Math.max(at ?? NOW, NOW)).slice(0, 7) === month;
    const [{ lines, delivery }] = made.purchases.shops;
    expect(delivery).toBe(490);
    // The first of the order falls in this month, so the delivery does.
    expect(lines.some(({ orderBy }) => inMonth(orderBy))).toBe(true);
    const listed = lines.reduce((sum, { orderBy, price }) => sum + (inMonth(orderBy) ? price : 0), delivery);
    const beside = made.pieces.reduce((sum, { money }) => sum + money.consumables, 0);
    expect(state.planned).toBe(listed + beside + 333);
    expect(state.about).toBe(false);
  });
  it('that is over stands first', () => {
    const budgets = [
      { id: 'within', pieceIds: ['a'], amount: 90_000 },
      { id: 'over', pieceIds: ['b'], amount: 1 },
    ];
    expect(planned(workshop({ budgets })).budgets.map(({ budget }) => budget.id)).toEqual(['over', 'within']);
  });
});

describe('money by month', () => {
  const facts = workshop({ budgets: [{ id: 'm', month: toIso(NOW).slice(0, 7), amount: 4000 }] });
  it('counts every month once, over the turn of the year, with what may be spent in it', () => {
    const months = moneyByMonth(facts, planned(facts), 3, 2);
    expect(months.map(({ month }) => month)).toEqual(['2026-09', '2026-10', '2026-11', '2026-12', '2027-01', '2027-02']);
    expect(months.map(({ budget }) => budget)).toEqual([null, null, null, 4000, null, null]);
  });
  it('is in all what the plan has still to spend, however it falls', () => {
    const made = planned(facts);
    const all = moneyByMonth(facts, made, 0, 24).reduce((sum, own) => sum + own.planned, 0);
    expect(all).toBe(made.pieces.reduce((sum, { money }) => sum + money.total - money.committed, 0));
  });
});

describe('a can bought for several pieces', () => {
  const paid = 951;
  const facts = workshop({
    events: [
      {
        ...BOUGHT,
        paid,
        shares: [
          { pieceId: 'a', paid: 476 },
          { pieceId: 'b', paid: 475 },
        ],
      },
    ],
  });
  it('is spent on each of them, and on nobody else', () => {
    const { pieces } = planned(facts);
    expect(pieces.map(({ money }) => money.committed)).toEqual([476, 475]);
    const both = budgetStates({ ...facts, budgets: [{ id: 'x', pieceIds: ['a', 'b'], amount: 1 }] }, planned(facts));
    expect(both[0].committed).toBe(paid);
  });
});

describe('a lot', () => {
  const pieces = [bell('a', { worth: 3000 }), bell('b', { worth: 1000 }), bell('c')];
  const lot = (more: Partial<Lot>): Lot => ({
    id: 'l',
    name: 'Box',
    paid: 1000,
    postage: 101,
    split: 'equally',
    pieces: pieces.map(({ id }) => ({ pieceId: id })),
    ...more,
  });
  const prices = (more: Partial<Lot>) => [...lotShares(lot(more), { pieces }).values()].map(({ price }) => price);
  it('is shared equally, by worth, or as typed with the rest shared by the others', () => {
    expect(prices({})).toEqual([334, 333, 333]);
    // The one whose worth nobody has said counts as the mean of the others.
    expect(prices({ split: 'by-worth' })).toEqual([500, 167, 333]);
    expect(prices({ split: 'typed', pieces: [{ pieceId: 'a', share: 600 }, { pieceId: 'b' }, { pieceId: 'c' }] })).toEqual([600, 200, 200]);
  });
  it('typed to more or less than was paid is brought to what was paid', () => {
    const typed = (shares: number[]) => prices({ split: 'typed', pieces: shares.map((share, at) => ({ pieceId: pieces[at].id, share })) });
    expect(typed([1000, 1000])).toEqual([500, 500]);
    expect(typed([100, 300])).toEqual([250, 750]);
  });
  it('adds up to the cent, postage too, however it is split', () => {
    const share = fc.option(fc.integer({ min: 0, max: 5000 }), { nil: undefined });
    fc.assert(
      fc.property(
        fc.record({
          paid: fc.nat({ max: 99_999 }),
          postage: fc.nat({ max: 2000 }),
          split: fc.constantFrom('equally', 'by-worth', 'typed'),
        }),
        fc.array(share, { minLength: 1, maxLength: 6 }),
        (terms, shares) => {
          const own = lotShares(
            lot({
              ...terms,
              pieces: shares.map((typed, at) => ({ pieceId: `p${at}`, ...(typed === undefined ? {} : { share: typed }) })),
            } as Lot),
            { pieces },
          );
          const all = [...own.values()];
          expect(all.reduce((sum, { price }) => sum + price, 0)).toBe(terms.paid);
          expect(all.reduce((sum, { postage }) => sum + postage, 0)).toBe(terms.postage);
        },
      ),
    );
  });
  it('stands beside the work, what the piece will be worth and one that is ready', () => {
    const own = bell('a', { worth: 3000, readyMade: 4000 });
    const worth = worthOf(own, { total: 800, forecast: 950 }, { lots: [lot({ pieces: [{ pieceId: 'a' }] })], pieces: [own] });
    expect(worth).toEqual({
      bought: { price: 1000, postage: 101 },
      work: 800,
      workSafe: 950,
      allIn: 1901,
      allInSafe: 2051,
      gain: 1099,
      saves: 3200,
    });
    expect(worthOf(bell('z'), { total: 800, forecast: 950 }, { lots: [], pieces: [] })).toMatchObject({
      bought: null,
      allIn: 800,
      gain: null,
      saves: null,
    });
  });
});
