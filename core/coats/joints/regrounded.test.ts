import type { Lab, Layer } from '#core/facts/index';
import { shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { coatsForColour, regrounded, resolveLayer } from '../index.ts';

const WHITE: Lab = { l: 96, a: 0, b: 0 };
const BLACK: Lab = { l: 12, a: 0, b: 0 };
const YELLOW: Lab = { l: 80, a: 8, b: 75 };
const wanted = (id: string, role: 'fine-primer' | 'colour' | 'clear', lab: Lab, coats: number, more: Partial<Layer> = {}): Layer => ({
  id,
  wanted: { family: role === 'fine-primer' ? 'lacquer-primer' : 'acrylic-lacquer', role, name: id, lab },
  coats,
  covers: 'all',
  ...more,
});
const resolved = (layers: Layer[]) => layers.map((layer) => resolveLayer(layer, shelf));
const stack = (ground: Lab, coats: number) =>
  resolved([wanted('ground', 'fine-primer', ground, 2), wanted('yellow', 'colour', YELLOW, coats)]);

describe('another ground', () => {
  const onWhite = coatsForColour(WHITE, YELLOW);
  const onBlack = coatsForColour(BLACK, YELLOW);
  it('asks the coats that hide it, more over black and fewer over white', () => {
    expect(onBlack).toBeGreaterThan(onWhite);
    expect(regrounded(stack(WHITE, onWhite), stack(BLACK, onWhite))).toEqual([
      { layerId: 'yellow', name: 'yellow', coats: onBlack, planned: onWhite },
    ]);
    expect(regrounded(stack(BLACK, onBlack), stack(WHITE, onBlack))[0]?.coats).toBe(onWhite);
  });
  it('counts another paint in its place too: a brown asks fewer coats than a yellow', () => {
    const brown: Lab = { l: 30, a: 15, b: 15 };
    const onBrown = coatsForColour(WHITE, brown);
    expect(onBrown).not.toBe(onWhite);
    const repainted = resolved([wanted('ground', 'fine-primer', WHITE, 2), wanted('yellow', 'colour', brown, onWhite)]);
    expect(regrounded(stack(WHITE, onWhite), repainted)).toEqual([{ layerId: 'yellow', name: 'yellow', coats: onBrown, planned: onWhite }]);
  });
  it('says nothing where the ground is the same, or the coats already fit', () => {
    expect(regrounded(stack(WHITE, onWhite), stack(WHITE, 7))).toEqual([]);
    expect(regrounded(stack(WHITE, onWhite), stack(BLACK, onBlack))).toEqual([]);
  });
  it('counts the colour of its own zones, and no clear', () => {
    const zones = (ground: Lab) =>
      resolved([
        wanted('ground', 'fine-primer', WHITE, 2, { covers: ['low'] }),
        wanted('other', 'fine-primer', ground, 2, { covers: ['up'] }),
        wanted('gloss', 'clear', { l: 100, a: 0, b: 0 }, 1),
        wanted('yellow', 'colour', YELLOW, onWhite, { covers: ['up'] }),
      ]);
    expect(regrounded(zones(WHITE), zones(BLACK)).map(({ layerId }) => layerId)).toEqual(['yellow']);
    const low = (ground: Lab) =>
      zones(ground).map((own) => (own.layer.id === 'yellow' ? resolveLayer({ ...own.layer, covers: ['low'] }, shelf) : own));
    expect(regrounded(low(WHITE), low(BLACK))).toEqual([]);
  });
});
