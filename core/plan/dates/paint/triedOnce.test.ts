import { conditionsOf } from '#core/drying/index';
import type { Facts, Part } from '#core/facts/index';
import { NOW, part, piece, shelf } from '#core/invented/index';
import { plan } from '#core/plan/index';
import { sense, verifyPlan } from '#core/verify/index';
import { describe, expect, it } from 'vitest';

const paint = shelf.products.find(
  ({ id }) => shelf.sheets.find((sheet) => sheet.id === shelf.products.find((own) => own.id === id)?.sheetId)?.role === 'colour',
);
const body = (id: string, peg: number): Part =>
  part({ id, name: id, finish: 'bare', pegs: [peg], layers: [{ id: `colour-${id}`, productId: paint?.id, coats: 2, covers: 'all' }] });
/** Two pieces in the same new paint; the second is laid aside for nine days. */
const facts: Facts = {
  ...shelf,
  pieces: [
    piece(body('kite', 1), { id: 'kite', name: 'Kite' }),
    piece(body('drum', 2), { id: 'drum', name: 'Drum', held: { since: '2026-12-01T18:00:00Z', until: '2026-12-10' } }),
  ],
};

describe('a paint that two pieces take for the first time', () => {
  it('is tried once, before the first coat of either', () => {
    const conditions = conditionsOf(facts, NOW);
    const result = plan({ facts, now: NOW, conditions, datesOf: [] });
    const tries = result.steps.filter(({ stage }) => stage === 'scrap-test');
    expect(tries.map(({ pieceId, title }) => [pieceId, title])).toEqual([['kite', `Try ${paint?.name} on scrap`]]);
    const coats = result.steps.filter(({ coat }) => coat);
    expect(coats).toHaveLength(4);
    for (const coat of coats) expect(coat.placed?.start ?? 0).toBeGreaterThanOrEqual(tries[0].placed?.end ?? Number.POSITIVE_INFINITY);
    const ids = new Set(result.steps.flatMap(({ keys }) => keys));
    const behind = result.steps.flatMap(({ constraints }) => constraints.flatMap(({ rule }) => ('step' in rule ? [rule.step] : [])));
    expect(behind.filter((id) => !ids.has(id))).toEqual([]);
    expect(result.pieces.map(({ noDateWhy }) => noDateWhy)).toEqual([null, null]);
    expect(verifyPlan(result, facts, conditions)).toEqual([]);
    expect(sense(result, facts, conditions)).toEqual([]);
  });
});
