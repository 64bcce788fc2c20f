import { overTransparent } from '#core/colour/index';
import { conditionsOf } from '#core/drying/index';
import type { Facts, Lab, Layer, Part, Piece } from '#core/facts/index';
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

describe('a colour that is wanted', () => {
  const stackOf = (layers: Layer[], more: Partial<Piece> = {}, material: Part['material'] = 'zinc') => {
    const own = piece(part({ finish: 'bare', material, layers }), more);
    const facts: Facts = { ...shelf, pieces: [own] };
    const { pieces } = planView(plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] }));
    return pieces[0].stacks.body.layers;
  };
  const targets = [{ id: 't', name: 'hull yellow', lab: YELLOW, tolerance: 'near' as const }];
  const held = (coats: number, ground: Lab) =>
    stackOf([paint('ground', ground, 2), paint('yellow', YELLOW, coats, { targetId: 't' })], { targets })[1].meets;
  it('is met from a coat on: the first within tolerance, and none before it', () => {
    const first = held(1, BLACK)?.first ?? 0;
    expect(first).toBeGreaterThan(2);
    expect(held(first, BLACK)).toMatchObject({ name: 'hull yellow', within: true, past: null });
    expect(held(first - 1, BLACK)).toMatchObject({ within: false });
    expect(held(1, YELLOW)).toMatchObject({ within: true, first: 1 });
    expect(stackOf([paint('ground', BLACK, 2), paint('yellow', YELLOW, 1)], { targets })[1].meets).toBeNull();
  });
  it('may be passed by a transparent one', () => {
    const candy: Layer = {
      id: 'candy',
      wanted: { family: 'candy', role: 'colour', name: 'candy', lab: { l: 30, a: 50, b: 30 } },
      coats: 3,
      covers: 'all',
      targetId: 't',
    };
    const lab = overTransparent({ l: 84, a: 0, b: 1 }, { l: 30, a: 50, b: 30 }, 2);
    const [own] = stackOf([candy], { targets: [{ ...targets[0], lab, tolerance: 'near' }] }, 'aluminium');
    expect(own.meets).toMatchObject({ first: 2, past: 3, within: false });
  });
  it('of flakes flops: darker from the edge, and so does a candy over them', () => {
    const silver = paint('silver', { l: 76, a: 0, b: 0 }, 2, {
      wanted: {
        family: 'acrylic-lacquer',
        role: 'metallic',
        name: 'silver',
        lab: { l: 76, a: 0, b: 0 },
        flake: 'metallic',
        edgeOn: { l: 50, a: 0, b: 0 },
      },
    });
    const candy = paint('candy', { l: 30, a: 50, b: 30 }, 2, {
      wanted: { family: 'candy', role: 'colour', name: 'candy', lab: { l: 30, a: 50, b: 30 } },
    });
    const [, base, over, solid] = stackOf([paint('ground', WHITE, 2), silver, candy, paint('solid', YELLOW, 6)]);
    expect(base.looksEdgeOn).toEqual({ l: 50, a: 0, b: 0 });
    expect(over.looksEdgeOn?.l).toBeLessThan(over.looks.l);
    expect(solid.looksEdgeOn).toBeNull();
  });
  it('under a flat clear is veiled, under gloss deep', () => {
    const clearOf = (gloss: number): Layer => ({
      id: 'clear',
      wanted: { family: 'acrylic-lacquer', role: 'clear', name: 'clear', lab: { l: 97, a: 0, b: 0 }, gloss },
      coats: 2,
      covers: 'all',
    });
    const under = (gloss: number) => stackOf([paint('ground', WHITE, 2), paint('black', BLACK, 4), clearOf(gloss)])[2];
    expect(under(8).looks.l).toBeGreaterThan(under(90).looks.l + 3);
    expect(under(8).looks.l).toBeGreaterThan(under(35).looks.l);
  });
});
