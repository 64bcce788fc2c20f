import { dryingRate, isOwnThinner } from '#core/drying/index';
import { type Family, type Label, plain } from '#core/facts/index';
import { typedNumber } from '#core/units/index';

/** What goes into the cup for a given need: paint, hardener and reducer by volume and weight, cup by cup (trade §6). */

/** A mix is made 20 % larger than the coats need. */
export const MIX_SPARE = 0.2;
/** Solids as bottled are heavier than water; enough for a kitchen scale. */
/** g/mL of a paint from its bottle. */
export const PAINT_DENSITY = 1.1;
const DENSITY = { paint: PAINT_DENSITY, hardener: 1, reducer: 0.87 };
const CUP_ML = 30;

export type MixPart = { readonly what: 'paint' | 'hardener' | 'reducer'; readonly ml: number; readonly grams: number };
export type Mix = {
  readonly parts: readonly MixPart[];
  readonly ml: number;
  readonly cups: number;
  readonly inductionMin: number | null;
  readonly potLifeMin: number | null;
  readonly warnings: readonly string[];
};

export type MixQuestion = {
  /** What the coats take, mL as sprayed. */
  readonly needMl: number;
  readonly label: Label;
  readonly own: Family;
  /** The thinner at hand, by family; absent: the product's own. */
  readonly thinner?: Family;
  readonly cupMl?: number;
  /** Where it is sprayed, °C; absent: the 20 °C of the label. */
  readonly celsius?: number;
};

/** Humidity counts for nothing in a hardening cup. */
const ANY_HUMIDITY = 50;

/**
 * Minutes a mix lives at another temperature than the label's 20 °C: twice as long for ten degrees less (trade §6, q = 2); never
 * ending below the standstill of hardening.
 */
export function potLifeAt(potLifeMin: number, celsius: number): number {
  return potLifeMin / dryingRate('crosslinking', celsius, ANY_HUMIDITY);
}

/** How long the mix lives, and how long where it is sprayed. */
function potLifeText(potLifeMin: number, celsius: number): string {
  const there = potLifeAt(potLifeMin, celsius);
  const elsewhere = Number.isFinite(there)
    ? `${Math.floor(there)} min at ${typedNumber(celsius)} °C`
    : `at ${typedNumber(celsius)} °C it does not harden`;
  return `Everything of this mix is sprayed within ${potLifeMin} min at 20 °C${celsius === 20 ? '' : `, ${elsewhere}`}; never seal what is left.`;
}

/** Parts for one batch. A label without thinning or hardener gives paint alone. */
export function mixFor({ needMl, label, own, thinner, cupMl = CUP_ML, celsius = 20 }: MixQuestion): Mix {
  const ml = needMl * (1 + MIX_SPARE);
  const reducer = label.thinning?.usual ?? 0;
  const hardener = label.hardener?.parts ?? 0;
  const paintMl = ml / (1 + reducer + hardener);
  const part = (what: MixPart['what'], volume: number): MixPart => ({ what, ml: volume, grams: volume * DENSITY[what] });
  const warnings = [
    ...(thinner !== undefined && !isOwnThinner(own, thinner)
      ? [`${plain(thinner)} thinner in ${plain(own)}: it may separate or spit, and its bite counts. Care at best; try it in a glass.`]
      : []),
    ...(label.potLifeMin !== undefined ? [potLifeText(label.potLifeMin, celsius)] : []),
  ];
  return {
    parts: [
      part('paint', paintMl),
      ...(hardener > 0 ? [part('hardener', paintMl * hardener)] : []),
      ...(reducer > 0 ? [part('reducer', paintMl * reducer)] : []),
    ],
    ml,
    cups: Math.max(1, Math.ceil(ml / cupMl)),
    inductionMin: label.inductionMin ?? null,
    potLifeMin: label.potLifeMin ?? null,
    warnings,
  };
}
