import { conditionsOf } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import { lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { datedLike, plan, planInTwo, planView } from './index.ts';

/** The plan at once and the whole of it: one plan, but for the dates that take their time. */

const facts: Facts = {
  ...shelf,
  pieces: [
    piece(part({ layers: [primer(), lacquer()] })),
    piece(part({ id: 'other', pegs: [2], layers: [primer({ id: 'p2' }), lacquer(2, { id: 'c2' })] }), {
      id: 'gong',
      neededBy: '2026-12-02',
    }),
  ],
};
const input = { facts, now: NOW, conditions: conditionsOf(facts, NOW) };
const { undated, whole } = planInTwo(input);
const undatedPieces = (own: ReturnType<typeof planView>) => own.pieces.map((one) => ({ ...one, likely: null, safe: null, late: false }));

describe('a plan in two', () => {
  it('has the same steps, money and needs at once, and no likely or safe date yet', () => {
    const [first, last] = [planView(undated), planView(whole())];
    expect(first.pieces.every(({ likely, safe, late }) => likely === null && safe === null && !late)).toBe(true);
    expect(undatedPieces(first)).toEqual(undatedPieces(last));
    const { pieces: _first, ...early } = first;
    const { pieces: _last, ...late } = last;
    expect(early).toEqual(late);
  });
  it('is in the end the plan that is asked for in one', () => expect(planView(whole())).toEqual(planView(plan(input))));
  it('keeps the dates of the plan before until its own are there; a piece without an end has none', () => {
    const before = planView(whole());
    expect(datedLike(planView(undated), before).pieces.map(({ likely, safe, late }) => [likely, safe, late])).toEqual(
      before.pieces.map(({ likely, safe, late }) => [likely, safe, late]),
    );
    expect(before.pieces.some(({ late }) => late)).toBe(true);
    expect(datedLike(planView(undated), undefined)).toEqual(planView(undated));
    const stopped = { ...planView(undated), pieces: planView(undated).pieces.map((one) => ({ ...one, planned: null })) };
    expect(datedLike(stopped, before).pieces.every(({ likely }) => likely === null)).toBe(true);
  });
});
