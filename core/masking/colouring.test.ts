import { describe, expect, it } from 'vitest';
import type { Layer, Part } from '#core/facts/index';
import { cut, part, primer, shelf, wanted } from '#core/invented/index';
import { withColour, withLaterRound, withLock } from './index.ts';

const colour = (id: string, covers: Layer['covers']): Layer => wanted(id, 'acrylic-lacquer', 'colour', { covers });
const clear = wanted('gloss', 'acrylic-lacquer', 'clear');
const divided = (layers: Layer[]): Part => part({ cuts: [cut('w', 'all', 'stripe', { mm: 4, fromMm: 10 })], layers });
const red = { name: 'red', lab: { l: 42, a: 60, b: 40 } };
let ids = 0;
const newId = () => `n${++ids}`;
const told = (layers: readonly Layer[]) =>
  layers.map(({ wanted: own, productId, covers, round }) => [own?.name ?? productId, covers, round]);
const REST = ['w-above', 'w-below'];

describe('a zone in a colour of its own', () => {
  const layers = [primer(), colour('cream', 'all'), clear];
  it('leaves the colour it shared, below the clear', () => {
    const own = withColour(divided(layers), 'w-stripe', red, shelf, newId);
    expect(told(own).slice(1)).toEqual([
      ['cream', REST, undefined],
      ['red', ['w-stripe'], undefined],
      ['gloss', 'all', undefined],
    ]);
    expect(own[2].coats).toBeGreaterThan(0);
  });
  it('joins a layer of that paint, and a layer left without zones goes', () => {
    const two = [primer(), colour('cream', REST), colour('red', ['w-stripe']), clear];
    const joined = withColour(divided(two), 'w-stripe', { ...red, name: 'cream' }, shelf, newId);
    expect(told(joined).slice(1)).toEqual([
      ['cream', 'all', undefined],
      ['gloss', 'all', undefined],
    ]);
  });
  it('goes on a bare stack too', () => {
    expect(told(withColour(divided([]), 'w-stripe', red, shelf, newId))).toEqual([['red', ['w-stripe'], undefined]]);
  });
});

describe('a later round', () => {
  it('takes a zone out of its colour and lays it after all others, in as many coats', () => {
    const later = withLaterRound(divided([primer(), colour('cream', 'all'), clear]), 'w-above', shelf, newId) ?? [];
    expect(told(later).slice(1)).toEqual([
      ['cream', ['w-stripe', 'w-below'], undefined],
      ['cream', ['w-above'], 2],
      ['gloss', 'all', undefined],
    ]);
    expect(later[2].coats).toBe(later[1].coats);
  });
  it('is none for a zone that shares its colour with no other', () => {
    expect(withLaterRound(divided([colour('cream', REST), colour('red', ['w-stripe'])]), 'w-stripe', shelf, newId)).toBeNull();
  });
});

it('a lock is a clear over that colour alone, right above it', () => {
  const locked = withLock(divided([primer(), colour('cream', REST), colour('red', ['w-stripe'])]), 'cream', shelf, newId);
  expect(locked[2].covers).toEqual(REST);
  expect(shelf.sheets.find((sheet) => sheet.id === shelf.products.find(({ id }) => id === locked[2].productId)?.sheetId)?.role).toBe(
    'clear',
  );
});
