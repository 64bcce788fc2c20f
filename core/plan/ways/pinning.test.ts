import { conditionsOf } from '#core/drying/index';
import type { Facts, Piece } from '#core/facts/index';
import { NOW, part, piece, shelf } from '#core/invented/index';
import { dropRefused, plan, type Plan, type PlannedStep, shownIn, tryPin, withPin } from '#core/plan/index';
import { DAY, toIso } from '#core/units/index';
import { verifyPlan } from '#core/verify/index';
import { describe, expect, it } from 'vitest';

/** A step put to another time by hand: what refuses it, what it moves, and what stays. */

const other = (): Piece => piece(part({ id: 'lid', name: 'Lid', pegs: [2] }), { id: 'box', name: 'Box', createdAt: toIso(NOW + 1) });
const facts: Facts = { ...shelf, pieces: [piece(part()), other()] };
const conditions = conditionsOf(facts, NOW);
const input = { facts, now: NOW, conditions };
const planned = (own: Facts): Plan => plan({ ...input, facts: own, datesOf: [] });
const asIs = planned(facts);
const shown = shownIn(asIs);
const stepOf = (key: string, of: Plan = asIs): PlannedStep => {
  const found = of.steps.find(({ id }) => id === key);
  if (!found?.placed) throw new Error(`The plan has no ${key}.`);
  return found;
};
const clock = (at: number) => new Date(at * 60_000).toISOString().slice(11, 16);
const evening = (number: number) => asIs.free.filter(({ from }) => from > NOW)[number];
const primer = stepOf('box.lid.coat.primer.1');
const pinnedAt = (at: number) => tryPin(input, primer, at, shown);

describe('a step dropped', () => {
  const refused = (at: number) => dropRefused(primer, at, asIs, clock);
  it('in the past is refused', () => expect(refused(NOW - 60)).toBe('That time has passed.'));
  it('where nobody is at the bench is refused, with the next stay', () => {
    expect(refused(evening(0).from - 120)).toContain(`the next stay with room begins ${clock(evening(0).from)}`);
    expect(refused(evening(0).to - 2)).toContain('You are not free then');
  });
  it('before what it waits for is refused, with the moment', () => {
    const from = primer.window?.from ?? 0;
    const early = Math.ceil(NOW + 1);
    expect(from).toBeGreaterThan(early + 5);
    expect(refused(early)).toContain(`Not before ${clock(from)}`);
  });
  it('into a free stay is tried', () => expect(refused(evening(1).from + 30)).toBeNull());
});

describe('a pin tried', () => {
  it('begins when it was put, takes along what must follow, and leaves the other piece alone', () => {
    const at = Math.ceil(evening(1).from) + 30;
    const tried = pinnedAt(at);
    expect(tried).toMatchObject({ refused: null, start: at, lost: [] });
    expect(tried.moved.own).toBeGreaterThan(0);
    expect(tried.moved.others).toBe(0);
    expect(tried.ends.map(({ pieceId }) => pieceId)).toEqual(['box']);
    expect(tried.ends[0].later).toBeGreaterThan(0.5 * DAY);
  });
  it('that no plan can keep says why', () => {
    const tried = pinnedAt(Math.ceil(NOW + 5));
    expect(tried.refused).not.toBeNull();
    expect(tried.start).toBeGreaterThan(tried.at + 15);
  });
  it('and saved gives that plan, breaks no rule, and is gone once it is taken out', () => {
    const at = Math.ceil(evening(1).from) + 30;
    const agreed = withPin(undefined, primer, at, NOW, shown);
    const kept = planned({ ...facts, agreed: [agreed] });
    expect(stepOf(primer.id, kept)).toMatchObject({ pinnedTo: at, placed: { start: at } });
    expect(verifyPlan(kept, facts, conditions)).toEqual([]);
    const out = withPin(agreed, primer, null, NOW, shownIn(kept));
    expect(out.pins).toEqual({});
    expect(stepOf(primer.id, planned({ ...facts, agreed: [out] })).placed?.start).toBeLessThanOrEqual(at);
  });
});
