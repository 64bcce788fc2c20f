import type { Minute } from '#core/units/index';

/** Places where films dry: what hangs in them, for how long, and whether there is room for more. */

/** So many copies as long and as heavy as this; a weight nobody knows is none. */
export type Hung = { readonly count: number; readonly longMm: number; readonly grams?: number };

/** Kinds of places: so many copies at a time, each up to a length and a weight; no weight said carries any. */
export type DryingPlaces = readonly Hung[];

/** What hangs while its film cannot be touched. The same `what` in two spells hangs once. */
export type Spell = { readonly what: string; readonly from: Minute; readonly until: Minute; readonly copies: Hung };

export class HangingRoom {
  readonly #places: DryingPlaces;
  readonly #spells: Spell[];

  constructor(places: DryingPlaces, hanging: readonly Spell[]) {
    this.#places = places;
    this.#spells = [...hanging];
  }

  add(spells: readonly Spell[]): void {
    this.#spells.push(...spells);
  }

  remove(spells: readonly Spell[]): void {
    for (const spell of spells) this.#spells.splice(this.#spells.indexOf(spell), 1);
  }

  /** When room comes free for new spells; null: there is room from their start on. */
  freeAt(wanted: readonly Spell[]): Minute | null {
    const [from, until] = [Math.min(...wanted.map((own) => own.from)), Math.max(...wanted.map((own) => own.until))];
    const own = new Set(wanted.map(({ what }) => what));
    const others = this.#spells.filter((spell) => spell.from < until && spell.until > from && !own.has(spell.what));
    const moments = [from, ...others.map((spell) => spell.from).filter((at) => at > from)];
    for (const at of moments) {
      const now = hangingAt([...others, ...wanted], at);
      if (fits(now, this.#places)) continue;
      const ends = others.filter((spell) => spell.from <= at && spell.until > at).map((spell) => spell.until);
      return ends.length === 0 ? Number.POSITIVE_INFINITY : Math.min(...ends);
    }
    return null;
  }
}

/** Copies that hang at a moment, each part counted once. */
export function hangingAt(spells: readonly Spell[], at: Minute): Hung[] {
  const once = new Map<string, Hung>();
  for (const { what, from, until, copies } of spells) if (from <= at && until > at) once.set(what, copies);
  return [...once.values()];
}

/**
 * Whether copies find a place each. The longest first, each in the weakest place that takes it: what is left is long enough for all
 * that follow, so that only its strength counts.
 */
export function fits(copies: readonly Hung[], places: DryingPlaces): boolean {
  const free = [...places]
    .sort((a, b) => (a.grams ?? Number.POSITIVE_INFINITY) - (b.grams ?? Number.POSITIVE_INFINITY))
    .map((place) => ({ ...place }));
  return [...copies]
    .sort((a, b) => b.longMm - a.longMm || (b.grams ?? 0) - (a.grams ?? 0))
    .every((own) => {
      let left = own.count;
      for (const place of free) {
        if (place.longMm < own.longMm || (place.grams ?? Number.POSITIVE_INFINITY) < (own.grams ?? 0)) continue;
        const taken = Math.min(left, place.count);
        place.count -= taken;
        left -= taken;
      }
      return left === 0;
    });
}
