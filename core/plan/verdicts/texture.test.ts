import { planView } from '../view.ts';
import { knownPaint } from '#core/coats/index';
import type { Product } from '#core/facts/index';
import { part, planOf, primer, shelf, wanted } from '#core/invented/index';
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

const product = (family: 'texture' | 'acrylic-lacquer', more: Partial<Product> = {}): Product => {
  const sheetId = shelf.sheets.find((sheet) => sheet.family === family && sheet.role === 'colour')?.id ?? family;
  return { id: 'p', sheetId, name: 'p', lab: { l: 85, a: 10, b: 40 }, transparent: false, typicalMl: 400, typicalPrice: 900, ...more };
};
const sheets = [...shelf.sheets, { ...shelf.sheets[0], id: 'texture', family: 'texture' as const, role: 'colour' as const }];

describe('a coat of texture', () => {
  it('is known so wherever a paint is looked up, unless somebody has said what it lets through', () => {
    const share = (own: Product) => knownPaint(own, { events: [], sheets }).share;
    expect(share(product('texture'))).toBe(0.02);
    expect(share(product('texture', { share: 0.3 }))).toBe(0.3);
    expect(share(product('acrylic-lacquer'))).toBeGreaterThan(0.2);
  });
  it.each([20, 50, 85])('hides in one, of whatever colour (L* %i)', (l) => expect(layerOf('texture', l)?.coatsToHide).toBe(1));
  it('does what no gloss coat of a light colour does', () => expect(layerOf('acrylic-lacquer', 85)?.coatsToHide).toBeGreaterThan(1));
});
