import { type DoneEvent, EMPTY_FACTS, type Piece, type WorkStage } from '#core/facts/index';
import { NOW, part, planOf, steps } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { historyOf } from '../films/index.ts';
import { learnedPace, learnedWork } from './workPace.ts';

/** `go` tells one go from another: each stands at its own moment. */
const took = (stage: WorkStage, minutes: number, expected: number, go = 0): DoneEvent => ({
  id: `${stage}${minutes}-${go}`,
  at: toIso(NOW - 50_000 + go),
  kind: 'done',
  pieceId: 'other',
  stepKeys: [`other.body.${stage}.-.1`],
  on: [{ partId: 'body', zoneIds: ['all'] }],
  minutes,
  expected,
});
const factor = (stage: WorkStage, events: DoneEvent[]) => learnedPace({ events })(stage, null);

describe('the pace of a person', () => {
  it('is as the trade has it until the log says otherwise', () => expect(factor('prep', [])).toBe(1));
  it.each([
    ['quicker', 10, 20],
    ['slower', 40, 20],
  ])('is drawn towards what the log saw, %s', (way, minutes, expected) => {
    const once = factor('prep', [took('prep', minutes, expected)]);
    const often = factor(
      'prep',
      Array.from({ length: 20 }, (_, index) => took('prep', minutes, expected, index)),
    );
    expect(way === 'quicker' ? once < 1 : once > 1).toBe(true);
    expect(Math.abs(Math.log(often))).toBeGreaterThan(Math.abs(Math.log(once)));
  });
  it('speaks of its own kind of work alone', () => expect(factor('wash', [took('prep', 60, 20)])).toBe(1));
  it('bears no wild figure: a night forgotten at the bench counts as four times at most', () => {
    const events = Array.from({ length: 60 }, (_, index) => took('prep', 2000, 10, index));
    expect(factor('prep', events)).toBeLessThanOrEqual(4);
    const none = Array.from({ length: 60 }, (_, index) => took('prep', 0.1, 100, index));
    expect(factor('prep', none)).toBeGreaterThanOrEqual(0.25);
  });
  it('takes what was done in one go as one', () => {
    const together = [took('prep', 40, 20), { ...took('prep', 60, 30), id: 'other' }];
    expect(learnedWork(together)).toEqual([{ stage: 'prep', goes: 1, factor: factor('prep', [took('prep', 100, 50)]) }]);
  });
  it.each([2, 0.5])('comes the whole way when the plan itself follows what it has learned (%s times as long)', (real) => {
    const events: DoneEvent[] = [];
    for (let go = 0; go < 60; go++) {
      const planned = 20 * factor('prep', events);
      events.push(took('prep', 20 * real, planned, go));
    }
    expect(Math.abs(Math.log(factor('prep', events) / real))).toBeLessThan(0.06);
  });
  it('learns nothing from an entry without its minutes', () => {
    const { minutes: _minutes, ...silent } = took('prep', 40, 20);
    expect(factor('prep', [silent])).toBe(1);
  });
});

describe('minutes typed for a piece', () => {
  const minutesOf = (stage: WorkStage, more: Partial<Piece>, events: DoneEvent[] = []) =>
    steps(planOf(part({ finish: 'bare' }), events, more), stage).reduce((sum, step) => sum + step.minutes, 0);
  it('come before what was learned', () => {
    const slow = Array.from({ length: 20 }, (_, index) => took('prep', 60, 20, index));
    expect(minutesOf('prep', {}, slow)).toBeGreaterThan(minutesOf('prep', {}));
    const typed = { minutes: { prep: 30 } };
    expect(minutesOf('prep', typed)).toBeGreaterThan(27);
    expect(minutesOf('prep', typed)).toBeLessThan(33);
  });
  it('are shared by the parts they are worked over', () => {
    const parts = [part({ id: 'a', finish: 'bare', pegs: [] }), part({ id: 'b', finish: 'bare', pegs: [] })];
    const both = steps(planOf(part(), [], { parts, minutes: { wash: 50 } }), 'wash').reduce((sum, step) => sum + step.minutes, 0);
    expect(Math.abs(both - 50)).toBeLessThanOrEqual(3);
  });
  it('change no other kind of work', () => {
    expect(minutesOf('wash', { minutes: { prep: 90 } })).toBe(minutesOf('wash', {}));
  });
  it('lengthen the whole piece by just what was added', () => {
    const all = (more: Partial<Piece>) => planOf(part({ finish: 'bare' }), [], more).pieces[0].attendedMinutes;
    const plain = minutesOf('fit', {});
    expect(all({ minutes: { fit: plain + 20 } }) - all({})).toBe(20);
  });
});

describe('the history of a piece', () => {
  it('keeps the minutes of every entry for the pace', () => {
    const facts = { ...EMPTY_FACTS, events: [took('prep', 40, 20)] };
    expect(learnedPace(historyOf(facts))('prep', null)).toBeGreaterThan(1);
  });
});
