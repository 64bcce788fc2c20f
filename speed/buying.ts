import { buy, cheapest } from '#core/buying/index';
import type { Conditions } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import { inventedBuying } from '#core/invented/index';
import { plan, savingsOf, seededRandom } from '#core/plan/index';
import { solveWithHighs } from '../solver/highs.ts';

/** How long the cheapest basket takes, and what buying for all pieces together saves. */

const CASES = 60;
/** As in the worker: what the solver overruns stays within five seconds. */
const LARGE_SECONDS = 4.3;

export async function buyingFigures(size: { needs: number; products: number; shops: number }, seconds: number): Promise<string> {
  const times: number[] = [];
  let proven = 0;
  let worst = 0;
  for (let seed = 1; seed <= CASES; seed++) {
    const start = performance.now();
    const { optimal, total, bound } = await cheapest(inventedBuying(seededRandom(seed), size), solveWithHighs, seconds);
    times.push(performance.now() - start);
    if (optimal) proven++;
    else worst = Math.max(worst, (total - bound) / total);
  }
  times.sort((a, b) => a - b);
  const at = (share: number) => times[Math.min(CASES - 1, Math.floor(CASES * share))].toFixed(0);
  return `${proven} of ${CASES} proven, median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms${worst > 0 ? `; the others within ${(100 * worst).toFixed(1)} %` : ''}`;
}

export const LARGE = { size: { needs: 60, products: 20, shops: 6 }, seconds: LARGE_SECONDS };

/** All pieces bought for together, against each alone with the shelf to itself. */
export async function togetherFigures(facts: Facts, now: number, conditions: Conditions): Promise<string> {
  const bought = async (pieces: Facts['pieces']) => {
    const own = { ...facts, pieces };
    const { purchases } = await buy(plan({ facts: own, now, conditions, datesOf: [] }).wants, own, now, solveWithHighs);
    const packs = purchases.shops.flatMap(({ lines }) => lines).reduce((sum, { count }) => sum + count, 0);
    return { total: purchases.total, packs };
  };
  const all = await bought(facts.pieces);
  const alone = { total: 0, packs: 0 };
  for (const piece of facts.pieces) {
    const own = await bought([piece]);
    alone.total += own.total;
    alone.packs += own.packs;
  }
  const start = performance.now();
  const { ways } = await savingsOf({ facts, now, conditions }, solveWithHighs);
  const seconds = ((performance.now() - start) / 1000).toFixed(1);
  return `together ${all.packs} packs for ${(all.total / 100).toFixed(2)}, each alone ${alone.packs} for ${(alone.total / 100).toFixed(2)}; ${ways.length} ways to spend less in ${seconds} s`;
}
