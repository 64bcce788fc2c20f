import type { Lab } from '#core/facts/index';
import { overGround } from './overGround.ts';
import { colourDifference } from './spaces.ts';
import { overTransparent } from './transparent.ts';

/** What each further coat of a paint makes of its ground. */

export type Over = {
  readonly lab: Lab;
  /** Of contrast that one coat lets through; a transparent paint is not reckoned by it. */
  readonly share: number;
  readonly transparent: boolean;
};

/** @param coats normal coats; a mist coat counts 0.4 of one */
export function looksAfter(ground: Lab, { lab, share, transparent }: Over, coats: number): Lab {
  return transparent ? overTransparent(ground, lab, coats) : overGround(ground, lab, share, coats);
}

export type ToneStep = { readonly coats: number; readonly lab: Lab; readonly deltaE: number };
export type Tone = {
  readonly steps: readonly ToneStep[];
  /** First coat within tolerance of the target, and the first past it after that; null where none is. */
  readonly first: number | null;
  readonly past: number | null;
};

/** The colour after each coat, with the first that is within tolerance of the target and the first past it (trade §7). */
export function coatsToTone(ground: Lab, paint: Over, target: Lab, tolerance: number, most = 8): Tone {
  const steps = Array.from({ length: most }, (_, index) => {
    const lab = looksAfter(ground, paint, index + 1);
    return { coats: index + 1, lab, deltaE: colourDifference(lab, target) };
  });
  const first = steps.find((step) => step.deltaE <= tolerance)?.coats ?? null;
  const past = first === null ? null : (steps.find((step) => step.coats > first && step.deltaE > tolerance)?.coats ?? null);
  return { steps, first, past };
}
