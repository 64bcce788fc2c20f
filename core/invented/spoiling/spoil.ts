import type { Facts } from '#core/facts/index';
import type { Plan, PlannedStep } from '#core/plan/index';

/** A plan that something was done to, as no planner would: whoever reads it should see what. */
export type Spoilt = { readonly what: string; readonly plan: Plan; readonly facts: Facts };

/** One way to spoil a plan; null where there is nothing in it that could be spoilt so. */
export type Spoil = (plan: Plan, facts: Facts, random: () => number) => Spoilt | null;

export type PlacedStep = PlannedStep & { readonly placed: NonNullable<PlannedStep['placed']> };

export const pick = <T>(list: readonly T[], random: () => number): T | undefined => list[Math.floor(random() * list.length)];

export const placedOf = ({ steps }: Plan): PlacedStep[] =>
  steps.filter((step): step is PlacedStep => step.placed !== null && !step.stopped);

export const withStep = (plan: Plan, id: string, change: (step: PlannedStep) => PlannedStep): Plan => ({
  ...plan,
  steps: plan.steps.map((step) => (step.id === id ? change(step) : step)),
});

export const startingAt = (plan: Plan, { id }: PlacedStep, start: number): Plan =>
  withStep(plan, id, (step) =>
    step.placed ? { ...step, placed: { ...step.placed, start, end: start + step.placed.end - step.placed.start } } : step,
  );

/** Half a minute past an edge and inside, what rounding may cost, and the edge itself. */
export const AROUND = [-0.5, -0.01, 0, 0.01, 0.5];

/** Two steps of one piece that have a part in common. */
export function twoOnAPart(plan: Plan, random: () => number): readonly [PlacedStep, PlacedStep] | null {
  const step = pick(placedOf(plan), random);
  if (!step) return null;
  const shared = (own: PlacedStep) => own.on.some(({ partId }) => step.on.some((mine) => mine.partId === partId));
  const other = pick(
    placedOf(plan).filter((own) => own !== step && own.pieceId === step.pieceId && shared(own)),
    random,
  );
  return other ? [step, other] : null;
}
