import type { Facts, Layer, LogEvent, Product } from '#core/facts/index';
import { base, NOW } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { resolveLayer } from '../index.ts';

/** What on the shelf answers to what a layer wants. */

const sheetOf = (words: string) => base.products.find(({ id }) => id.includes(words))?.sheetId ?? '';
const lab = (l: number, a = 0, b = 0) => ({ l, a, b });
const product = (id: string, sheetId: string, own = lab(60)): Product => ({
  id,
  sheetId,
  name: id,
  lab: own,
  transparent: false,
  typicalMl: 400,
  typicalPrice: 800,
});
const can = (productId: string, leftMl: number) => ({
  id: `can-${productId}`,
  productId,
  packMl: 400,
  leftMl,
  leftAt: toIso(NOW),
  opened: true,
  paid: 800,
});
const wants = (
  family: 'acrylic-lacquer' | 'lacquer-primer',
  role: 'colour' | 'fine-primer' | 'clear',
  own = lab(60),
  gloss?: number,
): Layer => ({
  id: 'wanted',
  wanted: { family, role, name: 'wanted', lab: own, ...(gloss === undefined ? {} : { gloss }) },
  coats: 2,
  covers: 'all',
});
const on = (products: Product[], cans: Facts['cans'] = [], events: LogEvent[] = []): Facts => ({ ...base, products, cans, events });
const served = (layer: Layer, facts: Facts) => resolveLayer(layer, facts).product?.id;

describe('a wanted colour', () => {
  const colour = sheetOf('acrylic-lacquer-colour');
  it('is met by the same family, use and colour, and by no other', () => {
    expect(served(wants('acrylic-lacquer', 'colour'), on([product('same', colour)]))).toBe('same');
    expect(served(wants('acrylic-lacquer', 'colour'), on([product('other', colour, lab(60, 30, 20))]))).toBeUndefined();
    expect(served(wants('acrylic-lacquer', 'colour'), on([product('primer', sheetOf('lacquer-primer-fine'))]))).toBeUndefined();
  });
  it('prefers a can with paint in it to one that is empty', () => {
    const products = [product('empty', colour), product('full', colour, lab(60.5))];
    expect(served(wants('acrylic-lacquer', 'colour'), on(products, [can('empty', 2), can('full', 200)]))).toBe('full');
    expect(served(wants('acrylic-lacquer', 'colour'), on(products, [can('empty', 300), can('full', 200)]))).toBe('empty');
  });
  it('counts what has been bought as there', () => {
    const bought = (productId: string): LogEvent => ({
      id: productId,
      at: toIso(NOW),
      kind: 'bought',
      productId,
      packMl: 400,
      count: 1,
      paid: 800,
    });
    const products = [product('never', colour), product('bought', colour, lab(60.5))];
    expect(served(wants('acrylic-lacquer', 'colour'), on(products, [], [bought('bought')]))).toBe('bought');
    expect(served(wants('acrylic-lacquer', 'colour'), on(products, [], [bought('bought'), bought('elsewhere')]))).toBe('bought');
  });
  it('is never met by a two-pack nobody chose', () => {
    const facts = {
      ...on([product('hard', 'hard-sheet')]),
      sheets: [{ ...base.sheets[0], id: 'hard-sheet', family: 'acrylic-lacquer' as const, role: 'colour' as const, isocyanate: true }],
    };
    expect(served(wants('acrylic-lacquer', 'colour'), facts)).toBeUndefined();
  });
});

describe('a wanted primer', () => {
  const fine = sheetOf('lacquer-primer-fine');
  it.each([
    ['a like grey', lab(68), 'grey'],
    ['white for grey', lab(96), undefined],
    ['black for grey', lab(15), undefined],
  ])('takes %s by its shade', (_name, shade, expected) => {
    expect(served(wants('lacquer-primer', 'fine-primer'), on([product('grey', fine, shade)]))).toBe(expected);
  });
});

describe('a wanted clear', () => {
  const sheen = (gloss: number) => ({
    ...on([product('clear', 'clear-sheet', lab(97))]),
    sheets: [
      {
        ...base.sheets[0],
        id: 'clear-sheet',
        family: 'acrylic-lacquer' as const,
        role: 'clear' as const,
        isocyanate: false,
        label: { gloss },
      },
    ],
  });
  it('goes by its sheen, not by its colour', () => {
    expect(served(wants('acrylic-lacquer', 'clear', lab(50), 30), sheen(30))).toBe('clear');
    expect(served(wants('acrylic-lacquer', 'clear', lab(97), 30), sheen(90))).toBeUndefined();
    expect(served(wants('acrylic-lacquer', 'clear', lab(97)), sheen(90))).toBe('clear');
  });
});
