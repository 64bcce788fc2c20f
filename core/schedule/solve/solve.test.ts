import { inventedInstance } from '#core/invented/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  brokenBy,
  collisionOf,
  finishOf,
  GOALS,
  holdsOf,
  type Instance,
  leastRoom,
  sessionsIn,
  solveFor,
  type Starts,
  type Work,
} from '../index.ts';

const LIMIT = { nodes: 100_000 };
const CASES = process.env.PROOF ? 2000 : 100;
const solved = (instance: Instance, goal: (typeof GOALS)[number] = 'soonest'): Starts => {
  const { starts } = solveFor(goal, instance, LIMIT);
  if (!starts) throw new Error('it has a schedule');
  return starts;
};
const job = (id: string, minutes: number, more: Partial<Work> = {}): Work => ({ id, minutes, attended: true, uses: new Map(), ...more });
const bench = (work: Work[], more: Partial<Instance> = {}): Instance => ({
  work,
  waits: [],
  kept: [],
  free: [
    { from: 0, to: 120 },
    { from: 1440, to: 1560 },
    { from: 2880, to: 3000 },
  ],
  capacity: new Map(),
  changeover: new Map(),
  ...more,
});
const booth = { uses: new Map([['booth', 1]]) };
const sprayed = { capacity: new Map([['booth', 1]]), changeover: new Map([['booth', 10]]) };

/** Minute by minute, from the words of the contract: what no search has any part in. */
function brokenMinute({ work, waits, kept, free, capacity, changeover }: Instance, starts: Starts): string | null {
  const end = (at: number) => starts[at] + work[at].minutes;
  for (const { from, to, allowed } of waits) {
    const waited = starts[to] - end(from);
    if (allowed.filter(({ min, max }) => min <= waited && waited <= (max ?? waited)).length === 0) return `wait ${from} ${to}`;
  }
  const last = Math.max(...work.map((_, at) => end(at)));
  for (let now = 0; now < last; now++) {
    const running = work.flatMap((_, at) => (starts[at] <= now && now < end(at) ? [at] : []));
    const attended = running.filter((at) => work[at].attended);
    if (attended.length > 1) return `two at once at ${now}`;
    for (const at of attended) {
      const span = free.find(({ from, to }) => from <= now && now < to);
      if (!span || end(at) > span.to || starts[at] < span.from) return `outside the hours at ${now}`;
    }
    for (const [resource, units] of capacity) {
      const held =
        running.reduce((sum, at) => sum + (work[at].uses.get(resource) ?? 0), 0) +
        kept.reduce((sum, own) => sum + (own.resource === resource && starts[own.from] <= now && now < end(own.to) ? own.units : 0), 0);
      if (held > units) return `${resource} overfull at ${now}`;
    }
  }
  for (const [resource, minutes] of changeover)
    for (const [one, a] of work.entries())
      for (const [other, b] of work.entries()) {
        if (one === other || !a.uses.has(resource) || !b.uses.has(resource) || !a.mix || !b.mix || a.mix === b.mix) continue;
        if (starts[one] <= starts[other] && starts[other] < end(one) + minutes) return `change of colour at ${resource}`;
      }
  return work.some((own, at) => starts[at] < (own.notBefore ?? 0) || end(at) > (own.notAfter ?? end(at))) ? 'bounds' : null;
}

describe('a schedule', () => {
  it('breaks no constraint, for any goal', () => {
    let found = 0;
    for (let seed = 1; seed <= CASES; seed++) {
      const instance = inventedInstance(seed);
      for (const goal of GOALS) {
        const { starts } = solveFor(goal, instance, LIMIT);
        if (!starts) continue;
        found++;
        expect([seed, goal, brokenMinute(instance, starts), brokenBy(instance, starts)]).toEqual([seed, goal, null, null]);
      }
    }
    expect(found).toBeGreaterThan(CASES);
  });
  it('is the same each time, and each goal is best at its own', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const instance = inventedInstance(seed);
      const [soonest, fewest, calmest] = GOALS.map((goal) => solveFor(goal, instance, LIMIT));
      expect(solveFor('soonest', instance, LIMIT)).toEqual(soonest);
      expect([seed, fewest.starts === null, calmest.starts === null]).toEqual([seed, soonest.starts === null, soonest.starts === null]);
      if (!soonest.starts || !fewest.starts || !calmest.starts) continue;
      expect(finishOf(instance, soonest.starts)).toBeLessThanOrEqual(finishOf(instance, fewest.starts));
      expect(finishOf(instance, soonest.starts)).toBeLessThanOrEqual(finishOf(instance, calmest.starts));
      expect(sessionsIn(instance, fewest.starts).length).toBeLessThanOrEqual(sessionsIn(instance, soonest.starts).length);
      expect(leastRoom(instance, calmest.starts)).toBeGreaterThanOrEqual(leastRoom(instance, soonest.starts));
    }
  });
  it('never comes sooner for more work, nor later for more hours', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), (seed) => {
        const instance = inventedInstance(seed, 8);
        const whole = solveFor('soonest', instance, LIMIT).starts;
        if (!whole) return;
        const more = solveFor('soonest', { ...instance, work: [...instance.work, job('more', 30)] }, LIMIT).starts;
        if (more) expect(finishOf({ work: [...instance.work, job('more', 30)] }, more)).toBeGreaterThanOrEqual(finishOf(instance, whole));
        const hours = [...instance.free, { from: 9000, to: 9300 }];
        const later = solveFor('soonest', { ...instance, free: hours }, LIMIT).starts;
        expect(later && finishOf(instance, later)).toBe(finishOf(instance, whole));
      }),
      { seed: 3, numRuns: 60 },
    );
  });
});

describe('waits and hours', () => {
  it('go back into a window or on to the next, whichever ends sooner', () => {
    const coats = (shuts: number, again: number) =>
      bench([job('a', 30), job('b', 30), job('other', 60)], {
        waits: [
          {
            from: 0,
            to: 1,
            allowed: [
              { min: 20, max: shuts },
              { min: again, max: null },
            ],
          },
        ],
      });
    const near = coats(40, 2000);
    const [a, b] = solved(near);
    expect(b - a - 30).toBeGreaterThanOrEqual(20);
    expect(b - a - 30).toBeLessThanOrEqual(40);
    expect(
      solved(
        bench([job('a', 100), job('b', 100)], {
          waits: [
            {
              from: 0,
              to: 1,
              allowed: [
                { min: 10, max: 15 },
                { min: 1000, max: null },
              ],
            },
          ],
        }),
      )[1],
    ).toBe(1440);
  });
  it('lets what needs nobody run on through the night', () => {
    const [, soak, rinse] = solved(
      bench([job('in', 20), job('soak', 600, { attended: false }), job('out', 20)], {
        waits: [
          { from: 0, to: 1, allowed: [{ min: 0, max: 0 }] },
          { from: 1, to: 2, allowed: [{ min: 0, max: null }] },
        ],
      }),
    );
    expect([soak, rinse]).toEqual([20, 1440]);
  });
  it('draws what opens a window towards what must follow in it', () => {
    const instance = bench([job('coat', 30), job('long', 100), job('next', 30)], {
      waits: [
        { from: 0, to: 2, allowed: [{ min: 0, max: 90 }] },
        { from: 1, to: 2, allowed: [{ min: 0, max: null }] },
      ],
    });
    const starts = solved(instance);
    expect(brokenBy(instance, starts)).toBeNull();
    expect(starts[2] - starts[0] - 30).toBeLessThanOrEqual(90);
    expect(holdsOf(instance, starts).get('coat')?.by).not.toBe('nothing');
  });
});

describe('the booth', () => {
  it('keeps two colours apart by the change, and one colour side by side', () => {
    const two = bench([job('white', 20, { ...booth, mix: 'white' }), job('red', 20, { ...booth, mix: 'red' })], sprayed);
    expect(Math.abs(solved(two)[0] - solved(two)[1])).toBe(30);
    const one = bench([job('white', 20, { ...booth, mix: 'white' }), job('too', 20, { ...booth, mix: 'white' })], sprayed);
    expect(Math.abs(solved(one)[0] - solved(one)[1])).toBe(20);
  });
  it('is held from one piece of work to another where it is kept', () => {
    const instance = bench([job('open', 10), job('close', 10), job('spray', 20, booth)], {
      ...sprayed,
      waits: [{ from: 0, to: 1, allowed: [{ min: 40, max: null }] }],
      kept: [{ resource: 'booth', units: 1, from: 0, to: 1 }],
    });
    const [open, close, spray] = solved(instance);
    expect(spray >= close + 10 || spray + 20 <= open).toBe(true);
  });
});

describe('the three goals', () => {
  const spread = bench([job('a', 60), job('b', 60), job('c', 60)], {
    waits: [{ from: 0, to: 1, allowed: [{ min: 30, max: null }] }],
    free: [
      { from: 0, to: 70 },
      { from: 200, to: 270 },
      { from: 400, to: 470 },
      { from: 600, to: 900 },
    ],
  });
  it('are three sessions soon, or one later', () => {
    expect(sessionsIn(spread, solved(spread))).toEqual([0, 1, 2]);
    const fewest = solved(spread, 'fewest-sessions');
    expect(sessionsIn(spread, fewest)).toEqual([3]);
    expect(finishOf(spread, fewest)).toBe(780);
  });
  it('are the most room before a window shuts', () => {
    const window = bench([job('coat', 20), job('next', 20), job('other', 60)], {
      waits: [{ from: 0, to: 1, allowed: [{ min: 10, max: 100 }] }],
    });
    const starts = solved(window, 'calmest');
    expect(leastRoom(window, starts)).toBe(90);
    expect(leastRoom(bench([job('a', 10)]), [0])).toBe(1440);
  });
});

/** Everything that could be dropped, by kind and id. */
function everyWish({ work, waits, kept, capacity, changeover }: Instance): string[] {
  const between = ({ from, to }: { from: number; to: number }) => `${work[from].id}>${work[to].id}`;
  return [
    ...waits.map((own) => `wait ${between(own)}`),
    ...kept.map((own) => `keep ${between(own)}`),
    ...work.flatMap(({ id, notBefore, notAfter }) => [
      ...(notBefore === undefined ? [] : [`notBefore ${id}`]),
      ...(notAfter === undefined ? [] : [`notAfter ${id}`]),
    ]),
    ...[...capacity.keys()].map((id) => `capacity ${id}`),
    ...[...changeover.keys()].map((id) => `changeover ${id}`),
    'calendar free',
  ];
}

/** The problem without a wish; where two waits have the same ends, without both. */
function dropped(instance: Instance, wish: string): Instance {
  const [kind, id] = wish.split(' ');
  const { work } = instance;
  const other = ({ from, to }: { from: number; to: number }) => `${work[from].id}>${work[to].id}` !== id;
  switch (kind) {
    case 'wait':
      return { ...instance, waits: instance.waits.filter(other) };
    case 'keep':
      return { ...instance, kept: instance.kept.filter(other) };
    case 'capacity':
      return { ...instance, capacity: new Map([...instance.capacity].filter(([own]) => own !== id)) };
    case 'changeover':
      return { ...instance, changeover: new Map([...instance.changeover].filter(([own]) => own !== id)) };
    case 'calendar':
      return { ...instance, free: [{ from: 0, to: 1_000_000 }] };
    default:
      return { ...instance, work: work.map((own) => (own.id === id ? { ...own, [kind]: undefined } : own)) };
  }
}

describe('wishes that collide', () => {
  it('are irreducible: without any one of them there is a schedule', () => {
    let seen = 0;
    for (let seed = 1; seed <= 120 && seen < 20; seed++) {
      const instance = inventedInstance(seed);
      const { starts, proven } = solveFor('soonest', instance, LIMIT);
      if (starts || !proven) continue;
      seen++;
      const collision = collisionOf(instance, LIMIT);
      expect(collision.wishes.length).toBeGreaterThan(0);
      expect([seed, collision.proven]).toEqual([seed, true]);
      const all = everyWish(instance);
      const given = collision.wishes.map(({ kind, id }) => `${kind} ${id}`);
      const without = (gone: readonly string[]) => solveFor('soonest', gone.reduce(dropped, instance), LIMIT);
      // By themselves they collide, and without any one of them they do not.
      const others = all.filter((wish) => !given.includes(wish));
      expect([seed, without(others)]).toEqual([seed, { starts: null, proven: true }]);
      for (const one of given) expect([seed, one, without([...others, one]).starts !== null]).toEqual([seed, one, true]);
    }
    expect(seen).toBe(20);
  });
  it('name the hours, a bound and a wait in words', () => {
    const short = bench([job('a', 200)]);
    expect(collisionOf(short, LIMIT).wishes).toEqual([{ kind: 'calendar', id: 'free', text: 'the hours that are free' }]);
    const late = bench([job('a', 30, { notBefore: 60 }), job('b', 30, { notAfter: 100 })], {
      waits: [{ from: 0, to: 1, allowed: [{ min: 10, max: null }] }],
    });
    expect(collisionOf(late, LIMIT).wishes.map(({ kind }) => kind)).toEqual(['wait', 'notBefore', 'notAfter']);
  });
  it('are not named where time ran out before anything was proven', () => {
    const instance = inventedInstance(3);
    expect(solveFor('soonest', instance, { nodes: 0 })).toEqual({ starts: null, proven: false });
  });
});

describe('what holds a piece of work', () => {
  it('is said of each', () => {
    const instance = bench(
      [
        job('late', 20, { notBefore: 15 }),
        job('after', 20),
        job('red', 20, { ...booth, mix: 'red' }),
        job('white', 20, { ...booth, mix: 'white' }),
        job('long', 110),
      ],
      { ...sprayed, waits: [{ from: 0, to: 1, allowed: [{ min: 5, max: null }] }] },
    );
    const starts: Starts = [15, 40, 60, 90, 1440];
    expect(brokenBy(instance, starts)).toBeNull();
    expect(Object.fromEntries(holdsOf(instance, starts))).toEqual({
      late: { by: 'notBefore' },
      after: { by: 'window', with: 'late' },
      red: { by: 'person', with: 'after' },
      white: { by: 'mix', with: 'red' },
      long: { by: 'calendar' },
    });
    expect(holdsOf(bench([job('a', 5)]), [0]).get('a')).toEqual({ by: 'nothing' });
  });
});
