import { conditionsOf } from '#core/drying/index';
import { inventedJob, NOW, spoiltPlans } from '#core/invented/index';
import { plan } from '#core/plan/index';
import { describe, expect, it } from 'vitest';
import { sense, verifyPlan } from './index.ts';

/**
 * What is said of plans that something was done to, kept as it was read: a rule that falls silent, or speaks of what is right, is seen
 * here. After a change on purpose the readings are written anew (`npm run readings`) and read before they are kept.
 */

/** Jobs in which the ways to spoil a plan meet the most rules: found by looking which of them notice a rule that was changed. */
const JOBS = [1, 2, 3, 4, 5, 6, 7, 8, 14, 16, 35, 48, 92, 94];
const WAYS = 48;

const times = (names: readonly string[]) =>
  [...new Set(names)]
    .sort()
    .map((name) => `${name}${names.filter((own) => own === name).length > 1 ? ` ×${names.filter((own) => own === name).length}` : ''}`)
    .join(', ');

function readings(seed: number): string[] {
  const facts = inventedJob(seed, NOW);
  const usual = conditionsOf(facts, NOW);
  const honest = plan({ facts, now: NOW, conditions: usual, datesOf: [] });
  return spoiltPlans(honest, facts, seed, WAYS).map(({ what, plan: spoilt, facts: own }) => {
    const air = own === facts ? usual : conditionsOf(own, NOW);
    const sensed = sense(spoilt, own, air).map(({ rule, chosenBy, partId, step }) => `${rule} (${chosenBy}, ${partId ?? '-'}, ${step})`);
    const broken = verifyPlan(spoilt, own, air).map(({ rule, stepId }) => `${rule} [${stepId}]`);
    return `${seed} ${what}: ${times([...broken, ...sensed]) || 'nothing'}`;
  });
}

describe('plans that something was done to', () => {
  const all = JOBS.flatMap(readings);
  it('are read as they were', async () => {
    await expect(`${all.join('\n')}\n`).toMatchFileSnapshot('./readings.txt');
  });
  it('have something to be called out in most', () => {
    expect(all.filter((line) => !line.endsWith(': nothing')).length).toBeGreaterThan(all.length / 2);
  });
});
