import { planView } from '../view.ts';
import { part, planOf, primer, wanted } from '#core/invented/index';
import { describe, expect, it } from 'vitest';

/** Texture is not judged by hiding like gloss: what is below it is gone with the first coat. */

const layerOf = (family: 'texture' | 'acrylic-lacquer', l: number) => {
  const layers = [
    primer(),
    wanted('top', family, 'colour', { coats: 1, wanted: { family, role: 'colour', name: 'top', lab: { l, a: 10, b: 40 } } }),
  ];
  const { stacks } = planView(planOf(part({ finish: 'bare', layers }))).pieces[0];
  return stacks.body.layers.find(({ layerId }) => layerId === 'top');
};

describe('a coat of texture', () => {
  it.each([20, 50, 85])('hides in one, of whatever colour (L* %i)', (l) => expect(layerOf('texture', l)?.coatsToHide).toBe(1));
  it('does what no gloss coat of a light colour does', () => expect(layerOf('acrylic-lacquer', 85)?.coatsToHide).toBeGreaterThan(1));
});
