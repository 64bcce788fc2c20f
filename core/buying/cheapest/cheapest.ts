import { basketBreaks } from './checked.ts';
import { type Basket, type BuyingProblem, totalOf } from './problem.ts';
import { hopeless, type Short, whyBeside } from './short.ts';
import { type Solve, type Solved, within } from './solve.ts';
import { type Wanted, written } from './written.ts';

/** The cheapest basket that serves every need that can be served. */

export type Cheapest = Basket & {
  /** Goods and deliveries, minor units. */
  readonly total: number;
  /** Nothing cheaper exists. */
  readonly optimal: boolean;
  /** Where that is not proven: nothing cheaper than this exists. */
  readonly bound: number;
  readonly short: readonly Short[];
};

/** Seconds that an answer may take before the best one found has to do. */
export const SECONDS = 60;

/** @throws RangeError where nothing at all was found in time */
export async function cheapest(problem: BuyingProblem, solve: Solve, seconds = SECONDS): Promise<Cheapest> {
  const without = problem.needs.flatMap((need): Short[] => {
    const why = hopeless(need, problem);
    return why === null ? [] : [{ need: need.id, why }];
  });
  const open: BuyingProblem = { ...problem, needs: problem.needs.filter(({ id }) => !without.some((own) => own.need === id)) };
  if (open.needs.length === 0 && !problem.ways?.length)
    return { packs: new Map(), serve: new Map(), ways: new Set(), total: 0, optimal: true, bound: 0, short: without };
  const ask = within(seconds, solve);
  const all = await solved(open, { goal: 'cheapest' }, ask);
  if (all) return { ...all, short: without };
  const { status, values } = await ask(written(open, { goal: 'most' }).text);
  if (!values)
    throw new RangeError(
      status === 'stopped' ? 'No answer was found in time: ask for fewer needs at once.' : 'These needs contradict each other.',
    );
  const most = [...values].filter(([name, value]) => name.startsWith('y') && value > 0.5).length;
  const some = await solved(open, { goal: 'cheapest-of', served: most }, ask);
  if (!some) throw new RangeError('No answer was found in time: ask for fewer needs at once.');
  const served = open.needs.filter(({ id }) => some.serve.has(id));
  const beside: Short[] = [];
  for (const need of open.needs)
    if (!some.serve.has(need.id)) beside.push({ need: need.id, why: await whyBeside(need, served, open, ask) });
  return { ...some, short: [...without, ...beside] };
}

async function solved(
  problem: BuyingProblem,
  wanted: Wanted,
  ask: (programme: string) => Promise<Solved>,
): Promise<Omit<Cheapest, 'short'> | null> {
  const { text, read } = written(problem, wanted);
  const { status, values, bound } = await ask(text);
  if (!values) return null;
  const basket = lean(read(values), problem);
  const total = totalOf(basket, problem);
  const optimal = status === 'optimal' && basketBreaks(basket, problem).length === 0;
  return { ...basket, total, optimal, bound: optimal ? total : leastOf({ status, values, bound }, total) };
}

function leastOf({ bound }: Solved, total: number): number {
  return bound === null ? Math.min(0, total) : Math.min(total, Math.ceil(bound - 1e-6));
}

/** Packs that cost nothing and serve nothing stay in the shop. */
function lean(basket: Basket, problem: BuyingProblem): Basket {
  const packs = new Map(basket.packs);
  for (const { id, price } of problem.offers) {
    if (price > 0) continue;
    for (let count = packs.get(id) ?? 0; count > 0; count--) {
      const fewer = new Map(packs);
      if (count === 1) fewer.delete(id);
      else fewer.set(id, count - 1);
      if (basketBreaks({ ...basket, packs: fewer }, problem).length > 0) break;
      packs.delete(id);
      for (const [own, left] of fewer) packs.set(own, left);
    }
  }
  return { ...basket, packs };
}
