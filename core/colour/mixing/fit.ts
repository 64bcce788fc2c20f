import type { Lab } from '#core/facts/index';
import { looksAfter } from '../coatByCoat.ts';
import { colourDifference } from '../spaces.ts';

/** A paint's own colour and strength as dried films have shown them. */

export type FilmReading = { readonly ground: Lab; readonly coats: number; readonly lab: Lab };

export type PaintFit = {
  readonly lab: Lab;
  /** Of contrast that one coat lets through. */
  readonly share: number;
  readonly readings: number;
  /** How far the readings lie from what is now reckoned, mean ΔE2000. */
  readonly deltaE: number;
};

type Start = { readonly lab: Lab; readonly share: number; readonly transparent: boolean };
type Four = readonly [l: number, a: number, b: number, logit: number];

/** What was known before counts like so much of one reading: a single odd tile does not turn a paint over. */
const PRIOR_WEIGHT = 0.15;
/** A share twice as far from nothing or all weighs like so many ΔE. */
const LOGIT_AS_DELTA_E = 3;
const ROUNDS = 60;
const SMALLEST_STEP = 0.02;

/**
 * The colour and share that come nearest to all readings, least squares of ΔE2000, by a search along each of the four in turn.
 * Deterministic. @param readings at least one
 */
export function fitPaint(readings: readonly FilmReading[], start: Start): PaintFit {
  const first: Four = [start.lab.l, start.lab.a, start.lab.b, logitOf(start.share)];
  const off = (own: Four) =>
    readings.reduce((sum, { ground, coats, lab }) => sum + colourDifference(looksAfter(ground, overOf(own, start), coats), lab) ** 2, 0) +
    PRIOR_WEIGHT * (colourDifference(labOf(own), start.lab) ** 2 + (LOGIT_AS_DELTA_E * (own[3] - first[3])) ** 2);
  let [best, least] = [first, off(first)];
  let steps = [4, 4, 4, start.transparent ? 0 : 0.8];
  for (let round = 0; round < ROUNDS && Math.max(...steps) > SMALLEST_STEP; round++) {
    let better = false;
    for (const [axis, step] of steps.entries()) {
      for (const by of [step, -step]) {
        const next = moved(best, axis, by);
        const value = by === 0 ? least : off(next);
        if (value < least - 1e-12) [best, least, better] = [next, value, true];
      }
    }
    if (!better) steps = steps.map((step) => step / 2);
  }
  const over = overOf(best, start);
  const deltaE =
    readings.reduce((sum, { ground, coats, lab }) => sum + colourDifference(looksAfter(ground, over, coats), lab), 0) / readings.length;
  return { lab: over.lab, share: over.share, readings: readings.length, deltaE };
}

function overOf(four: Four, { transparent }: Start) {
  return { lab: labOf(four), share: 1 / (1 + Math.exp(-four[3])), transparent };
}

function labOf([l, a, b]: Four): Lab {
  return { l: Math.min(100, Math.max(0, l)), a, b };
}

function moved(four: Four, axis: number, by: number): Four {
  return four.map((value, own) => (own === axis ? value + by : value)) as unknown as Four;
}

function logitOf(share: number): number {
  const kept = Math.min(0.99, Math.max(0.01, share));
  return Math.log(kept / (1 - kept));
}
