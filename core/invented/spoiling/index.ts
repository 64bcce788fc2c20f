import type { Facts } from '#core/facts/index';
import { type Plan, seededRandom } from '#core/plan/index';
import { IN_FACTS } from './inFacts.ts';
import { IN_TIME } from './inTime.ts';
import { OF_STEPS } from './ofSteps.ts';
import type { Spoilt } from './spoil.ts';

export type { Spoilt } from './spoil.ts';

const SPOILS = [...IN_TIME, ...OF_STEPS, ...IN_FACTS];

/** The same plan, spoilt in so many ways, each kind in turn; the same seed, the same ways. */
export function spoiltPlans(plan: Plan, facts: Facts, seed: number, count: number): Spoilt[] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, (_, index) => SPOILS[index % SPOILS.length](plan, facts, random)).filter((own) => own !== null);
}
