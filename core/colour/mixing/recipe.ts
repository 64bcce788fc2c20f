import type { Lab } from '#core/facts/index';
import { type Ingredient, ingredientOf, type MixPaint, mixedLab } from './mixing.ts';
import { colourDifference } from '../spaces.ts';

/** The recipe that comes nearest to a colour, in whole drops, from the paints there are. */

/** Millilitres of a drop from a bottle or a pipette (trade §10). */
export const DROP_ML = 0.05;
export const MOST_PAINTS = 5;

export type Offered = MixPaint & {
  /** What is left of it, mL; absent: enough. */
  readonly ml?: number;
};

export type RecipeWish = {
  readonly target: Lab;
  readonly paints: readonly Offered[];
  /** Different paints at most. */
  readonly maxPaints: number;
  /** Drops in all at most. */
  readonly drops: number;
};

export type Portion = { readonly id: string; readonly drops: number };

export type Recipe = {
  readonly portions: readonly Portion[];
  readonly lab: Lab;
  readonly deltaE: number;
  /** Every recipe within the wish was weighed; else the best of those that grow from good ones. */
  readonly exact: boolean;
};

/** So many recipes of one size are weighed one by one; beyond, good ones are made better. */
const MOST_WEIGHED = 300_000;
/** Up to three paints in up to thirty drops are weighed whatever it takes. */
const ALWAYS_WEIGHED = { paints: 3, drops: 30, most: 5_000_000 } as const;
/** Of equal ones the smaller cup with fewer paints is taken; a thousandth of a ΔE is equal. */
const EQUAL = 1e-3;
/** Pairs and triples that larger recipes grow from. */
const SEEDS = 12;

/** Recipes ranked: nearest first, then fewer paints, then fewer drops. The first is the answer, the others are another way. */
export function recipesFor(wish: RecipeWish, most = 1): Recipe[] {
  const search = new RecipeSearch(wish);
  return search.run(most);
}

type Found = { readonly at: readonly number[]; readonly drops: readonly number[]; readonly deltaE: number };

class RecipeSearch {
  readonly #wish: RecipeWish;
  readonly #ingredients: readonly Ingredient[];
  readonly #limits: readonly number[];
  readonly #best: Found[] = [];
  #keep = 1;

  constructor(wish: RecipeWish) {
    this.#wish = wish;
    this.#ingredients = wish.paints.map(ingredientOf);
    this.#limits = wish.paints.map(({ ml }) => Math.min(wish.drops, ml === undefined ? wish.drops : Math.floor(ml / DROP_ML + 1e-9)));
  }

  run(most: number): Recipe[] {
    this.#keep = Math.max(most, SEEDS);
    const usable = this.#limits.flatMap((limit, at) => (limit > 0 ? [at] : []));
    const paints = Math.min(this.#wish.maxPaints, usable.length);
    let exact = true;
    for (let count = 1; count <= paints; count++) {
      const whole = combinations(usable.length, count) * compositions(this.#wish.drops, count) <= this.#mostWeighed(count);
      if (whole) this.#weighAll(usable, count);
      else this.#grow(usable, count);
      exact &&= whole;
    }
    return this.#best.slice(0, most).map((found) => this.#recipeOf(found, exact));
  }

  #mostWeighed(count: number): number {
    return count <= ALWAYS_WEIGHED.paints && this.#wish.drops <= ALWAYS_WEIGHED.drops ? ALWAYS_WEIGHED.most : MOST_WEIGHED;
  }

  #recipeOf({ at, drops, deltaE }: Found, exact: boolean): Recipe {
    const own = at.map((place) => this.#ingredients[place]);
    return { portions: own.map(({ id }, index) => ({ id, drops: drops[index] })), lab: mixedLab(own, drops), deltaE, exact };
  }

  /** Every choice of so many paints, and of each every proportion once. */
  #weighAll(usable: readonly number[], count: number): void {
    for (const at of choices(usable, count)) {
      const own = at.map((place) => this.#ingredients[place]);
      const drops = at.map(() => 0);
      const fill = (place: number, left: number, common: number) => {
        const rest = at.length - place - 1;
        for (let own1 = 1; own1 <= Math.min(this.#limits[at[place]], left - rest); own1++) {
          drops[place] = own1;
          const divisor = commonDivisor(common, own1);
          if (rest > 0) fill(place + 1, left - own1, divisor);
          // The same proportion was weighed in fewer drops.
          else if (divisor === 1) this.#weigh(at, own, drops);
        }
      };
      fill(0, this.#wish.drops, 0);
    }
  }

  #weigh(at: readonly number[], own: readonly Ingredient[], drops: readonly number[]): void {
    this.#offer({ at, drops, deltaE: colourDifference(mixedLab(own, drops), this.#wish.target) });
  }

  #offer(found: Found): boolean {
    const last = this.#best.at(-1);
    if (this.#best.length >= this.#keep && last && isBetter(last, found)) return false;
    if (this.#best.some((other) => sameRecipe(other, found))) return false;
    const place = this.#best.findIndex((other) => isBetter(found, other));
    this.#best.splice(place < 0 ? this.#best.length : place, 0, { ...found, drops: [...found.drops] });
    if (this.#best.length > this.#keep) this.#best.pop();
    return true;
  }

  /** From each good recipe: another paint added, then drops moved one by one for as long as that helps. */
  #grow(usable: readonly number[], count: number): void {
    for (const seed of [...this.#best]) {
      for (const place of usable) {
        if (seed.at.length >= count || seed.at.includes(place)) continue;
        const at = [...seed.at, place].sort((a, b) => a - b);
        const start = at.map((own) => (own === place ? 1 : seed.drops[seed.at.indexOf(own)]));
        this.#climb(at, this.#fitted(at, start));
      }
    }
  }

  /** As many drops as the cup holds, in nearly the same proportion. */
  #fitted(at: readonly number[], drops: readonly number[]): number[] {
    const total = drops.reduce((sum, own) => sum + own, 0);
    const factor = Math.max(1, Math.floor(this.#wish.drops / total));
    const grown = drops.map((own, index) => Math.min(this.#limits[at[index]], Math.max(1, own * factor)));
    while (grown.reduce((sum, own) => sum + own, 0) > this.#wish.drops) grown[grown.indexOf(Math.max(...grown))]--;
    return grown;
  }

  #climb(at: readonly number[], start: readonly number[]): void {
    const own = at.map((place) => this.#ingredients[place]);
    const weigh = (drops: readonly number[]) => colourDifference(mixedLab(own, drops), this.#wish.target);
    let [drops, deltaE] = [start, weigh(start)];
    for (let better = true; better; ) {
      better = false;
      for (const next of this.#neighbours(at, drops)) {
        const nextDeltaE = weigh(next);
        if (nextDeltaE < deltaE - 1e-9) [drops, deltaE, better] = [next, nextDeltaE, true];
      }
    }
    this.#offer({ at, drops, deltaE });
  }

  /** One drop more or less of a paint, or moved from one to another. */
  #neighbours(at: readonly number[], drops: readonly number[]): number[][] {
    const moves: number[][] = [];
    const tryMove = (more: number, less: number) => {
      const next = [...drops];
      if (more >= 0) next[more]++;
      if (less >= 0) next[less]--;
      const total = next.reduce((sum, own) => sum + own, 0);
      if (total <= this.#wish.drops && next.every((own, index) => own >= 1 && own <= this.#limits[at[index]])) moves.push(next);
    };
    for (let more = -1; more < drops.length; more++)
      for (let less = -1; less < drops.length; less++) if (more !== less) tryMove(more, less);
    return moves;
  }
}

function isBetter(one: Found, other: Found): boolean {
  if (Math.abs(one.deltaE - other.deltaE) > EQUAL) return one.deltaE < other.deltaE;
  if (one.at.length !== other.at.length) return one.at.length < other.at.length;
  const total = ({ drops }: Found) => drops.reduce((sum, own) => sum + own, 0);
  if (total(one) !== total(other)) return total(one) < total(other);
  return one.deltaE < other.deltaE;
}

function sameRecipe(one: Found, other: Found): boolean {
  return (
    one.at.length === other.at.length &&
    one.at.every((place, index) => place === other.at[index] && one.drops[index] === other.drops[index])
  );
}

/** The greatest whole number both can be divided by; 0 counts as none yet. */
export function commonDivisor(a: number, b: number): number {
  return a === 0 ? b : commonDivisor(b % a, a);
}

/** Ways to take so many of n. */
function combinations(n: number, count: number): number {
  let ways = 1;
  for (let taken = 0; taken < count; taken++) ways = (ways * (n - taken)) / (taken + 1);
  return ways;
}

/** Ways to fill at most so many drops with so many paints, each at least one. */
function compositions(drops: number, count: number): number {
  return combinations(drops, count);
}

function* choices(from: readonly number[], count: number): Generator<number[]> {
  if (count === 0) return yield [];
  for (let at = 0; at + count <= from.length; at++) for (const rest of choices(from.slice(at + 1), count - 1)) yield [from[at], ...rest];
}
