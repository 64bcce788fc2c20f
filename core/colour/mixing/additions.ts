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

export function additionsFor(portions: readonly Portion[], paints: readonly MixPaint[], target: Lab): Addition[] {
  const paintOf = new Map(paints.map((paint) => [paint.id, paint]));
  const inOrder = portions
    .flatMap(({ id, drops }) => {
      const paint = paintOf.get(id);
      return paint ? [{ paint, drops }] : [];
    })
    .sort((one, other) => other.paint.lab.l - one.paint.lab.l || one.paint.id.localeCompare(other.paint.id));
  const pours = inOrder.flatMap((pour, at) =>
    at > 0 && at === inOrder.length - 1 && pour.drops >= LAST_APART_FROM
      ? [
          { ...pour, drops: pour.drops - 1 },
          { ...pour, drops: 1 },
        ]
      : [pour],
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
