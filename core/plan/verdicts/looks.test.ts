import { conditionsOf } from '#core/drying/index';
import type { Facts, Lab, Layer } from '#core/facts/index';
import { NOW, part, piece, shelf, wanted } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { plan, planView } from '../index.ts';

/** What a layer will look like over what is below it. */

const paint = (id: string, lab: Lab, coats: number, more: Partial<Layer> = {}): Layer =>
  wanted(id, 'acrylic-lacquer', 'colour', { coats, wanted: { family: 'acrylic-lacquer', role: 'colour', name: id, lab }, ...more });
const YELLOW: Lab = { l: 78, a: 8, b: 75 };
const BLACK: Lab = { l: 12, a: 0, b: 0 };
const WHITE: Lab = { l: 96, a: 0, b: 2 };

const layersOf = (...layers: Layer[]) => {
  const facts: Facts = { ...shelf, pieces: [piece(part({ finish: 'bare', layers }))] };
  const { pieces } = planView(plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] }));
  return pieces[0].stacks.body.layers;
};

describe('what a layer will look like', () => {
  it('is nearer to its own colour with every coat, and over a ground like it at once', () => {
    const off = (ground: Lab, coats: number) => layersOf(paint('ground', ground, 2), paint('yellow', YELLOW, coats))[1].offBy;
    const over = [1, 2, 4, 8].map((coats) => off(BLACK, coats));
    expect(over).toEqual([...over].sort((a, b) => b - a));
    expect(over[0]).toBeGreaterThan(15);
    expect(over[3]).toBeLessThan(2);
    expect(off(WHITE, 2)).toBeLessThan(off(BLACK, 2));
    expect(off(YELLOW, 1)).toBeLessThan(0.5);
  });
  it('carries on upwards: what shows through one layer is the ground of the next', () => {
    const through = layersOf(paint('black', BLACK, 2), paint('thin', WHITE, 1), paint('yellow', YELLOW, 2))[2];
    const hidden = layersOf(paint('black', BLACK, 2), paint('thick', WHITE, 6), paint('yellow', YELLOW, 2))[2];
    expect(through.offBy).toBeGreaterThan(hidden.offBy);
    expect(through.looks.l).toBeLessThan(hidden.looks.l);
  });
  it('on the bare part, or of no surface there is, is the paint itself', () => {
    expect(layersOf(paint('yellow', YELLOW, 1))[0]).toMatchObject({ looks: YELLOW, offBy: 0 });
    const glow: Lab = { l: 60, a: 120, b: 110 };
    expect(layersOf(paint('ground', WHITE, 2), paint('glow', glow, 1))[1].looks).toEqual(glow);
  });
});
