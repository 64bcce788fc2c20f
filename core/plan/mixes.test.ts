import type { Facts, Layer } from '#core/facts/index';
import { conditionsOf } from '#core/drying/index';
import { lacquer, NOW, part, piece, planOf, primer, shelf, withHardClear } from '#core/invented/index';
import { detailTogether, plan } from '#core/plan/index';
import { describe, expect, it } from 'vitest';
import { type Cup, cupText } from './steps/paint/cup.ts';

/** A two-pack is mixed as late and as seldom as its pot life lets: flashes between its coats count. */

const CLEAR: Layer = { id: 'hard', productId: 'hard-clear', coats: 3, covers: 'all' };
const facts = (coatFromMin: number, potLifeMin: number): Facts =>
  withHardClear(shelf, { hardener: { parts: 0.5 }, coatFromMin, potLifeMin });
const planned = (coatFromMin: number, potLifeMin: number) =>
  planOf(part({ material: 'steel', finish: 'bare', layers: [primer(), lacquer(), CLEAR] }), [], {}, facts(coatFromMin, potLifeMin));
const mixes = (coatFromMin: number, potLifeMin: number) => planned(coatFromMin, potLifeMin).steps.filter((step) => step.stage === 'mix');

describe('three coats of a two-pack', () => {
  it.each([
    [10, 15, 3],
    [10, 40, 2],
    [10, 60, 1],
    [20, 25, 3],
    [20, 60, 2],
    [20, 90, 1],
    [40, 40, 3],
    [40, 90, 2],
    [40, 240, 1],
  ])('%s min apart with a pot life of %s min take %s mixes', (coatFromMin, potLifeMin, count) => {
    expect(mixes(coatFromMin, potLifeMin)).toHaveLength(count);
  });
  it('have each mix right before the coat it is for', () => {
    const { steps } = planned(40, 40);
    const hard = steps.filter((step) => step.placed && (step.stage === 'mix' || step.coat?.layerId === 'hard'));
    const kinds = hard.sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0)).map((step) => step.stage);
    expect(kinds).toEqual(['mix', 'coat', 'mix', 'coat', 'mix', 'coat']);
  });
  it('use up a cup a mix', () => {
    const cups = (potLifeMin: number) => mixes(40, potLifeMin).flatMap((step) => step.supplies.filter(({ kind }) => kind === 'cup')).length;
    expect([cups(40), cups(240)]).toEqual([3, 1]);
  });
});

describe('one cup', () => {
  const body = (id: string, peg: number) =>
    part({
      id,
      name: id,
      pegs: [peg],
      material: 'steel',
      finish: 'bare',
      layers: [primer({ id: `${id}p` }), lacquer(2, { id: `${id}c` }), { ...CLEAR, id: `${id}h` }],
    });
  const cupsOf = (pieces: Facts['pieces']) => {
    const all = { ...facts(10, 240), pieces };
    const { steps, needs } = plan({ facts: all, now: NOW, conditions: conditionsOf(all, NOW), datesOf: [] });
    const own = steps.filter(({ stage }) => stage === 'mix').sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0));
    return { own, kept: needs.find(({ mix }) => mix === 'hard-clear')?.keptMl ?? 0 };
  };
  const mlOf = (cups: readonly { readonly cup?: Cup }[]) =>
    cups.flatMap(({ cup }) => cup?.parts ?? []).reduce((sum, { ml }) => sum + ml, 0);
  const alone = cupsOf([piece(body('a', 1))]).own;

  it('serves all parts of a piece, holds what each of them takes, and keeps one touch-up jar', () => {
    const { own, kept } = cupsOf([piece(body('a', 1), { parts: [body('a', 1), body('b', 2)] })]);
    expect(own).toHaveLength(1);
    expect(mlOf(own)).toBeCloseTo(2 * mlOf(alone), 6);
    expect(own[0].cup?.keptMl).toBe(kept);
    expect(own[0].detail).toContain(`paint ${(own[0].cup?.parts[0].ml ?? 0).toFixed(1)} mL`);
    expect(own[0].supplies).toEqual(alone[0].supplies);
  });
  it('serves pieces whose coats follow one another: the second is poured out of it, its set-up spared', () => {
    const small = (id: string, peg: number) => ({
      ...body(id, peg),
      faces: [{ id: 'f', zoneId: 'all', longMm: 30, shortMm: 20, count: 5, seen: true }],
    });
    const { own } = cupsOf([piece(small('a', 1)), piece(small('b', 2), { id: 'gong' }), piece(small('c', 3), { id: 'horn' })]);
    const behind = own.filter((step, index) => own[index - 1]?.placed?.end === step.placed?.start);
    expect(behind.length).toBeGreaterThan(0);
    for (const { placed, setup } of behind) expect(placed?.saved).toBe(setup);
    const text = detailTogether(own);
    expect(text).toContain(`paint ${own.reduce((sum, { cup }) => sum + (cup?.parts[0].ml ?? 0), 0).toFixed(1)} mL`);
    expect(detailTogether(alone)).toBe(alone[0].detail);
  });
  it('measures out what there is where a fifth more is not there, and a fifth more where the paint is yet to be bought', () => {
    const paint = (shelfMl: number | null) =>
      cupText({
        parts: [
          { what: 'paint', ml: 120, grams: 132 },
          { what: 'hardener', ml: 12, grams: 12 },
        ],
        keptMl: 5,
        standMin: null,
        shelfMl,
      });
    expect(paint(null)).toContain('paint 120.0 mL (132.0 g), hardener 12.0 mL');
    expect(paint(125)).not.toContain('all there is');
    expect(paint(115)).toContain('paint 110.0 mL (121.0 g), hardener 11.0 mL (11.0 g); all there is of it');
    // Less than the coats take: some is bought first, and the cup is a whole one again.
    expect(paint(90)).toContain('paint 120.0 mL');
  });
});
