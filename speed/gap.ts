import { inventedInstance } from '#core/invented/index';
import { brokenBy, finishOf, type Goal, type Instance, leastRoom, sessionsIn, solveFor, type Starts } from '#core/schedule/index';
import { optimum } from './optimum.ts';

/** How far the scheduler is from the proven optimum of small generated problems. */

export type Gaps = {
  readonly goal: Goal;
  readonly compared: number;
  /** Of those compared: soonest as a share of the optimum; sessions more; minutes of room less. */
  readonly mean: number;
  readonly worst: number;
  readonly equal: number;
  /** Neither has a schedule. */
  readonly infeasible: number;
  /** One of the two found a schedule where the other proves there is none, or ours breaks something. */
  readonly missed: number;
  /** The integer programme ran out of time. */
  readonly unproven: number;
  readonly millis: number;
};

const LIMIT = { nodes: 200_000 };

export async function gapsToOptimum(goal: Goal, cases: number): Promise<Gaps> {
  const off: number[] = [];
  let [infeasible, missed, unproven, millis] = [0, 0, 0, 0];
  for (let seed = 1; seed <= cases; seed++) {
    const instance = inventedInstance(seed);
    const begun = performance.now();
    const { starts } = solveFor(goal, instance, LIMIT);
    millis += performance.now() - begun;
    const best = await optimum(instance, goal);
    if (best.status === 'unproven') unproven++;
    else if (best.status === 'infeasible' && !starts) infeasible++;
    else if (!starts || best.status === 'infeasible' || brokenBy(instance, starts) !== null) missed++;
    else off.push(behind(goal, instance, starts, best.value));
  }
  return {
    goal,
    compared: off.length,
    mean: off.length > 0 ? off.reduce((sum, own) => sum + own, 0) / off.length : 0,
    worst: Math.max(0, ...off),
    equal: off.filter((own) => Math.abs(own) < 1e-9).length,
    infeasible,
    missed,
    unproven,
    millis: millis / cases,
  };
}

function behind(goal: Goal, instance: Instance, starts: Starts, best: number): number {
  switch (goal) {
    case 'soonest':
      return finishOf(instance, starts) / best - 1;
    case 'fewest-sessions':
      return sessionsIn(instance, starts).length - best;
    case 'calmest':
      return best - leastRoom(instance, starts);
  }
}
