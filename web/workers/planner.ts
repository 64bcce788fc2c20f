import type { ProvenPurchases } from '#core/buying/index';
import type { Facts } from '#core/facts/index';
import type { Turns } from '#core/schedule/index';
import { proxy, type Remote, wrap } from 'comlink';
import { changedLists } from './changedLists.ts';
import type { Better, Handed, Looked, PlanApi, Whole } from './plan.worker.ts';

type Asked<K extends keyof PlanApi> = PlanApi[K] extends (handed: Handed | null, ...rest: infer Rest) => infer Answer
  ? (facts: Facts, ...rest: Rest) => Promise<Answer>
  : never;

type Planner = { readonly [K in Exclude<keyof PlanApi, 'ways' | 'better' | 'enough' | 'whole'>]: Asked<K> } & {
  readonly better: (
    facts: Facts,
    now: number,
    turns: Turns | undefined,
    proven: ProvenPurchases | undefined,
    tell: (looked: Looked) => void,
  ) => Promise<Better | null>;
  readonly whole: () => Promise<Whole>;
  readonly enough: () => void;
  readonly ways: (...asked: Parameters<PlanApi['ways']>) => Promise<ReturnType<PlanApi['ways']>>;
};

/** A worker and the facts it holds. */
class Hand {
  readonly #thread = new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });
  readonly worker: Remote<PlanApi> = wrap<PlanApi>(this.#thread);
  readonly #down = new Promise<never>((_, reject) => {
    this.#thread.addEventListener('error', () => reject(new Error('The planner does not start in this browser.')));
  });
  #held: Facts | null = null;
  #up = false;

  constructor() {
    this.#down.catch(() => undefined);
  }

  /** An answer of the worker; one that never started gives none. Once it has answered it is up, whatever goes wrong in it later. */
  whenUp<T>(answer: Promise<T>): Promise<T> {
    if (this.#up) return answer;
    const heard = answer.finally(() => {
      this.#up = true;
    });
    return Promise.race([heard, this.#down]);
  }

  /** What the worker does not hold already: a workshop is much to hand over at each turn of a slider, and at each coat. */
  handed(facts: Facts): Handed | null {
    if (facts === this.#held) return null;
    const changed = changedLists(facts, this.#held);
    this.#held = facts;
    return changed;
  }
}

/** Plans what stands; it is never kept waiting. */
const first = new Hand();
let second: Hand | null = null;
/** Plans what might be, many plans at a time, beside the other. */
function aside(): Hand {
  second ??= new Hand();
  return second;
}

/** The core at work beside the page. */
export const planner: Planner = {
  plan: (facts, ...rest) => first.worker.plan(first.handed(facts), ...rest),
  soon: (facts, ...rest) => first.whenUp(first.worker.soon(first.handed(facts), ...rest)),
  whole: () => first.whenUp(first.worker.whole()),
  portion: (facts, ...rest) => first.whenUp(first.worker.portion(first.handed(facts), ...rest)),
  nothing: (facts, ...rest) => first.whenUp(first.worker.nothing(first.handed(facts), ...rest)),
  whatIf: (facts, ...rest) => first.worker.whatIf(first.handed(facts), ...rest),
  outlook: (facts, ...rest) => aside().worker.outlook(aside().handed(facts), ...rest),
  mends: (facts, ...rest) => aside().worker.mends(aside().handed(facts), ...rest),
  films: (facts, ...rest) => aside().worker.films(aside().handed(facts), ...rest),
  pinned: (facts, ...rest) => aside().worker.pinned(aside().handed(facts), ...rest),
  resumed: (facts, ...rest) => aside().worker.resumed(aside().handed(facts), ...rest),
  stepSooner: (facts, ...rest) => aside().worker.stepSooner(aside().handed(facts), ...rest),
  planFor: (facts, ...rest) => aside().worker.planFor(aside().handed(facts), ...rest),
  compare: (facts, ...rest) => aside().worker.compare(aside().handed(facts), ...rest),
  sooner: (facts, ...rest) => aside().worker.sooner(aside().handed(facts), ...rest),
  sharpen: (facts, ...rest) => aside().worker.sharpen(aside().handed(facts), ...rest),
  better: (facts, now, turns, proven, tell) => aside().worker.better(aside().handed(facts), now, turns, proven, proxy(tell)),
  enough: () => void aside().worker.enough(),
  ways: (ways, pieceId, now) => aside().worker.ways(ways, pieceId, now),
};
