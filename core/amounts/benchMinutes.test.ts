import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import { type Facts, workshopSchema } from '#core/facts/index';
import { lacquer, layer, NOW, part, piece, primer, shelf, workshop } from '#core/invented/index';
import { plan } from '#core/plan/index';
import { benchMinutes } from './index.ts';

/** Minutes round spraying, the usual ones and a person's own. */

/** Long enough for primer and colour in one stay. */
const WHOLE_DAYS = [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '09:00', to: '22:00' }));
/** Two pieces that take another primer each on the first day. */
const facts = (own: Facts['workshop'][0]['benchMinutes'], hand: 'aerosol' | 'airbrush' | 'gun'): Facts => ({
  ...shelf,
  workshop: [
    { ...shelf.workshop[0], hands: ['aerosol', 'airbrush', 'gun', 'brush'], freeHours: WHOLE_DAYS, ...(own ? { benchMinutes: own } : {}) },
  ],
  pieces: [
    piece(part({ id: 'one', finish: 'bare', layers: [primer({ hand }), lacquer(2, { hand })] })),
    piece(part({ id: 'two', pegs: [2], finish: 'bare', layers: [layer('fill', 'lacquer-primer', 'filler-primer', 2, { hand })] }), {
      id: 'gong',
    }),
  ],
});
const coats = (own: Facts) => {
  const { steps } = plan({ facts: own, now: NOW, conditions: conditionsOf(own, NOW), datesOf: [] });
  return steps.filter(({ coat, placed }) => coat && placed).sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0));
};
/** The least minutes between the end of what was done before and another paint in the same stay. */
const changes = (own: Facts) => {
  const { steps, free } = plan({ facts: own, now: NOW, conditions: conditionsOf(own, NOW), datesOf: [] });
  const placed = steps.filter((step) => step.placed).sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0));
  const stayOf = (at: number) => free.findIndex((span) => at < span.to);
  return placed.flatMap((step, index) => {
    const start = step.placed?.start ?? 0;
    const sprayed = placed.slice(0, index).findLast(({ coat }) => coat);
    if (!step.coat || !sprayed?.coat || sprayed.coat.mix === step.coat.mix || stayOf(sprayed.placed?.start ?? 0) !== stayOf(start))
      return [];
    return [start - (placed[index - 1].placed?.end ?? 0)];
  });
};

describe('minutes round spraying', () => {
  it('are the usual ones where nothing else is said, one by one', () => {
    expect(benchMinutes({})).toEqual({ setUp: 10, change: 5, cleanUp: { aerosol: 3, airbrush: 12, gun: 20, brush: 5 } });
    const own = benchMinutes({ benchMinutes: { change: 2, cleanUp: { airbrush: 25 } } });
    expect(own).toEqual({ setUp: 10, change: 2, cleanUp: { aerosol: 3, airbrush: 25, gun: 20, brush: 5 } });
  });
  it.each([
    [undefined, 'aerosol', 8],
    [undefined, 'gun', 25],
    [{ change: 10, cleanUp: { aerosol: 15 } }, 'aerosol', 25],
    [{ change: 0, cleanUp: { aerosol: 0 } }, 'aerosol', 0],
  ] as const)('with %j leave %s so long before another paint: %i min', (own, hand, least) => {
    const apart = changes(facts(own, hand));
    expect(apart.length).toBeGreaterThan(0);
    for (const minutes of apart) expect(minutes).toBeGreaterThanOrEqual(least - 1e-6);
  });
  it('of set-up stand in the first coat of a batch, and a later one needs no more than it', () => {
    const setUps = (setUp?: number) =>
      coats(facts(setUp === undefined ? undefined : { setUp }, 'aerosol')).map((step) => [step.coat?.number, step.setup]);
    expect(new Set(setUps().map(String))).toEqual(new Set(['1,10', '2,2']));
    expect(new Set(setUps(25).map(String))).toEqual(new Set(['1,25', '2,2']));
    expect(new Set(setUps(1).map(String))).toEqual(new Set(['1,1', '2,1']));
  });
  it('are whole minutes of two hours at most', () => {
    const fits = (own: object) => workshopSchema.safeParse({ ...workshop, benchMinutes: own }).success;
    expect([fits({ setUp: 0 }), fits({ cleanUp: { gun: 120 } }), fits({})]).toEqual([true, true, true]);
    expect([fits({ setUp: -1 }), fits({ change: 121 }), fits({ setUp: 2.5 }), fits({ cleanUp: { mop: 3 } })]).toEqual([
      false,
      false,
      false,
      false,
    ]);
  });
});
