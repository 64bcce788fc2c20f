import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newWorkshop } from '#core/buying/index';
import { localMoment, toMinute } from '#core/units/index';
import { type Activity, benchIntervals, type FreeInterval, freeIntervals, type Gap, intersect, type Problem, schedule } from './index.ts';

const act = (id: string, minutes: number, more: Partial<Activity> = {}): Activity => ({
  id,
  minutes,
  priority: 0,
  ...more,
});
const wait = (from: string, to: string, min: number, max: number | null = null, later?: number): Gap => ({
  from: [from],
  to,
  together: max === null ? [] : [from],
  reason: 'wait',
  allowed: (endOf) => {
    const first = { from: endOf(from) + min, to: max === null ? null : endOf(from) + max };
    return later === undefined ? [first] : [first, { from: endOf(from) + later, to: null, scuff: true, scuffMinutes: 5 }];
  },
});
const evening = (day: number): FreeInterval => ({ from: day * 1440 + 1140, to: day * 1440 + 1260 });
const EVENINGS = Array.from({ length: 30 }, (_, day) => evening(day));
const solve = (activities: Activity[], gaps: Gap[] = [], more: Partial<Problem> = {}) =>
  schedule({ now: 0, free: EVENINGS, activities, gaps, changeover: 10, ...more });
const start = (result: ReturnType<typeof schedule>, id: string) => result.placed.get(id)?.start;

describe('placing', () => {
  it('begins in the first free evening', () => {
    const result = solve([act('a', 20)]);
    expect(start(result, 'a')).toBe(1140);
    expect(result.placed.get('a')?.hold).toMatchObject({ by: 'calendar' });
  });
  it('does one thing at a time, and films dry meanwhile', () => {
    const result = solve([act('coat1', 10), act('coat2', 10), act('long', 40)], [wait('coat1', 'coat2', 30)]);
    expect(start(result, 'coat1')).toBe(1140);
    expect(start(result, 'long')).toBeDefined();
    const spans = ['coat1', 'coat2', 'long']
      .map((id) => result.placed.get(id) as { start: number; end: number })
      .sort((a, b) => a.start - b.start);
    for (let i = 1; i < spans.length; i++) expect(spans[i].start).toBeGreaterThanOrEqual(spans[i - 1].end);
  });
  it('keeps a window from being opened that could not be used before bedtime', () => {
    const result = solve([act('busy', 100), act('coat1', 10), act('coat2', 10)], [wait('coat1', 'coat2', 20, 60)], {
      free: [{ from: 0, to: 30 }, ...EVENINGS],
    });
    const [one, two] = [result.placed.get('coat1'), result.placed.get('coat2')];
    expect((two?.start ?? 0) - (one?.end ?? 0)).toBeGreaterThanOrEqual(20);
    expect((two?.start ?? 0) - (one?.end ?? 0)).toBeLessThanOrEqual(60);
  });
  it('takes the later branch with its scuff when the window cannot be kept', () => {
    const short = Array.from({ length: 20 }, (_, day) => ({ from: day * 1440, to: day * 1440 + 15 }));
    const result = solve([act('coat1', 10), act('coat2', 10)], [wait('coat1', 'coat2', 20, 60, 2000)], { free: short });
    expect(result.placed.get('coat2')?.scuff).toBe(true);
    expect((result.placed.get('coat2')?.end ?? 0) - (start(result, 'coat2') ?? 0)).toBe(15);
  });
  it('leaves out what has no legal place, with the reason, and plans the rest', () => {
    const result = solve([act('coat1', 10), act('off', 10), act('other', 10)], [wait('coat1', 'off', 200, 300)], {
      free: EVENINGS.map((span) => ({ from: span.from, to: span.from + 60 })),
    });
    expect(result.unplaced.map((entry) => entry.id)).toEqual(['coat1', 'off']);
    expect(result.unplaced[0].why).toContain('share a window');
    expect(result.unplaced[0].why).toContain('free a longer one');
    expect(start(result, 'other')).toBe(1140);
  });
  it('keeps two paints in the booth apart and lets the same paint follow at once', () => {
    const result = solve([act('red', 10, { mix: 'red' }), act('blue', 10, { mix: 'blue' }), act('red2', 10, { mix: 'red' })]);
    const order = [...result.placed.values()].sort((a, b) => a.start - b.start);
    for (let i = 1; i < order.length; i++) {
      const gap = order[i].start - order[i - 1].end;
      const same = order[i].id.startsWith('red') === order[i - 1].id.startsWith('red');
      expect(gap).toBeGreaterThanOrEqual(same ? 0 : 10);
    }
  });
  it('gives each tool its own time to be cleared, before the other paint and not after it', () => {
    const airbrush = act('airbrush', 10, { mix: 'red', clearing: 17 });
    const can = act('can', 10, { mix: 'blue', clearing: 8 });
    const apart = (first: Activity, second: Activity) => {
      const result = solve([first, second], [wait(first.id, second.id, 0)]);
      return (start(result, second.id) ?? 0) - (result.placed.get(first.id)?.end ?? 0);
    };
    expect([apart(airbrush, can), apart(can, airbrush)]).toEqual([17, 8]);
    const beside = solve([airbrush, act('wash', 12), can], [wait('airbrush', 'wash', 0), wait('wash', 'can', 0)]);
    expect((start(beside, 'can') ?? 0) - (beside.placed.get('wash')?.end ?? 0)).toBe(17);
  });
  it('waits for the air and for a date', () => {
    const result = solve([
      act('spray', 10, { nextAir: (from) => Math.max(from, 2 * 1440 + 1) }),
      act('later', 10, { notBefore: 3 * 1440, notBeforeWhy: 'it must be bought' }),
    ]);
    expect(start(result, 'spray')).toBeGreaterThan(2 * 1440);
    expect(start(result, 'later')).toBeGreaterThanOrEqual(3 * 1440);
  });
  it('puts a window that shuts today before everything else', () => {
    const open: Gap = {
      from: [],
      to: 'now',
      together: [],
      reason: 'shuts soon',
      allowed: () => [
        { from: 0, to: 1160 },
        { from: 4000, to: null },
      ],
    };
    expect(start(solve([act('first', 5), act('now', 10)], [open]), 'now')).toBe(1140);
  });
  it('says so when nobody has time', () => {
    expect(solve([act('a', 10)], [], { free: [] }).unplaced[0].why).toContain('no hour of the week is free');
  });
  it('never breaks a gap, a free interval or the one-person rule', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 3, max: 50 }), fc.integer({ min: 0, max: 90 }), fc.boolean(), fc.integer({ min: 0, max: 2 })), {
          minLength: 2,
          maxLength: 12,
        }),
        (made) => {
          const activities = made.map(([minutes, , , mix], index) =>
            act(`a${index}`, minutes, mix ? { mix: `m${mix}`, clearing: 10 * mix } : {}),
          );
          const gaps = made
            .slice(1)
            .flatMap(([, min, tight], index) =>
              index % 3 === 2 ? [] : [wait(`a${index}`, `a${index + 1}`, min, tight ? min + 60 : null, tight ? 3000 : undefined)],
            );
          const result = solve(activities, gaps);
          const mixOf = (id: string) => made[Number(id.slice(1))][3];
          expect(result.placed.size + result.unplaced.length).toBe(activities.length);
          const placed = [...result.placed.values()].sort((a, b) => a.start - b.start);
          placed.forEach((one, index) => {
            expect(EVENINGS.some((span) => one.start >= span.from && one.end <= span.to + 1e-6)).toBe(true);
            if (index > 0) expect(one.start).toBeGreaterThanOrEqual(placed[index - 1].end - 1e-6);
            const stay = EVENINGS.find((span) => one.start < span.to);
            const own = mixOf(one.id);
            const sprayed = placed.slice(0, index).findLast(({ id, start: at }) => mixOf(id) && at >= (stay?.from ?? 0));
            if (own && sprayed && mixOf(sprayed.id) !== own)
              expect(one.start - placed[index - 1].end).toBeGreaterThanOrEqual(10 * Number(mixOf(sprayed.id)) - 1e-6);
          });
          for (const gap of gaps) {
            const to = result.placed.get(gap.to);
            if (!to) continue;
            const spans = gap.allowed((id) => (result.placed.get(id) as { end: number }).end);
            expect(spans.some((span) => to.start >= span.from - 1e-6 && (span.to === null || to.start <= span.to + 1e-6))).toBe(true);
          }
        },
      ),
      { seed: 9, numRuns: 150 },
    );
  });
});

describe('the air', () => {
  it('is asked for all the minutes of a step, its scuff counted in', () => {
    // Quiet from minute 1200 on, until the next evening.
    const nextAir = (from: number, minutes: number) => (from + minutes <= 1200 || from >= 2580 ? from : 2580);
    const keyed: Gap = {
      from: [],
      to: 'a',
      together: [],
      reason: '',
      allowed: () => [{ from: 0, to: null, scuff: true, scuffMinutes: 25 }],
    };
    expect(start(solve([act('a', 40, { nextAir })]), 'a')).toBe(1140);
    expect(start(solve([act('a', 40, { nextAir })], [keyed]), 'a')).toBe(2580);
  });
});

describe('vessels', () => {
  const load = (batch: string, share: number) => (_: number, end: number) => ({ what: 'oven', batch, share, from: end, to: end + 60 });
  const ends = (one: Activity['loads'], other: Activity['loads'], more: Partial<Problem> = {}) => {
    const { placed } = solve([act('a', 5, { loads: one }), act('b', 5, { loads: other })], [], more);
    return Math.abs((placed.get('a')?.end ?? 0) - (placed.get('b')?.end ?? 0));
  };
  it('take one batch together as far as there is room, another after it', () => {
    expect(ends(load('50', 0.5), load('50', 0.5))).toBe(5);
    expect(ends(load('50', 0.6), load('50', 0.5))).toBeGreaterThanOrEqual(60);
    expect(ends(load('50', 0.2), load('70', 0.2))).toBeGreaterThanOrEqual(60);
    expect(ends(load('50', 0.2), load('70', 0.2), { vessels: { counts: { oven: 2 }, taken: [] } })).toBe(5);
  });
  it('that are taken already are waited for', () => {
    const taken = [{ what: 'oven', batch: '50', share: 0.1, from: 0, to: 1200 }];
    const result = solve([act('a', 5, { loads: load('50', 0.1) })], [], { vessels: { counts: {}, taken } });
    expect([result.placed.get('a')?.end, result.placed.get('a')?.hold.by]).toEqual([1200, 'vessel']);
  });
});

describe('stretches', () => {
  it('intersect, keeping a scuff that either asks', () => {
    expect(
      intersect(
        [
          { from: 0, to: 10 },
          { from: 20, to: null, scuff: true },
        ],
        [{ from: 5, to: 30 }],
      ),
    ).toEqual([
      { from: 5, to: 10, scuff: undefined },
      { from: 20, to: 30, scuff: true, scuffMinutes: 0 },
    ]);
    expect(intersect([{ from: 0, to: 10 }], [{ from: 11, to: null }])).toEqual([]);
  });
});

describe('free time', () => {
  const now = toMinute('2026-12-01T18:30:00Z');
  const { workshop } = newWorkshop('Europe/Lisbon');
  it('repeats the week on the local clock, through daylight saving', () => {
    const spring = toMinute('2026-03-20T12:00:00Z');
    const free = freeIntervals({ ...workshop, freeHours: [{ weekday: 3, from: '19:00', to: '21:00' }] }, spring, { days: 21 });
    for (const span of free) expect(localMoment(span.from, 'Europe/Lisbon').minuteOfDay).toBe(19 * 60);
    expect(free.length).toBeGreaterThanOrEqual(2);
  });
  it('joins what overlaps and leaves out days away', () => {
    const joined = freeIntervals(
      {
        ...workshop,
        freeHours: [{ weekday: 2, from: '19:00', to: '21:00' }],
        extraFree: [{ from: '2026-12-01T20:30:00Z', to: '2026-12-01T22:00:00Z' }],
      },
      now,
      { days: 5 },
    );
    expect(joined[0].to - joined[0].from).toBe(180);
    const away = freeIntervals(
      { ...workshop, freeHours: [{ weekday: 2, from: '19:00', to: '21:00' }], away: [{ from: '2026-12-01', to: '2026-12-07' }] },
      now,
      { days: 10 },
    );
    expect(away[0].from).toBeGreaterThan(now + 6 * 1440);
  });
  it('keeps minutes to lay out and pack up', () => {
    const [bench] = benchIntervals([{ from: now + 60, to: now + 180 }], now);
    expect(bench).toEqual({ from: now + 66, to: now + 175 });
    expect(benchIntervals([{ from: now + 60, to: now + 64 }], now)).toEqual([]);
  });
});
