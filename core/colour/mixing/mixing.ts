import type { Lab } from '#core/facts/index';
import { type Drawdown, type DrawdownRead, readDrawdown } from './drawdown.ts';
import { BANDS, TO_X, TO_Y, TO_Z } from '../observer.ts';
import { hidingShare } from '../spaces.ts';
import { labOfXyz, spectrumOf } from '../spectrum.ts';

/**
 * Opaque paints mixed: absorption over scattering, K/S = (1 − R)² ÷ 2R, adds band by band in proportion to amount and strength
 * (Kubelka and Munk 1931 in its one-constant form). Order and size of the mix change nothing, only the proportions.
 */

export type MixPaint = {
  readonly id: string;
  readonly lab: Lab;
  /** Share of the contrast below that one coat lets through; absent: by its colour (trade §7). */
  readonly share?: number;
  /** One coat read over black and over white: absorption and scattering apart. */
  readonly drawdown?: Drawdown;
};

/** A paint as the mixing knows it. */
export type Ingredient = {
  readonly id: string;
  readonly lab: Lab;
  /** What it counts for beside an equal amount of another. */
  readonly strength: number;
  /** Its K/S band by band, times its strength. */
  readonly weighted: Float64Array;
  /** Absorption and scattering band by band, where a drawdown tells them apart. */
  readonly two?: { readonly absorbs: Float64Array; readonly scatters: Float64Array };
};

/** @throws RangeError where a colour is none a paint can have */
export function ingredientOf({ id, lab, share, drawdown }: MixPaint): Ingredient {
  const drawn = drawdown && readDrawdown(drawdown);
  const spectrum = drawn?.reflectance ?? spectrumOf(lab);
  const strength = strengthOf(spectrum, held(share ?? drawn?.share ?? hidingShare(lab)));
  return {
    id,
    lab: drawn?.masstone ?? lab,
    strength,
    weighted: Float64Array.from(spectrum, (reflectance) => strength * absorption(reflectance)),
    ...(drawn ? { two: twoConstants(drawn) } : {}),
  };
}

/** A coat lets exp(−2bSX) through, b = (1 − R²) ÷ 2R: S of one normal coat, and K = S × K/S (Kubelka and Munk 1931). */
function twoConstants({ reflectance, shares }: DrawdownRead): NonNullable<Ingredient['two']> {
  const scatters = reflectance.map((own, band) => (-Math.log(shares[band]) * own) / (1 - own * own));
  return { scatters, absorbs: scatters.map((value, band) => value * absorption(reflectance[band])) };
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
  if (!amounts.some((amount) => amount > 0)) throw new RangeError('Nothing is in the cup: give at least one paint an amount.');
  // Two constants count only where every paint of the cup has them: one scale for all.
  const ksAt = ingredients.every(({ two }) => two !== undefined)
    ? twoConstantKs(ingredients, amounts)
    : oneConstantKs(ingredients, amounts);
  let [x, y, z] = [0, 0, 0];
  for (let band = 0; band < BANDS; band++) {
    const ks = ksAt(band);
    const reflectance = 1 + ks - Math.sqrt(ks * ks + 2 * ks);
    x += reflectance * TO_X[band];
    y += reflectance * TO_Y[band];
    z += reflectance * TO_Z[band];
  }
  return labOfXyz(x, y, z);
}

type KsAt = (band: number) => number;

function oneConstantKs(ingredients: readonly Ingredient[], amounts: readonly number[]): KsAt {
  let whole = 0;
  for (let at = 0; at < ingredients.length; at++) whole += amounts[at] * ingredients[at].strength;
  return (band) => {
    let ks = 0;
    for (let at = 0; at < ingredients.length; at++) ks += amounts[at] * ingredients[at].weighted[band];
    return ks / whole;
  };
}

function twoConstantKs(ingredients: readonly Ingredient[], amounts: readonly number[]): KsAt {
  return (band) => {
    let [absorbs, scatters] = [0, 0];
    for (let at = 0; at < ingredients.length; at++) {
      absorbs += amounts[at] * (ingredients[at].two?.absorbs[band] ?? 0);
      scatters += amounts[at] * (ingredients[at].two?.scatters[band] ?? 0);
    }
    return absorbs / scatters;
  };
}
