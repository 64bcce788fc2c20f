import { conditionsOf } from '#core/drying/index';
import type { DoneEvent } from '#core/facts/index';
import { done, generatedFacts, NOW } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { firstPortion, plan } from './index.ts';

describe('the pieces of a large workshop that are planned first', () => {
  const facts = generatedFacts(40, 3, NOW);
  const [first, third, last] = [0, 2, 39].map((index) => facts.pieces[index]);
  it('are none of a small one, which is planned as a whole', () => {
    expect(firstPortion(generatedFacts(5, 3, NOW), NOW)).toBeNull();
  });
  it('are the one looked at, then what was worked on lately, then what is needed first', () => {
    const washed = (minutesAgo: number) => ({ ...(done('wash', minutesAgo) as DoneEvent), stepKeys: [`${third.id}.body.wash.-.1`] });
    const own = {
      ...facts,
      pieces: facts.pieces.map((piece) => (piece.id === first.id ? { ...piece, neededBy: '2026-12-02', turn: undefined } : piece)),
      events: [washed(60)],
    };
    const portion = firstPortion(own, NOW, last.id) ?? [];
    expect(portion.slice(0, 2)).toEqual([last.id, third.id]);
    expect(portion).toContain(first.id);
    expect(portion.length).toBe(12);
    expect(firstPortion({ ...own, events: [washed(40 * 1440)] }, NOW)?.[0]).not.toBe(third.id);
  });
  it('leave out what is finished or laid aside, unless it is looked at', () => {
    const own = { ...facts, pieces: facts.pieces.map((piece) => ({ ...piece, held: { since: '2026-11-01T10:00:00Z' } })) };
    expect(firstPortion(own, NOW)).toEqual([]);
    expect(firstPortion(own, NOW, last.id)).toEqual([last.id]);
  });
  it('have a plan of their own, in which every step is one of theirs', () => {
    const ids = firstPortion(facts, NOW) ?? [];
    const own = { ...facts, pieces: facts.pieces.filter(({ id }) => ids.includes(id)) };
    const result = plan({ facts: own, now: NOW, conditions: conditionsOf(own, NOW), datesOf: [] });
    expect(new Set(result.steps.map(({ pieceId }) => pieceId))).toEqual(new Set(ids));
  });
});
