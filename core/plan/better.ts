import { compared, type Improved, improving, NO_TURNS, type Turns, withTurns } from '#core/schedule/index';
import { seededRandom } from './dates/index.ts';
import { finished, type Plan, type PlanInput, type Readied, readied } from './plan.ts';

/** Looking for a better plan than the first feasible one, round by round, until it is stopped or the rounds are used up. */

export type BetterFound = { readonly plan: Plan; readonly turns: Turns };

/** Placings of steps that are tried for one plan, about: many for a small workshop, few for a large one. */
const STEPS_PLACED = 6000;
const [FEWEST, MOST] = [4, 80];

export class BetterPlan {
  readonly of: number;
  round = 0;
  readonly #ready: Readied;
  readonly #before: Turns;
  readonly #rounds: Iterator<Improved>;
  #best: Improved;

  constructor(input: PlanInput & { readonly seed: number }) {
    this.#ready = readied(input);
    this.#before = input.turns ?? NO_TURNS;
    const { problem, first, judge, ownerOf, crowding } = this.#ready.rows.placing;
    this.#best = first;
    this.#rounds = improving({ problem, ownerOf, judge, random: seededRandom(input.seed), from: first, crowding });
    this.of = Math.max(FEWEST, Math.min(MOST, Math.round(STEPS_PLACED / Math.max(1, problem.activities.length))));
  }

  /** Tries one more order; false once all rounds are used up. */
  next(): boolean {
    if (this.round >= this.of) return false;
    this.round++;
    this.#best = this.#rounds.next().value;
    return true;
  }

  /** The best so far; null where none is better than the first. */
  found(): BetterFound | null {
    if (compared(this.#best.score, this.#ready.rows.placing.first.score) >= 0) return null;
    return { plan: finished(this.#ready, this.#best.result), turns: withTurns(this.#before, this.#best.turns) };
  }
}
