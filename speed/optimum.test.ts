import { expect, it } from 'vitest';
import { GOALS } from '#core/schedule/index';
import { gapsToOptimum } from './gap.ts';

/** Ten of the hundred that `npm run speed` holds against the proven optimum. */
it('ten small schedules are as good as a proven optimum, for each goal', { timeout: 240_000 }, async () => {
  for (const goal of GOALS) {
    const { compared, worst, infeasible, missed, unproven } = await gapsToOptimum(goal, 10);
    expect([goal, compared + infeasible + unproven]).toEqual([goal, 10]);
    expect([goal, missed, worst]).toEqual([goal, 0, 0]);
    expect(compared).toBeGreaterThan(3);
  }
});
