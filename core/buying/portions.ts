import type { Minute } from '#core/units/index';

/** What is lacking comes to be wanted bit by bit: the first coat may still come from the shelf, the third from a can to be bought. */

export type Use = { readonly at: Minute | null; readonly amount: number };

/** So much of it lacks from that moment on; null: no day is known yet. */
export type Portion = { readonly amount: number; readonly neededBy: Minute | null };

/**
 * The uses that what is at hand does not cover, in order of time.
 * @param inAll what has to be bought: a jar and whole pieces come on top of the last portion
 */
export function portionsLacking(uses: readonly Use[], atHand: number, inAll: number): Portion[] {
  const portions: Portion[] = [];
  let [used, lacking] = [0, 0];
  for (const { at, amount } of [...uses].sort((a, b) => timeOf(a.at) - timeOf(b.at))) {
    used += amount;
    const more = Math.min(inAll, Math.max(0, used - atHand)) - lacking;
    if (more <= 0) continue;
    lacking += more;
    portions.push({ amount: more, neededBy: at });
  }
  const last = portions.pop();
  return inAll > 0 ? [...portions, { amount: (last?.amount ?? 0) + inAll - lacking, neededBy: last?.neededBy ?? null }] : [];
}

function timeOf(at: Minute | null): number {
  return at ?? Number.POSITIVE_INFINITY;
}

/** When each pack is needed: the soonest here serve what is wanted first. */
export function neededDates<T extends { readonly leadDays: number; readonly amount: number }>(
  bought: readonly { readonly pack: T; readonly count: number }[],
  portions: readonly Portion[],
): ReadonlyMap<T, Minute | null> {
  const dates = new Map<T, Minute | null>();
  let served = 0;
  for (const { pack, count } of [...bought].sort((a, b) => a.pack.leadDays - b.pack.leadDays)) {
    dates.set(pack, portionAt(served, portions)?.neededBy ?? null);
    served += pack.amount * count;
  }
  return dates;
}

/** The portion still open once so much is served; the last where all are. */
function portionAt(served: number, portions: readonly Portion[]): Portion | undefined {
  let until = 0;
  for (const portion of portions) {
    until += portion.amount;
    if (until > served + 1e-6) return portion;
  }
  return portions.at(-1);
}
