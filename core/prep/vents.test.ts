import type { Material, Part } from '#core/facts/index';
import { part, planOf } from '#core/invented/index';
import { gateItems } from '#core/prep/index';
import { describe, expect, it } from 'vitest';

const vented = (material: Material, more: Partial<Part> = {}) =>
  part({ material, finish: 'sound', features: [{ id: 'vents', kind: 'vents', count: 4 }], ...more });
const items = (own: Part) => gateItems(own, true, () => ({ leadExcluded: true })).filter((item) => item.startsWith('Vents'));

describe('vents', () => {
  it.each(['abs', 'polystyrene', 'resin', 'unknown'] as const)('of %s are keyed, and what holds stays in them', (material) => {
    expect(items(vented(material))).toEqual(['Vents matt and free of dust; paint that holds stays in them']);
  });
  it.each(['steel', 'zinc', 'wood'] as const)('of %s come clean', (material) => {
    expect(items(vented(material))).toEqual(['Vents free of old paint and dust']);
  });
  it('are named where the rest of a plastic part is sanded to bare', () => {
    const { steps } = planOf(vented('abs'));
    const strip = steps.find(({ stage, method }) => stage === 'strip' && method === 'wet-sand');
    expect(strip?.detail).toContain('the vents are only keyed');
    const plain = planOf(part({ material: 'abs', finish: 'sound' })).steps.find(({ stage }) => stage === 'strip');
    expect(plain?.detail ?? '').not.toContain('vents');
  });
});
