import type { Lab } from '#core/facts/index';
import { BANDS, TO_X, TO_Y, TO_Z } from './observer.ts';
import { hidingShare } from './spaces.ts';
import { labOfXyz, spectrumOf } from './spectrum.ts';

/**
 * Opaque paints mixed: absorption over scattering, K/S = (1 − R)² ÷ 2R, adds band by band in proportion to amount and strength
 * (Kubelka and Munk 1931 in its one-constant form). Order and size of the mix change nothing, only the proportions.
 */

export type MixPaint = {
  readonly id: string;
  readonly lab: Lab;
  /** Share of the contrast below that one coat lets through; absent: by its colour (BRIEF §7). */
  readonly share?: number;
};

/** A paint as the mixing knows it. */
export type Ingredient = {
  readonly id: string;
  readonly lab: Lab;
  /** What it counts for beside an equal amount of another. */
  readonly strength: number;
  /** Its K/S band by band, times its strength. */
  readonly weighted: Float64Array;
};

/** @throws RangeError where a colour is none a paint can have */
export function ingredientOf({ id, lab, share }: MixPaint): Ingredient {
  const spectrum = spectrumOf(lab);
  const strength = strengthOf(spectrum, held(share ?? hidingShare(lab)));
  return { id, lab, strength, weighted: Float64Array.from(spectrum, (reflectance) => strength * absorption(reflectance)) };
}

/**
 * A coat lets exp(−2bSX) of the contrast through, b = (1 − R²) ÷ 2R. Light paints hide by scattering S, which is what counts in a
 * mix; dark ones by absorbing, where S would make them count for next to nothing. Between the two, −ln(share) ÷ √b: ten drops of
 * white to one of black then give the light middle grey they give in a cup.
 */
function strengthOf(spectrum: Float64Array, share: number): number {
  const bright = spectrum.reduce((sum, reflectance, band) => sum + reflectance * TO_Y[band], 0);
  return -Math.log(share) / Math.sqrt((1 - bright * bright) / (2 * bright));
}

/** A paint that let everything or nothing through would count for nothing or for all. */
function held(share: number): number {
  return Math.min(0.95, Math.max(0.005, share));
}

function absorption(reflectance: number): number {
  return (1 - reflectance) ** 2 / (2 * reflectance);
}

/** Lab (D65) of a mix; amounts in any one unit. @throws RangeError where nothing is in it */
export function mixedLab(ingredients: readonly Ingredient[], amounts: readonly number[]): Lab {
  let whole = 0;
  for (let at = 0; at < ingredients.length; at++) whole += amounts[at] * ingredients[at].strength;
  if (!(whole > 0)) throw new RangeError('Nothing is in the cup: give at least one paint an amount.');
  let [x, y, z] = [0, 0, 0];
  for (let band = 0; band < BANDS; band++) {
    let ks = 0;
    for (let at = 0; at < ingredients.length; at++) ks += amounts[at] * ingredients[at].weighted[band];
    ks /= whole;
    const reflectance = 1 + ks - Math.sqrt(ks * ks + 2 * ks);
    x += reflectance * TO_X[band];
    y += reflectance * TO_Y[band];
    z += reflectance * TO_Z[band];
  }
  return labOfXyz(x, y, z);
}
