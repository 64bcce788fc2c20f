import type { Layer } from '#core/facts/index';
import { base, coat, NOW, part, piece, planOf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { settledFacts } from './settled.ts';

const wanted: Layer = {
  id: 'colour',
  wanted: { family: 'acrylic-lacquer', role: 'colour', name: 'red', lab: { l: 60, a: 0, b: 0 } },
  coats: 3,
  covers: 'all',
};
const begun = [coat('colour', 1, 60, 'acrylic-lacquer', 'colour', 12)];
const own = part({ layers: [wanted] });
const nearer = {
  ...base.products[0],
  id: 'nearer',
  sheetId: base.products.find((product) => product.id.includes('acrylic-lacquer-colour'))?.sheetId ?? '',
  lab: { l: 60, a: 0, b: 0 },
};
const withNewCan = {
  ...base,
  products: [...base.products, nearer],
  cans: [{ id: 'new', productId: 'nearer', packMl: 400, leftMl: 400, leftAt: toIso(NOW), opened: false, paid: 800 }],
};

describe('a layer that has been begun', () => {
  it('keeps its paint when a nearer can comes onto the shelf', () => {
    const later = planOf(own, begun, {}, withNewCan).steps.filter((step) => step.coat?.layerId === 'colour');
    expect(later.map((step) => step.coat?.productId)).toEqual(Array(2).fill('starter-acrylic-lacquer-colour-product'));
  });
  it('takes the new can while nothing of it is laid', () => {
    const fresh = planOf(own, [], {}, withNewCan).steps.filter((step) => step.coat?.layerId === 'colour');
    expect(new Set(fresh.map((step) => step.coat?.productId))).toEqual(new Set(['nearer']));
  });
  it('is free again once its coats are taken back, or their product is gone', () => {
    const facts = { ...withNewCan, pieces: [piece(own)], events: begun };
    const undone = [...begun, { id: 'u', at: toIso(NOW), kind: 'undo' as const, undoes: begun[0].id }];
    expect(settledFacts({ ...facts, events: undone }).pieces[0].parts[0].layers[0].wanted).toBeDefined();
    expect(settledFacts({ ...facts, products: [nearer] }).pieces[0].parts[0].layers[0].wanted).toBeDefined();
    expect(settledFacts(facts).pieces[0].parts[0].layers[0].productId).toBe('starter-acrylic-lacquer-colour-product');
  });
});
