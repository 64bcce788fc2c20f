import type { Lab } from '#core/facts/index';
import { BANDS, TO_X, TO_Y, TO_Z, WHITE } from './observer.ts';
import { colourDifference } from './spaces.ts';

/**
 * Reflectance of an opaque paint over the visible bands, rebuilt from its Lab by a sigmoid of a parabola (Jakob and Hanika, "A
 * low-dimensional function space for efficient spectral upsampling", Computer Graphics Forum 38, 2019): smooth, between 0 and 1,
 * flat for greys. Three numbers are found by Newton's method so that the colour comes back.
 */

export type Spectrum = Float64Array;

/** Lab (D65) of a reflectance. */
export function labOfSpectrum(reflectance: Spectrum): Lab {
  let [x, y, z] = [0, 0, 0];
  for (let band = 0; band < BANDS; band++) {
    x += reflectance[band] * TO_X[band];
    y += reflectance[band] * TO_Y[band];
    z += reflectance[band] * TO_Z[band];
  }
  return labOfXyz(x, y, z);
}

/** CIE 1976: cube root, straight near black. */
export function labOfXyz(x: number, y: number, z: number): Lab {
  const [fx, fy, fz] = [root(x / WHITE.x), root(y / WHITE.y), root(z / WHITE.z)];
  return { l: 116 * fy - 16, a: 500 * (fx - fy), b: 200 * (fy - fz) };
}

/** The way back from labOfXyz. */
export function xyzOfLab({ l, a, b }: Lab): { readonly x: number; readonly y: number; readonly z: number } {
  const fy = (l + 16) / 116;
  return { x: WHITE.x * unrooted(fy + a / 500), y: WHITE.y * unrooted(fy), z: WHITE.z * unrooted(fy - b / 200) };
}

function unrooted(value: number): number {
  return value > 6 / 29 ? value ** 3 : 3 * (6 / 29) ** 2 * (value - 4 / 29);
}

const KNEE = (6 / 29) ** 3;
function root(share: number): number {
  return share > KNEE ? Math.cbrt(share) : (share * (29 / 6) ** 2) / 3 + 4 / 29;
}

/** Paint is never blacker or whiter than this. */
const DARKEST = 0.3;
const LIGHTEST = 99.5;
const TURNS = 60;
const CLOSE_ENOUGH = 0.01;
/** Further from it than this the colour cannot be one of a surface in daylight. */
const OUTSIDE_DELTA_E = 1;

const KNOWN = new Map<string, Spectrum>();
const MOST_KNOWN = 2000;

/**
 * @throws RangeError where no surface can look so: more colourful than light reflected by day can be
 */
export function spectrumOf(lab: Lab): Spectrum {
  const key = `${lab.l} ${lab.a} ${lab.b}`;
  const known = KNOWN.get(key);
  if (known) return known;
  const wanted = { ...lab, l: Math.min(LIGHTEST, Math.max(DARKEST, lab.l)) };
  const found = solved(wanted);
  if (colourDifference(labOfSpectrum(found), wanted) > OUTSIDE_DELTA_E)
    throw new RangeError(`No paint can look like Lab ${text(lab)}: it is more colourful than a surface by daylight can be.`);
  if (KNOWN.size >= MOST_KNOWN) KNOWN.clear();
  KNOWN.set(key, found);
  return found;
}

function text({ l, a, b }: Lab): string {
  return [l, a, b].map((value) => Math.round(value * 10) / 10).join(', ');
}

type Three = readonly [number, number, number];

/** Newton's method on the three numbers, with a step that is halved until it helps. */
function solved(wanted: Lab): Spectrum {
  let at: Three = [0, 0, startFor(wanted.l)];
  let miss = missOf(at, wanted);
  for (let turn = 0; turn < TURNS && size(miss) > CLOSE_ENOUGH; turn++) {
    const step = newtonStep(at, miss, wanted);
    let share = 1;
    let next = moved(at, step, share);
    while (share > 1e-4 && size(missOf(next, wanted)) >= size(miss)) {
      share /= 2;
      next = moved(at, step, share);
    }
    if (share <= 1e-4) break;
    [at, miss] = [next, missOf(next, wanted)];
  }
  return reflectance(at);
}

/** A flat grey of this lightness. */
function startFor(l: number): number {
  const y = Math.min(0.995, Math.max(0.0001, l > 8 ? ((l + 16) / 116) ** 3 : l / 903.3));
  const centred = 2 * y - 1;
  return centred / Math.sqrt(1 - centred * centred);
}

function reflectance([c0, c1, c2]: Three): Spectrum {
  return Float64Array.from({ length: BANDS }, (_, band) => {
    const at = (2 * band) / (BANDS - 1) - 1;
    const x = (c0 * at + c1) * at + c2;
    return 0.5 + x / (2 * Math.sqrt(1 + x * x));
  });
}

function missOf(at: Three, wanted: Lab): Three {
  const { l, a, b } = labOfSpectrum(reflectance(at));
  return [l - wanted.l, a - wanted.a, b - wanted.b];
}

function size([l, a, b]: Three): number {
  return Math.hypot(l, a, b);
}

function moved(at: Three, step: Three, share: number): Three {
  return [at[0] - share * step[0], at[1] - share * step[1], at[2] - share * step[2]];
}

const NUDGE = 1e-5;

/** The step that would meet the colour if it changed evenly: the slopes by small nudges, solved by Cramer's rule. */
function newtonStep(at: Three, miss: Three, wanted: Lab): Three {
  const slopes = [0, 1, 2].map((axis) => {
    const nudge = NUDGE * Math.max(1, Math.abs(at[axis]));
    const nudged = missOf(at.map((value, own) => (own === axis ? value + nudge : value)) as unknown as Three, wanted);
    return nudged.map((value, own) => (value - miss[own]) / nudge) as unknown as Three;
  });
  const whole = determinant(slopes[0], slopes[1], slopes[2]);
  if (Math.abs(whole) < 1e-12) return [0, 0, 0];
  return [
    determinant(miss, slopes[1], slopes[2]) / whole,
    determinant(slopes[0], miss, slopes[2]) / whole,
    determinant(slopes[0], slopes[1], miss) / whole,
  ];
}

function determinant(a: Three, b: Three, c: Three): number {
  return a[0] * (b[1] * c[2] - b[2] * c[1]) - b[0] * (a[1] * c[2] - a[2] * c[1]) + c[0] * (a[1] * b[2] - a[2] * b[1]);
}
