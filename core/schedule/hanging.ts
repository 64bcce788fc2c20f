import type { Minute } from '#core/units/index';

/** Places where films dry: what hangs in them, for how long, and whether there is room for more. */

/** So many copies as long as this. */
export type Hung = { readonly count: number; readonly longMm: number };

/** Kinds of places: so many copies at a time, each up to a length. */
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

/** Whether copies find a place each: those longer than any length never outnumber the places that take more than it. */
export function fits(copies: readonly Hung[], places: DryingPlaces): boolean {
  const longerThan = (list: readonly Hung[], mm: number) => list.reduce((sum, own) => sum + (own.longMm > mm ? own.count : 0), 0);
  const lengths = [0, ...places.map(({ longMm }) => longMm)];
  return lengths.every((mm) => longerThan(copies, mm) <= longerThan(places, mm));
}
