import type { Lab } from '#core/facts/index';
import { type Ingredient, ingredientOf, mixedLab } from './mixing.ts';
import { DROP_ML, type Offered, type Portion } from './recipe.ts';
import { type Shift, shiftedBy } from '../reading/shifts.ts';
import { colourDifference } from '../spaces.ts';

/** A cup that went too far: the smallest addition that brings it back, or that a fresh one costs less. */

export const ASTRAY = ['too dark', 'too light', 'too red', 'too green', 'too yellow', 'too blue', 'too grey', 'too strong'] as const;
export type Astray = (typeof ASTRAY)[number];

export type Cup = {
  readonly portions: readonly Portion[];
  readonly paints: readonly Offered[];
  /** What it looks like now. */
  readonly looks: Lab;
  readonly target: Lab;
  /** ΔE that is near enough. */
  readonly tolerance: number;
};

export type Correction = {
  readonly additions: readonly Portion[];
  readonly lab: Lab;
  readonly deltaE: number;
  readonly within: boolean;
  /** The whole cup after it, mL; beyond twice what it held it is cheaper to begin anew. */
  readonly ml: number;
  readonly startAgain: boolean;
};

/** A step that somebody points out, in Lab. */
const STEP = 4;
/** More than so many times the cup nobody pours in. */
const MOST_GROWTH = 4;
const WORTH_SAVING = 2;
/** A large cup is corrected in steps of several drops, about so many to the cup. */
const STEPS_A_CUP = 60;

const TOWARDS: Record<Astray, Shift> = {
  'too dark': 'darker',
  'too light': 'lighter',
  'too red': 'redder',
  'too green': 'greener',
  'too yellow': 'yellower',
  'too blue': 'bluer',
  'too grey': 'duller',
  'too strong': 'stronger',
};

/** The reading that "too red" stands for: the colour it should have by now, a plain step off that way. */
export function readingOf(expected: Lab, astray: Astray): Lab {
  return shiftedBy(expected, TOWARDS[astray], STEP);
}

/** @throws RangeError where the cup is empty or its look is none a paint can have */
export function correctionFor({ portions, paints, looks, target, tolerance }: Cup): Correction {
  const held = portions.reduce((sum, { drops }) => sum + drops, 0);
  const cup = asOnePaint(portions, paints, looks, held);
  const others = paints.map((paint) => ({
    ingredient: ingredientOf(paint),
    most: paint.ml === undefined ? Number.POSITIVE_INFINITY : Math.floor(paint.ml / DROP_ML + 1e-9),
  }));
  const grain = Math.max(1, Math.ceil(held / STEPS_A_CUP));
  let best: { additions: Portion[]; lab: Lab; deltaE: number } = { additions: [], lab: looks, deltaE: colourDifference(looks, target) };
  for (let added = 1; added * grain <= held * MOST_GROWTH && best.deltaE > tolerance; added++) {
    for (const [at, one] of others.entries()) {
      for (const other of others.slice(at)) {
        // A paint by itself, or shared out between two.
        const from = other === one ? added : 1;
        const to = other === one ? added : added - 1;
        for (let first = from; first <= to; first++) {
          const second = added - first;
          const drops = [first * grain, second * grain] as const;
          if (drops[0] > one.most || drops[1] > other.most) continue;
          const lab = mixedLab([cup, one.ingredient, other.ingredient], [held, ...drops]);
          const deltaE = colourDifference(lab, target);
          if (deltaE >= best.deltaE - 1e-9) continue;
          const more = second > 0 ? [{ id: other.ingredient.id, drops: drops[1] }] : [];
          best = { additions: [{ id: one.ingredient.id, drops: drops[0] }, ...more], lab, deltaE };
        }
      }
    }
  }
  const added = best.additions.reduce((sum, { drops }) => sum + drops, 0);
  return {
    ...best,
    within: best.deltaE <= tolerance,
    ml: (held + added) * DROP_ML,
    startAgain: best.deltaE > tolerance || added > held * (WORTH_SAVING - 1),
  };
}

/** What is in the cup as a paint of the colour it has, as strong as its parts together. */
function asOnePaint(portions: readonly Portion[], paints: readonly Offered[], looks: Lab, held: number): Ingredient {
  if (held <= 0) throw new RangeError('The cup is empty: say how many drops of each paint are in it.');
  const strength = portions.reduce((sum, { id, drops }) => {
    const paint = paints.find((own) => own.id === id);
    return sum + (paint ? ingredientOf(paint).strength : 1) * drops;
  }, 0);
  const own = ingredientOf({ id: 'cup', lab: looks });
  const factor = strength / held / own.strength;
  return { ...own, strength: own.strength * factor, weighted: own.weighted.map((value) => value * factor) };
}
