import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { neededDates, portionsLacking } from './portions.ts';

const use = (at: number | null, amount: number) => ({ at, amount });

describe('what is lacking, bit by bit', () => {
  it('is wanted from the use on that what is at hand no longer covers', () => {
    expect(portionsLacking([use(30, 4), use(10, 5), use(20, 5)], 7, 7)).toEqual([
      { amount: 3, neededBy: 20 },
      { amount: 4, neededBy: 30 },
    ]);
  });
  it('holds the jar and what whole pieces ask for in its last portion', () => {
    expect(portionsLacking([use(10, 5), use(20, 5)], 5, 8)).toEqual([{ amount: 8, neededBy: 20 }]);
  });
  it('has no day where its uses have none, and these come last', () => {
    expect(portionsLacking([use(null, 5), use(10, 5)], 0, 10)).toEqual([
      { amount: 5, neededBy: 10 },
      { amount: 5, neededBy: null },
    ]);
    expect(portionsLacking([], 0, 3)).toEqual([{ amount: 3, neededBy: null }]);
  });
  it('is nothing where nothing has to be bought', () => expect(portionsLacking([use(10, 5)], 9, 0)).toEqual([]));
  it('adds up to what has to be bought, in order of time', () => {
    const uses = fc.array(
      fc.record({ at: fc.option(fc.integer({ min: 0, max: 9 })), amount: fc.double({ min: 0.1, max: 9, noNaN: true }) }),
    );
    fc.assert(
      fc.property(uses, fc.double({ min: 0, max: 30, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true }), (list, atHand, jar) => {
        const inAll = Math.max(0, list.reduce((sum, { amount }) => sum + amount, 0) - atHand) + jar;
        const portions = portionsLacking(list, atHand, inAll);
        expect(portions.reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(inAll, 6);
        const days = portions.map(({ neededBy }) => neededBy ?? 99);
        expect(days).toEqual([...days].sort((a, b) => a - b));
      }),
      { seed: 7 },
    );
  });
});

describe('packs of what is wanted bit by bit', () => {
  const pack = (leadDays: number, amount: number) => ({ leadDays, amount });
  const portions = [
    { amount: 40, neededBy: 100 },
    { amount: 300, neededBy: 900 },
  ];
  it('are each needed when what came before them is used up', () => {
    const [near, far] = [pack(1, 50), pack(9, 400)];
    const dates = neededDates(
      [
        { pack: far, count: 1 },
        { pack: near, count: 1 },
      ],
      portions,
    );
    expect([dates.get(near), dates.get(far)]).toEqual([100, 900]);
  });
  it('serve the first portion first, however far they come from', () => {
    const far = pack(9, 400);
    expect(neededDates([{ pack: far, count: 1 }], portions).get(far)).toBe(100);
    const small = pack(2, 25);
    expect(
      neededDates(
        [
          { pack: small, count: 1 },
          { pack: far, count: 1 },
        ],
        portions,
      ).get(far),
    ).toBe(100);
    expect(
      neededDates(
        [
          { pack: small, count: 2 },
          { pack: far, count: 1 },
        ],
        portions,
      ).get(far),
    ).toBe(900);
    const more = pack(12, 400);
    expect(
      neededDates(
        [
          { pack: far, count: 1 },
          { pack: more, count: 1 },
        ],
        portions,
      ).get(more),
    ).toBe(900);
  });
});
