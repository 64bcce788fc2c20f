import type { Conditions } from '#core/drying/index';
import { clocksOf } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import type { Plan, PlannedStep } from '#core/plan/index';
import { bathViolations, rustViolations } from './bare.ts';
import { filmViolations } from './films.ts';
import { mixViolations } from './mixes.ts';
import { placeViolations } from './places.ts';
import { airViolations, hourViolations, orderViolations, parcelViolations } from './time.ts';
import { dividedFacts } from '#core/zones/index';
import { vesselViolations } from './vessels.ts';
import type { PlacedStep, Verified, Violation } from './verified.ts';

/**
 * Checks a plan without the scheduler and without the constraints it was given: every rule is worked out again from the facts and
 * the drying clock, by living through the placed steps in order of time. Empty where the plan keeps them all.
 */
export function verifyPlan(plan: Plan, known: Facts, conditions: Conditions): Violation[] {
  const steps = plan.steps.filter(isPlaced).sort((a, b) => a.placed.start - b.placed.start || a.placed.end - b.placed.end);
  const facts = dividedFacts(known);
  const verified: Verified = { plan, facts, conditions, clocks: clocksOf(conditions), steps };
  return [
    ...hourViolations(verified),
    ...orderViolations(verified),
    ...airViolations(verified),
    ...parcelViolations(verified),
    ...filmViolations(verified),
    ...bathViolations(verified),
    ...rustViolations(verified),
    ...mixViolations(verified),
    ...placeViolations(verified),
    ...vesselViolations(verified),
  ];
}

function isPlaced(step: PlannedStep): step is PlacedStep {
  return step.placed !== null;
}
