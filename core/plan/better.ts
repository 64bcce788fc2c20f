import { compared, type Improved, type Turns, withTurns } from '#core/schedule/index';
import { finished, type Plan, type PlanInput, type Readied, readied, searchIn } from './plan.ts';

/** Looking for a better plan than the first feasible one, round by round, until it is stopped, stops paying or the rounds are used up. */

export type BetterFound = { readonly plan: Plan; readonly turns: Turns };

/** Placings of steps that are tried for one plan, about: many for a small workshop, few for a large one. */
const STEPS_PLACED = 6000;
const [FEWEST, MOST] = [4, 80];
/** After so many rounds in a row without a gain, as a part of all of them, it has stopped paying. */
const WITHOUT_GAIN = 1 / 3;

export class BetterPlan {
  readonly of: number;
  round = 0;
  readonly #ready: Readied;
  readonly #rounds: Iterator<Improved>;
  #best: Improved;
  #gained = 0;

  constructor(input: PlanInput) {
    this.#ready = readied(input);
    const { problem, first } = this.#ready.rows.placing;
    this.#best = first;
    this.#rounds = searchIn(this.#ready);
    this.of = Math.max(FEWEST, Math.min(MOST, Math.round(STEPS_PLACED / Math.max(1, problem.activities.length))));
  }

  /** Tries one more order; false once all rounds are used up, or it has stopped paying. */
  next(): boolean {
    if (this.round >= this.of || this.round - this.#gained >= this.of * WITHOUT_GAIN) return false;
    this.round++;
    const found = this.#rounds.next().value;
    if (compared(found.score, this.#best.score) < 0) this.#gained = this.round;
    this.#best = found;
    return true;
  }

  /** The plan of the best so far, or of the first. */
  best(): Plan {
    return finished(this.#ready, this.#best.result);
  }

  /** The best so far; null where none is better than the first. */
  found(): BetterFound | null {
    if (compared(this.#best.score, this.#ready.rows.placing.first.score) >= 0) return null;
    return { plan: this.best(), turns: withTurns(this.#ready.rows.placing.turns, this.#best.turns) };
  }
}
