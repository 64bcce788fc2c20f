import type { Purchases } from '#core/buying/index';
import type { Piece } from '#core/facts/index';
import type { FreeInterval, Placed, Schedule } from '#core/schedule/index';
import { type Minute, toMinute } from '#core/units/index';
import { pieceDates, type PlannedStep } from './dates/index.ts';
import { observationsOf, type PlanContext, spreadAfter } from './films/index.ts';
import { type PieceMoney, pieceMoney } from './money/index.ts';
import type { PieceSteps } from './steps/index.ts';
import { setNotes, type StackView, stackView } from './verdicts/index.ts';

/** What the plan says of one piece. */
export type PiecePlan = {
  readonly pieceId: string;
  readonly likely: Minute | null;
  readonly safe: Minute | null;
  readonly planned: Minute | null;
  readonly sessions: number;
  readonly attendedMinutes: number;
  readonly money: PieceMoney;
  /** What lies beyond the written limit and is left as it is. */
  readonly beyond: readonly string[];
  /** What a set of pieces seen together asks for. */
  readonly notes: readonly string[];
  readonly stopped?: string;
  readonly nextStepId: string | null;
  readonly steps: PieceSteps;
  readonly stacks: Readonly<Record<string, StackView>>;
  readonly late: boolean;
};

export function piecePlan(
  piece: Piece,
  beyond: readonly string[],
  own: PieceSteps,
  all: readonly PlannedStep[],
  result: Schedule,
  free: readonly FreeInterval[],
  purchases: Purchases,
  context: PlanContext,
  /** Null: no runs for likely and safe dates. */
  seed: number | null,
): PiecePlan {
  const steps = all.filter((step) => step.pieceId === piece.id);
  const placed = steps.filter((step) => step.placed !== null).sort((a, b) => (a.placed as Placed).start - (b.placed as Placed).start);
  const complete = steps.length > 0 && placed.length === steps.length;
  const dates =
    complete && seed !== null
      ? pieceDates(steps, own.gaps, result.placed, free, seed, (mix) => spreadAfter(observationsOf(mix, context)))
      : null;
  const end = complete ? Math.max(...placed.map((step) => (step.placed as Placed).end)) : null;
  const stays = new Set(placed.map((step) => free.findIndex((span) => (step.placed as Placed).start < span.to)));
  return {
    pieceId: piece.id,
    likely: dates?.likely ?? null,
    safe: dates?.safe ?? null,
    planned: end,
    sessions: stays.size,
    attendedMinutes: steps.reduce((sum, step) => sum + step.minutes, 0),
    money: pieceMoney(piece, all, purchases, context),
    beyond,
    notes: setNotes(piece, context.facts),
    ...(own.stopped ? { stopped: own.stopped } : {}),
    nextStepId: placed[0]?.id ?? null,
    steps: own,
    stacks: Object.fromEntries(piece.parts.map((part) => [part.id, stackView(piece, part, context)])),
    late: piece.neededBy !== undefined && dates !== null && dates.safe > toMinute(`${piece.neededBy}T23:59:00Z`),
  };
}
