import type { Lab } from '#core/facts/index';
import { ingredientOf, type MixPaint, mixedLab } from './mixing.ts';
import type { Portion } from './recipe.ts';
import { colourDifference } from '../spaces.ts';

/** A recipe as it goes into the cup: the light first, then the dark into it, with a look after each (trade §10). */

export type Addition = {
  readonly id: string;
  readonly drops: number;
  /** The cup as it should look now. */
  readonly lab: Lab;
  /** From the colour wanted. */
  readonly deltaE: number;
};

/** From this many drops on the last is kept back for a look of its own. */
const LAST_APART_FROM = 2;
/** So many drops into a cup at once cannot be taken back: what darkens goes in by halves of what is left. */
const BY_HALVES_FROM = 6;
/** Looks at one paint: after the fifth a sixteenth of it is left to go in. */
const MOST_PORTIONS = 5;

export function additionsFor(portions: readonly Portion[], paints: readonly MixPaint[], target: Lab): Addition[] {
  const paintOf = new Map(paints.map((paint) => [paint.id, paint]));
  const inOrder = portions
    .flatMap(({ id, drops }) => {
      const paint = paintOf.get(id);
      return paint ? [{ paint, drops }] : [];
    })
    .sort((one, other) => other.paint.lab.l - one.paint.lab.l || one.paint.id.localeCompare(other.paint.id));
  const pours = inOrder.flatMap((pour, at) =>
    (at === 0 ? [pour.drops] : inPortions(pour.drops, at === inOrder.length - 1)).map((drops) => ({ ...pour, drops })),
  );
  const ingredients = pours.map(({ paint }) => ingredientOf(paint));
  return pours.map(({ paint, drops }, at) => {
    const lab = mixedLab(
      ingredients.slice(0, at + 1),
      pours.slice(0, at + 1).map((pour) => pour.drops),
    );
    return { id: paint.id, drops, lab, deltaE: colourDifference(lab, target) };
  });
}

/** Many drops by halves, of few the last one by itself where nothing follows. */
function inPortions(drops: number, last: boolean): number[] {
  if (drops < BY_HALVES_FROM) return last && drops >= LAST_APART_FROM ? [drops - 1, 1] : [drops];
  const portions: number[] = [];
  let left = drops;
  while (portions.length < MOST_PORTIONS - 1 && left > 1) {
    portions.push(Math.ceil(left / 2));
    left -= Math.ceil(left / 2);
  }
  return [...portions, left].filter((own) => own > 0);
}
