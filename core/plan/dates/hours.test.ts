import { conditionsOf } from '#core/drying/index';
import type { Facts, Layer, Piece, Workshop } from '#core/facts/index';
import { at, lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { outsideQuiet, without } from '#core/schedule/index';
import { addDays, atLocal, DAY, localMoment, toIso } from '#core/units/index';
import { verifyPlan } from '#core/verify/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plan } from '../index.ts';

/** Whose turn it is, what is laid aside, and hours in which nothing loud runs. */

const ZONE = 'Europe/Lisbon';
const coated = (more: Partial<Piece> = {}, layers: Layer[] = [primer(), lacquer()]) => piece(part({ finish: 'bare', layers }), more);
const other = (more: Partial<Piece> = {}) => coated({ id: 'second', name: 'Second', createdAt: toIso(NOW + 1), ...more });
const planned = (pieces: Piece[], change: Partial<Workshop> = {}) => {
  const facts: Facts = { ...shelf, workshop: [{ ...shelf.workshop[0], ...change }], pieces };
  const conditions = conditionsOf(facts, NOW);
  const result = plan({ facts, now: NOW, conditions, seed: 1 });
  expect(verifyPlan(result, facts, conditions)).toEqual([]);
  return result;
};
const endOf = (result: ReturnType<typeof planned>, id: string) => result.pieces.find(({ pieceId }) => pieceId === id)?.planned ?? 0;
const firstOf = (result: ReturnType<typeof planned>, id: string) => Math.min(...result.steps.filter((step) => step.pieceId === id).map(at));

describe('a turn', () => {
  it('first or last is kept beside another piece that came before', () => {
    expect(firstOf(planned([coated(), other({ turn: 'first' })]), 'second')).toBeLessThan(
      firstOf(planned([coated(), other({ turn: 'first' })]), 'bell'),
    );
    const last = planned([coated({ turn: 'last' }), other()]);
    expect(firstOf(last, 'second')).toBeLessThan(firstOf(last, 'bell'));
  });
  it('by the hour it is needed is late by the clock of the workshop', () => {
    const result = planned([coated()]);
    const safe = result.pieces[0].safe ?? 0;
    const { date } = localMoment(safe, ZONE);
    const late = (neededAt?: string) => planned([coated({ neededBy: date, ...(neededAt ? { neededAt } : {}) })]).pieces[0].late;
    expect(late('00:01')).toBe(true);
    expect(late()).toBe(false);
  });
});

describe('a piece that is laid aside', () => {
  const result = planned([coated({ held: { since: toIso(NOW), where: 'in the dry box' } }), other()]);
  it('has no date, says where it lies, and leaves its hours to the others', () => {
    const own = result.steps.filter((step) => step.pieceId === 'bell');
    expect(own.length).toBeGreaterThan(3);
    expect(own.every(({ placed, stopped }) => placed === null && stopped?.includes('in the dry box'))).toBe(true);
    expect(result.pieces.find(({ pieceId }) => pieceId === 'bell')?.noDateWhy).toContain('take it up again');
    expect(endOf(result, 'second')).toBeLessThanOrEqual(endOf(planned([coated(), other()]), 'second'));
    expect(
      result.needs.every(
        ({ coatsMl }) => coatsMl < (planned([coated(), other()]).needs.find((own1) => own1.what === 'paint')?.coatsMl ?? 0) + 1e-9,
      ),
    ).toBe(true);
  });
});

const morningAfter = (date: string) => atLocal(addDays(date, 1), 7 * 60, ZONE);

describe('quiet hours', () => {
  const airbrushed: Layer = { id: 'colour', productId: 'starter-water-acrylic-colour-product', coats: 2, covers: 'all', hand: 'airbrush' };
  const quietHours = [{ from: '19:30', to: '20:30' }];
  it('let no compressor run, and let a spray can do', () => {
    const loud = planned([coated({}, [primer(), airbrushed])], { quietHours });
    const byAir = loud.steps.filter((step) => step.coat?.hand === 'airbrush');
    expect(byAir.length).toBeGreaterThan(0);
    for (const step of byAir) {
      const from = localMoment(at(step), ZONE).minuteOfDay;
      const to = localMoment((step.placed?.end ?? 0) - 0.01, ZONE).minuteOfDay;
      expect(to <= 19.5 * 60 || from >= 20.5 * 60).toBe(true);
    }
    const quiet = planned([coated()], { quietHours });
    expect(endOf(quiet, 'bell')).toBe(endOf(planned([coated()]), 'bell'));
  });
  it('go over midnight, and are found by the clock on both days of a change', () => {
    const night = [{ from: '22:00', to: '07:00' }];
    for (const date of ['2026-12-01', '2026-10-25', '2027-03-28']) {
      expect(outsideQuiet(night, ZONE, atLocal(date, 23 * 60, ZONE), 10)).toBe(morningAfter(date));
      expect(outsideQuiet(night, ZONE, atLocal(date, 12 * 60, ZONE), 60)).toBe(atLocal(date, 12 * 60, ZONE));
      // It would run into them: not before they are over.
      expect(outsideQuiet(night, ZONE, atLocal(date, 21.5 * 60, ZONE), 60)).toBe(morningAfter(date));
    }
    expect(outsideQuiet([{ from: '00:00', to: '23:59' }], ZONE, NOW, 30)).toBeNull();
    expect(outsideQuiet(undefined, ZONE, NOW, 30)).toBe(NOW);
  });
});

describe('stretches with others cut out', () => {
  const spans = fc.array(fc.tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 30 })), { maxLength: 8 }).map((list) => {
    let now = 0;
    return list.map(([gap, length]) => {
      const from = now + gap + 1;
      now = from + length;
      return { from, to: now };
    });
  });
  it('are, minute by minute, those that are free and not busy', () => {
    fc.assert(
      fc.property(spans, spans, (free, busy) => {
        const left = without(free, busy);
        const inside = (list: readonly { from: number; to: number }[], minute: number) =>
          list.some(({ from, to }) => from <= minute && minute < to);
        for (let minute = 0; minute < 400; minute++) expect(inside(left, minute)).toBe(inside(free, minute) && !inside(busy, minute));
        expect(left.every(({ from, to }) => from < to)).toBe(true);
      }),
      { seed: 2, numRuns: 150 },
    );
  });
  it('of whole weeks leave the plan without a date, in words', () => {
    const busy = [{ id: 'c', name: 'c', readAt: toIso(NOW), spans: [{ from: toIso(NOW - DAY), to: toIso(NOW + 300 * DAY) }] }];
    const facts: Facts = { ...shelf, calendars: busy, pieces: [coated()] };
    const result = plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
    expect(result.pieces[0].noDateWhy).toContain('no hour');
  });
});

describe('what matters', () => {
  const pieces = () => [
    coated(),
    other({ neededBy: undefined }),
    coated({ id: 'third', name: 'Third', createdAt: toIso(NOW + 2) }, [
      primer({ flatAfter: 800 }),
      { id: 'enamel', productId: 'starter-alkyd-enamel-colour-product', coats: 2, covers: 'all', hand: 'brush' },
    ]),
  ];
  const soonest = planned(pieces());
  const staysOf = (result: typeof soonest) => result.sessions.length;
  /** Room before each window that shuts. */
  const rooms = (result: typeof soonest) =>
    result.steps.flatMap(({ placed, window }) => (placed && window?.to != null ? [window.to - placed.start] : []));
  it('the fewest stays are never more, and all is still planned', () => {
    const fewest = planned(pieces(), { goal: 'fewest-sessions' });
    expect(staysOf(fewest)).toBeLessThan(staysOf(soonest));
    expect(fewest.steps.every(({ placed }) => placed !== null)).toBe(true);
  });
  it('the most room leaves no window tighter than the soonest end does', () => {
    const calmest = planned(pieces(), { goal: 'calmest' });
    expect(calmest.steps.every(({ placed }) => placed !== null)).toBe(true);
    expect(Math.min(...rooms(calmest))).toBeGreaterThanOrEqual(Math.min(...rooms(soonest)));
  });
  it('is the same plan each time', () => {
    for (const goal of ['fewest-sessions', 'calmest'] as const) {
      const starts = () => planned(pieces(), { goal }).steps.map(({ id, placed }) => [id, placed?.start]);
      expect(starts()).toEqual(starts());
    }
  });
});
