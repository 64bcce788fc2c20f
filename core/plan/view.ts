import type { OrderAnswer } from '#core/masking/index';
import type { SeenStage } from './films/index.ts';
import type { PiecePlan } from './piecePlan.ts';
import type { Plan } from './plan.ts';
import type { Constraint, Dressing } from './steps/index.ts';
import type { JointOfPart, StripChoice } from './verdicts/index.ts';

/**
 * The plan as plain data, without the gap functions: what a worker can hand to a screen. What holds its steps together is left
 * behind, a third of it all: of that the bench asks only what a finger can tell.
 */
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
    steps: plan.steps.map(({ constraints, ...step }) => {
      const felt = feltStage(constraints);
      return { ...step, constraints: [], ...(felt ? { felt } : {}) };
    }),
    pieces: plan.pieces.map(({ steps, ...piece }) => ({
      ...piece,
      joints: steps.joints,
      strips: Object.fromEntries(steps.strips),
      masking: Object.fromEntries(steps.masking),
      dressings: steps.dressings,
    })),
  };
}

/** A plan without likely and safe dates, with those of the one before until its own are there. */
export function datedLike(undated: PlanView, before: PlanView | undefined): PlanView {
  const known = new Map(before?.pieces.map((piece) => [piece.pieceId, piece]));
  return {
    ...undated,
    pieces: undated.pieces.map((piece) => {
      const was = known.get(piece.pieceId);
      return was && piece.planned !== null ? { ...piece, likely: was.likely, safe: was.safe, late: was.late } : piece;
    }),
  };
}

/** The stage of a film that a step waits for, where a touch can tell it. */
function feltStage(constraints: readonly Constraint[]): SeenStage | null {
  for (const { rule } of constraints) {
    if (rule.is === 'stage' && rule.stage !== 'cured') return rule.stage;
    if (rule.is === 'next-coat' || rule.is === 'on-film') return 'coat';
  }
  return null;
}
