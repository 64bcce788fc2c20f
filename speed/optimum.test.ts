import { expect, it } from 'vitest';
import { GOALS } from '#core/schedule/index';
import { gapsToOptimum } from './gap.ts';

const SMALL = 6;

/** Six of the hundred that `npm run speed` holds against the proven optimum. */
it('six small schedules are as good as a proven optimum, for each goal', { timeout: 240_000 }, async () => {
  for (const goal of GOALS) {
    const { compared, worst, infeasible, missed, unproven } = await gapsToOptimum(goal, SMALL);
    expect([goal, compared + infeasible + unproven]).toEqual([goal, SMALL]);
    expect([goal, missed, worst]).toEqual([goal, 0, 0]);
    expect(compared).toBeGreaterThan(1);
  }
});
