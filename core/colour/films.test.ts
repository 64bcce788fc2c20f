import type { Lab } from '#core/facts/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  atGloss,
  colourDifference,
  DRAWN_ON,
  type FilmReading,
  fitPaint,
  hidingShare,
  ingredientOf,
  labOf,
  looksAfter,
  mixedLab,
  namedColour,
  PALETTE,
  readDrawdown,
} from './index.ts';

/** What dried films tell of a paint, and what a surface does to a colour. */

const PAINTS = ['#c23a2a', '#e8b820', '#2c6b3a', '#1d4b78', '#e6dcc0', '#6b4a30', '#969696', '#3c4146', '#b48aa8', '#f0f0ea'].map(labOf);
const GROUNDS: readonly Lab[] = [
  { l: 95, a: 0, b: 1 },
  { l: 62, a: 0, b: 0 },
  { l: 15, a: 0, b: 0 },
];
const paint = fc.constantFrom(...PAINTS);
const share = fc.double({ min: 0.08, max: 0.7, noNaN: true });

/** Numbers that look like noise and are the same each time: mean 0, within ±1. */
function noise(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return (state / 4294967296) * 2 - 1;
  };
}

describe('a coat over black and over white', () => {
  it('gives back the paint and what it lets through', () => {
    fc.assert(
      fc.property(paint, share, (lab, through) => {
        const over = { lab, share: through, transparent: false };
        const read = readDrawdown({ black: looksAfter(DRAWN_ON.black, over, 1), white: looksAfter(DRAWN_ON.white, over, 1) });
        expect(colourDifference(read.masstone, lab)).toBeLessThan(2);
        expect(Math.abs(read.share - through)).toBeLessThan(0.05);
      }),
      { seed: 3, numRuns: 150 },
    );
  });
  it('mixes with two constants: itself changes nothing, more dark never lightens, the order is no matter', () => {
    const drawn = (lab: Lab, through: number, id: string) => {
      const over = { lab, share: through, transparent: false };
      return ingredientOf({
        id,
        lab,
        drawdown: { black: looksAfter(DRAWN_ON.black, over, 1), white: looksAfter(DRAWN_ON.white, over, 1) },
      });
    };
    const [white, dark] = [drawn(labOf('#f0f0ea'), 0.4, 'white'), drawn(labOf('#3c4146'), 0.15, 'dark')];
    const red = drawn(labOf('#c23a2a'), 0.5, 'red');
    for (const own of [white, dark, red]) expect(colourDifference(mixedLab([own, own], [3, 9]), own.lab)).toBeLessThan(0.05);
    const lightness = [0, 1, 2, 4, 8, 16].map((drops) => mixedLab([white, dark], [20, drops]).l);
    expect(lightness).toEqual([...lightness].sort((a, b) => b - a));
    expect(colourDifference(mixedLab([white, dark], [20, 3]), mixedLab([dark, white], [3, 20]))).toBeLessThan(1e-9);
    // Beside a paint that was never drawn down all are reckoned with one constant.
    const plain = ingredientOf({ id: 'plain', lab: labOf('#c23a2a') });
    expect(mixedLab([white, dark, plain], [20, 3, 0])).not.toEqual(mixedLab([white, dark], [20, 3]));
  });
  it('of a weaker white lets the same dark go further', () => {
    const drawn = (through: number) => {
      const over = { lab: labOf('#f0f0ea'), share: through, transparent: false };
      return ingredientOf({
        id: 'white',
        lab: over.lab,
        drawdown: { black: looksAfter(DRAWN_ON.black, over, 1), white: looksAfter(DRAWN_ON.white, over, 1) },
      });
    };
    const over = { lab: labOf('#3c4146'), share: 0.15, transparent: false };
    const dark = ingredientOf({
      id: 'dark',
      lab: over.lab,
      drawdown: { black: looksAfter(DRAWN_ON.black, over, 1), white: looksAfter(DRAWN_ON.white, over, 1) },
    });
    expect(mixedLab([drawn(0.6), dark], [20, 2]).l).toBeLessThan(mixedLab([drawn(0.3), dark], [20, 2]).l - 3);
  });
});

describe('a paint fitted to its films', () => {
  it('on one and two coats with noise predicts the third within ΔE 3', () => {
    const heldOut: number[] = [];
    for (const [at, truth] of PAINTS.entries()) {
      const random = noise(at + 1);
      const through = Math.min(0.8, hidingShare(truth) * (0.7 + 0.3 * (at % 4)));
      const off = { l: truth.l + 3 * random(), a: truth.a + 3 * random(), b: truth.b + 3 * random() };
      const read = (ground: Lab, coats: number): FilmReading => {
        const lab = looksAfter(ground, { lab: truth, share: through, transparent: false }, coats);
        return { ground, coats, lab: { l: Math.min(100, lab.l + random()), a: lab.a + random(), b: lab.b + random() } };
      };
      const readings = GROUNDS.flatMap((ground) => [read(ground, 1), read(ground, 2)]);
      const fit = fitPaint(readings, { lab: off, share: hidingShare(off), transparent: false });
      expect(fit.readings).toBe(6);
      for (const ground of GROUNDS) {
        const third = looksAfter(ground, { lab: truth, share: through, transparent: false }, 3);
        heldOut.push(colourDifference(looksAfter(ground, { ...fit, transparent: false }, 3), third));
      }
    }
    expect(Math.max(...heldOut)).toBeLessThan(3);
    expect(heldOut.reduce((sum, own) => sum + own, 0) / heldOut.length).toBeLessThan(1);
  });
  it('moves little for one odd reading, and nowhere for one that was foreseen', () => {
    const start = { lab: labOf('#1d4b78'), share: 0.3, transparent: false };
    const foreseen = { ground: GROUNDS[0], coats: 2, lab: looksAfter(GROUNDS[0], start, 2) };
    const same = fitPaint([foreseen], start);
    expect(colourDifference(same.lab, start.lab)).toBeLessThan(0.1);
    expect(same.share).toBeCloseTo(0.3, 2);
    const odd = fitPaint([{ ...foreseen, lab: { ...foreseen.lab, l: foreseen.lab.l + 8 } }], start);
    expect(odd.deltaE).toBeLessThan(colourDifference(foreseen.lab, { ...foreseen.lab, l: foreseen.lab.l + 8 }));
  });
  it('of a transparent paint finds its colour by the same readings', () => {
    const truth = { lab: labOf('#a2101c'), share: 0.5, transparent: true };
    const silver: Lab = { l: 80, a: 0, b: 0 };
    const readings = [1, 2].map((coats) => ({ ground: silver, coats, lab: looksAfter(silver, truth, coats) }));
    const fit = fitPaint(readings, { lab: labOf('#b02030'), share: 0.5, transparent: true });
    expect(colourDifference(looksAfter(silver, { ...fit, transparent: true }, 3), looksAfter(silver, truth, 3))).toBeLessThan(2);
    expect(fit.share).toBeCloseTo(0.5, 9);
  });
});

describe('a surface', () => {
  it('flat veils a colour, dark ones most; gloss takes the veil off again', () => {
    for (const lab of PAINTS) {
      const flat = atGloss(lab, 85, 8);
      expect(flat.l).toBeGreaterThan(lab.l - 1e-9);
      expect(Math.hypot(flat.a, flat.b)).toBeLessThanOrEqual(Math.hypot(lab.a, lab.b) + 0.5);
      expect(colourDifference(atGloss(flat, 8, 85), lab)).toBeLessThan(0.05);
      expect(colourDifference(atGloss(lab, 40, 40), lab)).toBeLessThan(0.01);
    }
    const change = (lab: Lab) => atGloss(lab, 85, 8).l - lab.l;
    expect(change(labOf('#1e1f20'))).toBeGreaterThan(change(labOf('#e6dcc0')) + 3);
  });
});

describe('the palette', () => {
  it('has what glitters from the start, darker from the edge and hiding well', () => {
    for (const name of ['silver', 'gold', 'bronze', 'chrome-like']) {
      const swatch = PALETTE.find((own) => own.name === name);
      const colour = namedColour(swatch?.hex ?? '');
      expect(colour.edgeOn?.l).toBeLessThan(colour.lab.l - 10);
      expect(hidingShare(colour.lab, colour.flake)).toBeLessThanOrEqual(0.2);
    }
    expect(hidingShare(labOf('#b9bcbe'), 'metallic')).toBe(0.15);
    expect(hidingShare(labOf('#f4f4f0'), 'pearl')).toBe(0.4);
    expect(namedColour('#123456')).toMatchObject({ name: '#123456' });
    expect('flake' in namedColour('#e6dcc0')).toBe(false);
  });
});
