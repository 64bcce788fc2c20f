import type { Facts } from '#core/facts/index';
import { wrap } from 'comlink';
import type { PlanApi } from './plan.worker.ts';

const worker = wrap<PlanApi>(new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' }));

let held: Facts | null = null;

/** The facts, or null where the worker holds them already: a workshop is much to hand over at each turn of a slider. */
function handed(facts: Facts): Facts | null {
  if (facts === held) return null;
  held = facts;
  return facts;
}

type Asked<K extends keyof PlanApi> = PlanApi[K] extends (facts: Facts | null, ...rest: infer Rest) => infer Answer
  ? (facts: Facts, ...rest: Rest) => Promise<Answer>
  : never;

type Planner = { readonly [K in Exclude<keyof PlanApi, 'ways'>]: Asked<K> } & {
  readonly ways: (...asked: Parameters<PlanApi['ways']>) => Promise<ReturnType<PlanApi['ways']>>;
};

/** The core at work beside the page. */
export const planner: Planner = {
  plan: (facts, ...rest) => worker.plan(handed(facts), ...rest),
  outlook: (facts, ...rest) => worker.outlook(handed(facts), ...rest),
  mends: (facts, ...rest) => worker.mends(handed(facts), ...rest),
  films: (facts, ...rest) => worker.films(handed(facts), ...rest),
  whatIf: (facts, ...rest) => worker.whatIf(handed(facts), ...rest),
  sharpen: (facts, ...rest) => worker.sharpen(handed(facts), ...rest),
  ways: (ways, pieceId, now) => worker.ways(ways, pieceId, now),
};
