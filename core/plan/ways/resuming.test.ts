import { conditionsOf } from '#core/drying/index';
import type { Facts, LogEvent } from '#core/facts/index';
import { coat, lacquer, layer, NOW, part, piece, planOf, primed, primer, shelf } from '#core/invented/index';
import { plan, resumedOn, wrapsFrom } from '#core/plan/index';
import { DAY, toIso } from '#core/units/index';
import { verifyPlan } from '#core/verify/index';
import { describe, expect, it } from 'vitest';

/** A piece laid aside for weeks: from when it may be wrapped, what is done again, and that it is planned from its day on. */

const factsOf = (own: ReturnType<typeof part>, events: readonly LogEvent[], held?: { since: string; until?: string }): Facts => ({
  ...shelf,
  pieces: [piece(own, held ? { held } : {})],
  events: [...events],
});
const inputOf = (facts: Facts) => ({ facts, now: NOW, conditions: conditionsOf(facts, NOW) });
const painted = part({ layers: [primer(), lacquer()] });

describe('a piece laid aside until a day', () => {
  const facts = factsOf(painted, primed, { since: toIso(NOW), until: '2027-01-20' });
  const result = plan({ ...inputOf(facts), datesOf: [] });
  it('begins no sooner, and every step has a date', () => {
    for (const { placed } of result.steps) expect(placed?.start).toBeGreaterThanOrEqual(Date.UTC(2027, 0, 20) / 60_000);
    expect(result.steps.length).toBeGreaterThan(0);
    expect(verifyPlan(result, facts, conditionsOf(facts, NOW))).toEqual([]);
  });
  it('has none without a day, and is planned as ever once the day is past', () => {
    const open = factsOf(painted, primed, { since: toIso(NOW) });
    expect(plan({ ...inputOf(open), datesOf: [] }).steps.every(({ placed }) => placed === null)).toBe(true);
    const past = factsOf(painted, primed, { since: toIso(NOW - 9 * DAY), until: '2026-11-30' });
    const usual = factsOf(painted, primed);
    const starts = (own: Facts) => plan({ ...inputOf(own), datesOf: [] }).steps.map(({ id, placed }) => [id, placed?.start]);
    expect(starts(past)).toEqual(starts(usual));
  });
});

describe('taken up again', () => {
  const half = [...primed, coat('top', 1, 40, 'urethane-2k', 'colour', 25)];
  const own = part({ layers: [primer(), layer('top', 'urethane-2k', 'colour', 2)] });
  it('weeks later, what was open is keyed first; next morning nothing is', () => {
    const facts = factsOf(own, half);
    const weeks = resumedOn('2027-01-20', facts.pieces[0], inputOf(facts));
    expect(weeks.redone.some(({ title }) => title.includes('Coat 2'))).toBe(true);
    expect(weeks.more).toBe(weeks.redone.reduce((sum, { minutes }) => sum + minutes, 0));
    expect(weeks.more).toBeGreaterThan(0);
    expect(weeks.end).toBeGreaterThan(Date.UTC(2027, 0, 20) / 60_000);
    const washed = factsOf(part({ layers: [primer(), lacquer()], finish: 'bare' }), []);
    expect(resumedOn('2027-01-20', washed.pieces[0], inputOf(washed)).redone).toEqual([]);
  });
  it('costs minutes and paper for each coat whose window is missed', () => {
    const second = planOf(own, half).steps.find(({ coat: on }) => on?.layerId === 'top' && on.number === 2);
    expect(second?.window?.to).not.toBeNull();
    expect(second?.later?.from).toBeGreaterThan(second?.window?.to ?? Number.POSITIVE_INFINITY);
    expect(second?.later?.minutes).toBe(second?.scuffMinutes);
    expect(second?.later?.cost).toBeGreaterThan(0);
    const lacquered = planOf(painted, primed).steps.find(({ coat: on }) => on?.family === 'acrylic-lacquer' && on.number === 2);
    expect(lacquered?.later).toBeUndefined();
  });
});

describe('wrapping', () => {
  it('waits for the last film to cure, and not at all where nothing hangs', () => {
    const result = planOf(painted, [...primed, coat('colour', 1, 30, 'acrylic-lacquer', 'colour', 12)]);
    const cured = Math.max(...result.hanging.flatMap(({ hung }) => hung?.times.cured ?? []));
    expect(cured).toBeGreaterThan(NOW + 60);
    expect(wrapsFrom('bell', result.hanging, NOW)).toBe(cured);
    expect(wrapsFrom('another', result.hanging, NOW)).toBe(NOW);
    const never = result.hanging.map((own) =>
      own.hung ? { ...own, hung: { ...own.hung, times: { ...own.hung.times, cured: null } } } : own,
    );
    expect(wrapsFrom('bell', never, NOW)).toBeNull();
  });
});
