import type { Facts, Layer } from '#core/facts/index';
import { lacquer, NOW, part, planOf, primer, shelf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';

/** A two-pack is mixed as late and as seldom as its pot life lets: flashes between its coats count. */

const CLEAR: Layer = { id: 'hard', productId: 'hard-clear', coats: 3, covers: 'all' };
const facts = (coatFromMin: number, potLifeMin: number): Facts => ({
  ...shelf,
  sheets: [
    ...shelf.sheets,
    {
      id: 'hard-sheet',
      name: 'Hard clear',
      family: 'urethane-2k',
      role: 'clear',
      hand: 'airbrush',
      form: 'tin',
      forPlastics: false,
      isocyanate: true,
      label: { hardener: { parts: 0.5 }, coatFromMin, potLifeMin },
      source: 'label',
    },
  ],
  products: [
    ...shelf.products,
    {
      id: 'hard-clear',
      sheetId: 'hard-sheet',
      name: 'Hard clear',
      lab: { l: 95, a: 0, b: 0 },
      transparent: true,
      typicalMl: 500,
      typicalPrice: 2500,
    },
  ],
  cans: [...shelf.cans, { id: 'c', productId: 'hard-clear', packMl: 500, leftMl: 500, leftAt: toIso(NOW - 9), opened: false, paid: 2500 }],
});
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
