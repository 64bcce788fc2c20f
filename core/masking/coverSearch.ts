import { type Laying, members, type StepCosts } from './stepCosts.ts';

/**
 * The cheapest way to finish from every state of the part, by exact search backwards over sets: each zone is unpainted, painted
 * and closed, or painted with its colour left open over later ones, so there are 3ⁿ states. Open colours are the worst grounds of
 * what they reach, and a state whose joint would stop is never entered.
 */
export class CoverSearch {
  readonly #costs: StepCosts;
  readonly #ternary: Int32Array;
  readonly #toFinish: Float64Array;

  constructor(costs: StepCosts) {
    this.#costs = costs;
    this.#ternary = ternaryOf(costs.count);
    this.#toFinish = this.#searched();
  }

  /** Evening-minutes from here to the end; infinite where there is no way. */
  toFinish(painted: number, open: number): number {
    return this.#toFinish[this.#ternary[painted] + this.#ternary[open]];
  }

  /** The cheaper of closing and leaving open, with all that follows. */
  best(zone: number, painted: number, open: number): { readonly laying: Laying; readonly cost: number } {
    return this.ways(zone, painted, open).reduce((one, other) => (other.cost < one.cost - EQUAL ? other : one));
  }

  /** Both ways to lay one colour now, with all that follows; one where nothing is left that it could reach. */
  ways(zone: number, painted: number, open: number): { readonly laying: Laying; readonly cost: number }[] {
    const reaches = (this.#costs.touching(zone) & ~painted) !== 0;
    return (reaches ? [true, false] : [false]).map((leavesOpen) => {
      const laying = { zone, painted, open, leavesOpen };
      const next = this.toFinish(painted | (1 << zone), leavesOpen ? open | (1 << zone) : open);
      return { laying, cost: this.#costs.minutes(laying) + next };
    });
  }

  #searched(): Float64Array {
    const { count } = this.#costs;
    const full = (1 << count) - 1;
    const toFinish = new Float64Array(3 ** count);
    for (let painted = full - 1; painted >= 0; painted--) {
      const left = members(full & ~painted).map((zone) => this.#stepFrom(zone, painted));
      for (let open = painted; ; open = (open - 1) & painted) {
        toFinish[this.#ternary[painted] + this.#ternary[open]] = this.#cheapest(toFinish, left, open);
        if (open === 0) break;
      }
    }
    return toFinish;
  }

  /** What stays the same for a zone whatever colours lie open: its masks, and the state each way leads to. */
  #stepFrom(zone: number, painted: number): Step {
    const near = this.#costs.touching(zone);
    const closed = this.#ternary[painted | (1 << zone)];
    return {
      near,
      grounds: this.#costs.grounds(zone),
      closed,
      closedMinutes: this.#costs.maskMinutes(zone, painted, false),
      open: closed + this.#ternary[1 << zone],
      openMinutes: (near & ~painted) === 0 ? Number.POSITIVE_INFINITY : this.#costs.maskMinutes(zone, painted, true),
    };
  }

  #cheapest(toFinish: Float64Array, left: readonly Step[], open: number): number {
    let least = Number.POSITIVE_INFINITY;
    const lying = this.#ternary[open];
    for (const { near, grounds, closed, closedMinutes, open: opened, openMinutes } of left) {
      const way = Math.min(closedMinutes + toFinish[closed + lying], openMinutes + toFinish[opened + lying]);
      least = Math.min(least, way + grounds[open & near]);
    }
    return least;
  }
}

type Step = {
  readonly near: number;
  readonly grounds: Float64Array;
  readonly closed: number;
  readonly closedMinutes: number;
  readonly open: number;
  readonly openMinutes: number;
};

/** Costs this near are equal, evening-minutes. */
export const EQUAL = 1e-9;

/** Each set of bits as the number with the same digits to base three. */
function ternaryOf(count: number): Int32Array {
  const table = new Int32Array(1 << count);
  for (let set = 1; set < table.length; set++) {
    const [lowest] = members(set & -set);
    table[set] = table[set & (set - 1)] + 3 ** lowest;
  }
  return table;
}
