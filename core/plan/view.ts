import type { OrderAnswer } from '#core/masking/index';
import type { PiecePlan } from './piecePlan.ts';
import type { Plan } from './plan.ts';
import type { Dressing } from './steps/index.ts';
import type { JointOfPart, StripChoice } from './verdicts/index.ts';

/** The plan as plain data, without the gap functions: what a worker can hand to a screen. */
export type PieceView = Omit<PiecePlan, 'steps'> & {
  readonly joints: readonly JointOfPart[];
  readonly strips: Readonly<Record<string, StripChoice>>;
  readonly masking: Readonly<Record<string, OrderAnswer>>;
  readonly dressings: readonly Dressing[];
};
export type PlanView = Omit<Plan, 'pieces'> & { readonly pieces: readonly PieceView[] };

export function planView(plan: Plan): PlanView {
  return {
    ...plan,
    pieces: plan.pieces.map(({ steps, ...piece }) => ({
      ...piece,
      joints: steps.joints,
      strips: Object.fromEntries(steps.strips),
      masking: Object.fromEntries(steps.masking),
      dressings: steps.dressings,
    })),
  };
}
