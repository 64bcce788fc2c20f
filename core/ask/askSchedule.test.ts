import { describe, expect, it } from 'vitest';
import { ask } from './ask.ts';

/** `ask schedule` as a script meets it: answers, collisions, and what it says of bad input. */

const EVENINGS = [
  { from: 0, to: 90 },
  { from: 1440, to: 1530 },
  { from: 2880, to: 2970 },
];
const base = {
  goal: 'soonest',
  free: EVENINGS,
  capacity: { booth: 1, rack: 3 },
  activities: [
    { id: 'prime', minutes: 20, attended: true, uses: { booth: 1 }, mix: 'grey' },
    { id: 'colour', minutes: 20, attended: true, uses: { booth: 1 }, mix: 'red' },
    { id: 'bake', minutes: 300, attended: false },
  ],
  gaps: [
    {
      from: 'prime',
      to: 'colour',
      allowed: [
        [10, 40],
        [600, null],
      ],
    },
    { from: 'colour', to: 'bake', allowed: [[30, null]] },
  ],
  keeps: [{ resource: 'rack', units: 1, from: 'prime', to: 'bake' }],
  changeover: { booth: 8 },
};
const answered = (input: object) => {
  const asked = ask('schedule', input);
  if (!asked.ok) throw new Error(`${asked.problem.at}: ${asked.problem.error}`);
  return asked.answer as Record<string, unknown>;
};
const refused = (change: object) => {
  const asked = ask('schedule', { ...base, ...change });
  return asked.ok ? null : asked.problem;
};

describe('ask schedule', () => {
  it.each([
    ['soonest', 1],
    ['fewest-sessions', 1],
    // Calmest is the stretch that never shuts, an evening later.
    ['calmest', 2],
  ])('answers the goal %s', (goal, sessions) => {
    const answer = answered({ ...base, goal });
    expect(answer).toMatchObject({ proven: true, sessions, rule: 'scheduling', source: 'default' });
    expect(Object.keys(answer.starts as object)).toEqual(['prime', 'colour', 'bake']);
    expect(Object.keys(answer.holds as object)).toEqual(['prime', 'colour', 'bake']);
    expect((answer.sessionList as { activities: string[] }[]).flatMap((own) => own.activities)).toEqual(['prime', 'colour']);
    expect(String(answer.because)).toContain('3 steps end at minute');
  });
  it('says what holds each, and why a coat waits', () => {
    expect(answered(base)).toMatchObject({
      starts: { prime: 0, colour: 30, bake: 80 },
      finish: 380,
      holds: { prime: { by: 'nothing' }, colour: { by: 'window', with: 'prime' }, bake: { by: 'window', with: 'colour' } },
    });
  });
  it('joins stretches that meet, in any order', () => {
    const gaps = [
      {
        from: 'prime',
        to: 'colour',
        allowed: [
          [40, 60],
          [10, 45],
          [600, null],
        ],
      },
      base.gaps[1],
    ];
    expect(answered({ ...base, gaps })).toMatchObject({ starts: { colour: 30 } });
  });
  it('names wishes that collide, in words', () => {
    const activities = base.activities.map((own) => (own.id === 'colour' ? { ...own, notAfter: 45 } : own));
    const answer = answered({ ...base, activities });
    expect(answer.starts).toBeUndefined();
    expect(answer.collide).toEqual([
      { kind: 'wait', id: 'prime>colour', text: 'the wait from prime to colour' },
      { kind: 'notAfter', id: 'colour', text: 'colour done by 45' },
    ]);
    expect(String(answer.because)).toContain('Without any one of them');
    expect(String(answered({ ...base, free: [] }).because)).toContain('the hours that are free');
  });
  it.each([
    [
      {
        free: [
          { from: 0, to: 30 },
          { from: 20, to: 60 },
        ],
      },
      'free',
      'overlap',
    ],
    [{ free: [{ from: 30, to: 30 }] }, 'free', 'begins before it ends'],
    [{ activities: [base.activities[0], base.activities[0]] }, 'activities', 'same id'],
    [{ gaps: [{ from: 'prime', to: 'gloss', allowed: [[0, null]] }] }, 'gaps.0.to', 'No activity'],
    [{ gaps: [{ from: 'prime', to: 'prime', allowed: [[0, null]] }] }, 'gaps.0', 'two different'],
    [{ gaps: [{ from: 'prime', to: 'colour', allowed: [[40, 10]] }] }, 'gaps.0.allowed.0', 'not below its least'],
    [{ capacity: { rack: 3 } }, 'activities.0.uses.booth', 'No resource'],
    [{ keeps: [{ resource: 'shelf', units: 1, from: 'prime', to: 'bake' }] }, 'keeps.0.resource', 'No resource'],
    [
      { activities: [{ ...base.activities[0], notBefore: 100, notAfter: 110 }, ...base.activities.slice(1)] },
      'activities.0.notAfter',
      'before it can',
    ],
    [{ activities: [{ ...base.activities[0], minutes: 0 }, ...base.activities.slice(1)] }, 'activities.0.minutes', 'at least a minute'],
    [{ activities: [] }, 'activities', 'at least one activity'],
    [{ goal: 'cheapest' }, 'goal', 'Invalid'],
    [{ hurry: true }, '(whole)', 'Unknown field'],
  ])('says where %o is wrong', (change, at, error) => {
    expect(refused(change)).toMatchObject({ at: expect.stringContaining(at), error: expect.stringContaining(error) });
  });
  it('takes touching intervals for two sessions', () => {
    const free = [
      { from: 0, to: 25 },
      { from: 25, to: 100 },
    ];
    expect(answered({ ...base, free })).toMatchObject({ sessions: 2 });
  });
});
