import { conditionsOf } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import { lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { dividedFacts } from '#core/zones/index';
import { describe, expect, it } from 'vitest';
import { plan } from '../../plan.ts';
import { boardOf } from './boardOf.ts';

/** The parts of one batch on a board. */

const small = (id: string, copies: number) =>
  part({ id, name: id, copies, pegs: [], layers: [primer({ id: `p-${id}` }), lacquer(2, { id: `c-${id}` })] });
const facts = (parts: ReturnType<typeof small>[]): Facts => ({ ...shelf, pieces: [{ ...piece(parts[0]), parts }] });
const boardIn = (own: Facts) => {
  const { steps } = plan({ facts: own, now: NOW, conditions: conditionsOf(own, NOW), datesOf: [] });
  const coats = steps.filter(({ coat }) => coat?.number === 1 && coat.role === 'colour');
  return { coats, board: boardOf(coats, dividedFacts(own)) };
};

describe('a batch on a board', () => {
  it('lays every copy of every part beside the others, and takes less than they do one by one', () => {
    const { board } = boardIn(facts([small('bell', 3), small('rim', 2)]));
    expect(board?.laid).toHaveLength(5);
    expect(Object.values(board?.labels ?? {})).toEqual(['bell', 'bell', 'bell', 'rim', 'rim']);
    expect(board?.mlTogether).toBeLessThan(board?.mlApart ?? 0);
  });
  it('reckons one by one what the plan reckons', () => {
    const { coats, board } = boardIn(facts([small('bell', 4)]));
    expect(board?.mlApart).toBeCloseTo(
      coats.reduce((sum, { coat }) => sum + (coat?.ml ?? 0), 0),
      6,
    );
  });
  it('is nothing for one copy, and nothing with a brush', () => {
    expect(boardIn(facts([small('bell', 1)])).board).toBeNull();
    const brushed = {
      ...facts([small('bell', 4)]),
      workshop: [{ ...shelf.workshop[0], hands: ['brush' as const] }],
      sheets: shelf.sheets.map((sheet) => ({ ...sheet, hand: 'brush' as const, form: 'tin' as const })),
    };
    expect(boardIn(brushed).board).toBeNull();
  });
});
