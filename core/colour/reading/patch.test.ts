import { converter, rgb as toRgb } from 'culori';
import { describe, expect, it } from 'vitest';
import type { Lab } from '#core/facts/index';
import { seededRandom } from '#core/plan/index';
import { colourDifference, correctedByCard, labOf, type Pixels, readPatch } from '../index.ts';

/** Pictures made here: a paint and a grey card in a light of a known cast, with noise and a few glaring pixels. */

const SIDE = 60;
const PAINT = { x: 15, y: 30, radius: 8 };
const CARD = { x: 45, y: 30, radius: 8 };
const GREY: Lab = { l: 49.496, a: 0, b: 0 };
const toLinear = converter('lrgb');

type Light = readonly [number, number, number];

function picture(paint: Lab, light: Light, noise = 0, glare = 0, seed = 1): Pixels {
  const random = seededRandom(seed);
  const data: number[] = [];
  const lit = (lab: Lab) => {
    const { r, g, b } = toLinear({ mode: 'lab65', ...lab });
    const {
      r: red,
      g: green,
      b: blue,
    } = toRgb({ mode: 'lrgb', r: r * light[0], g: g * light[1], b: b * light[2] }) ?? { r: 0, g: 0, b: 0 };
    return [red, green, blue].map((value) => Math.round(255 * Math.min(1, Math.max(0, value))));
  };
  const [own, card] = [lit(paint), lit(GREY)];
  for (let row = 0; row < SIDE; row++)
    for (let column = 0; column < SIDE; column++) {
      const base = column < SIDE / 2 ? own : card;
      const glares = random() < glare;
      data.push(...base.map((value) => (glares ? 255 : Math.min(255, Math.max(0, Math.round(value + (random() - 0.5) * noise))))), 255);
    }
  return { data, width: SIDE, height: SIDE };
}

const read = (pixels: Pixels, spot: typeof PAINT) => {
  const answer = readPatch(pixels, spot);
  if (!answer.ok) throw new Error(answer.mend);
  return answer.patch;
};

describe('a patch on a picture', () => {
  it('is its paint in true light', () => {
    const red = labOf('#a03028');
    expect(colourDifference(read(picture(red, [1, 1, 1]), PAINT).lab, red)).toBeLessThan(0.6);
  });
  it.each<[string, Light]>([
    ['lamp light', [1.1, 0.9, 0.55]],
    ['the shade', [0.7, 0.85, 1]],
    ['half the light', [0.5, 0.5, 0.5]],
    ['a tube', [0.8, 0.95, 0.75]],
  ])('in %s is within 2 ΔE by its grey card', (_, light) => {
    for (const hex of ['#a03028', '#e6dcc0', '#1d4b78', '#2c6b3a', '#6b4a30']) {
      const own = labOf(hex);
      const pixels = picture(own, light, 10, 0.08);
      const [patch, card] = [read(pixels, PAINT), read(pixels, CARD)];
      const corrected = correctedByCard(patch, card);
      expect(corrected.ok).toBe(true);
      if (corrected.ok) expect(colourDifference(corrected.lab, own)).toBeLessThan(2);
    }
  });
  it('without it is as wrong as the light', () => {
    const cream = labOf('#e6dcc0');
    expect(colourDifference(read(picture(cream, [1.1, 0.9, 0.55]), PAINT).lab, cream)).toBeGreaterThan(8);
  });
  it('is read in a corner of the picture too, by the quarter that lies on it', () => {
    const red = labOf('#a03028');
    const pixels = picture(red, [1, 1, 1]);
    expect(colourDifference(read(pixels, { x: 0, y: 0, radius: 8 }).lab, red)).toBeLessThan(0.6);
    expect(colourDifference(read(pixels, { x: SIDE - 1, y: SIDE - 1, radius: 8 }).lab, GREY)).toBeLessThan(0.6);
  });
  it('tells its spread', () => {
    const calm = read(picture(labOf('#808080'), [1, 1, 1]), PAINT).spread;
    expect(read(picture(labOf('#808080'), [1, 1, 1], 16), PAINT).spread).toBeGreaterThan(calm + 1);
  });
  it.each([
    ['glare', picture(labOf('#a03028'), [1, 1, 1], 0, 0.9), PAINT, /glare or black/],
    ['an edge between two colours', picture(labOf('#a03028'), [1, 1, 1]), { x: 30, y: 30, radius: 12 }, /More than one colour/],
    ['nothing', picture(labOf('#a03028'), [1, 1, 1]), { x: 500, y: 30, radius: 5 }, /outside the picture/],
  ])('refuses %s', (_, pixels, spot, mend) => {
    expect(readPatch(pixels, spot)).toMatchObject({ ok: false, mend: expect.stringMatching(mend) });
  });
  it('refuses a card that is none', () => {
    const patch = read(picture(labOf('#e6dcc0'), [1, 1, 1]), PAINT);
    expect(correctedByCard(patch, read(picture(labOf('#c02020'), [1, 1, 1]), PAINT))).toMatchObject({ ok: false });
    expect(correctedByCard(patch, read(picture(labOf('#0a0a0a'), [1, 1, 1]), PAINT))).toMatchObject({ ok: false });
  });
});
