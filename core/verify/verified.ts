import type { Conditions, DryingClocks } from '#core/drying/index';
import type { Facts, Part, Piece } from '#core/facts/index';
import type { Plan, PlannedStep } from '#core/plan/index';
import type { Placed } from '#core/schedule/index';

/** A rule that a plan breaks: which, at which step, and how. */
export type Violation = { readonly rule: string; readonly stepId: string; readonly text: string };

export type PlacedStep = PlannedStep & { readonly placed: Placed };

/** A plan under test, its steps in order of time. */
export type Verified = {
  readonly plan: Plan;
  readonly facts: Facts;
  readonly conditions: Conditions;
  readonly clocks: DryingClocks;
  readonly steps: readonly PlacedStep[];
};

/** Minutes that rounding may cost. */
export const TOLERANCE = 0.01;

export function broken(rule: string, step: PlacedStep, text: string): Violation {
  return { rule, stepId: step.id, text: `${step.title}: ${text}` };
}

/** Every part of every piece that is still worked on, with the placed steps on it in order of time. */
export function partsWithSteps({ facts, steps }: Verified): { piece: Piece; part: Part; steps: PlacedStep[] }[] {
  return facts.pieces.flatMap((piece) =>
    piece.parts.map((part) => ({
      piece,
      part,
      steps: steps.filter((step) => step.pieceId === piece.id && step.on.some((on) => on.partId === part.id)),
    })),
  );
}
