import type { Minute } from '#core/units/index';
import type { FreeInterval } from '../model.ts';
import type { Instance, Starts } from './instance.ts';

/**
 * Earliest starts under decisions made so far. Every constraint that has been decided reads *start of one ≥ start of another +
 * minutes*, and attended work that does not fit where it is moves on to the next free interval. Both only ever push later, so there
 * is one least solution, and no schedule that keeps the decisions has anything sooner.
 */

/** start[to] ≥ start[from] + minutes, which may be negative: a latest wait. */
export type Edge = { readonly from: number; readonly to: number; readonly minutes: Minute };

export class Network {
  readonly #instance: Instance;
  /** Nothing of it starts later than this. */
  readonly #horizon: Minute;

  constructor(instance: Instance) {
    this.#instance = instance;
    this.#horizon = horizonOf(instance);
  }

  /** What holds without any decision: each wait's least and its last latest. */
  edges(): Edge[] {
    const { waits, work } = this.#instance;
    return waits.flatMap(({ from, to, allowed }) => {
      const last = allowed.at(-1)?.max ?? null;
      const latest = last === null ? [] : [{ from: to, to: from, minutes: -(last + work[from].minutes) }];
      return [{ from, to, minutes: work[from].minutes + allowed[0].min }, ...latest];
    });
  }

  /** Where everything is released. */
  released(): Minute[] {
    return this.#instance.work.map(({ notBefore }) => notBefore ?? 0);
  }

  /** The least solution from these starts on, or null where there is none. @param edges all that hold */
  settle(from: Starts, edges: readonly Edge[]): Minute[] | null {
    const { work } = this.#instance;
    const starts = [...from];
    // Without a move to another free interval a chain settles in as many rounds as there is work; longer means a circle.
    let rounds = 0;
    for (let changed = true; changed; ) {
      changed = false;
      for (const { from: one, to, minutes } of edges) {
        const least = starts[one] + minutes;
        if (least <= starts[to]) continue;
        starts[to] = least;
        changed = true;
      }
      for (const [at, own] of work.entries()) {
        if (own.attended) {
          const fits = fitting(this.#instance.free, starts[at], own.minutes);
          if (fits === null) return null;
          if (fits > starts[at]) {
            starts[at] = fits;
            changed = true;
            rounds = 0;
          }
        }
        if (starts[at] > this.#horizon || (own.notAfter !== undefined && starts[at] + own.minutes > own.notAfter)) return null;
      }
      if (++rounds > work.length + 1 && changed) return null;
    }
    return starts;
  }
}

/** The soonest moment from one on at which so many minutes lie wholly in one free interval; null: never. */
export function fitting(free: readonly FreeInterval[], from: Minute, minutes: Minute): Minute | null {
  for (const span of free) {
    const start = Math.max(span.from, from);
    if (start + minutes <= span.to) return start;
  }
  return null;
}

function horizonOf({ work, waits, free }: Instance): Minute {
  const longest = waits.reduce((sum, { allowed }) => sum + (allowed.at(-1)?.min ?? 0), 0);
  const all = work.reduce((sum, { minutes }) => sum + minutes, 0);
  const latest = Math.max(0, ...free.map(({ to }) => to), ...work.map(({ notBefore }) => notBefore ?? 0));
  return latest + longest + all;
}
