import { isPreserved, type Part, type Piece } from '#core/facts/index';
import { type FreeInterval, type Placed, type Schedule, stayIndex } from '#core/schedule/index';
import { asSentence, type Minute } from '#core/units/index';
import { airNotes, apartNotes, neededMoment, pieceDates, type PlannedStep, type Session, type SprayAir } from './dates/index.ts';
import { observationsOf, type PlanContext, spreadAfter } from './films/index.ts';
import { type Bought, type PieceMoney, pieceMoney } from './money/index.ts';
import { type PieceSteps, undecidedText } from './steps/index.ts';
import { groundOfPart, type GroundOfPart, setNotes, type StackView, stackView } from './verdicts/index.ts';

/** What the plan says of one piece. */
export type PiecePlan = {
  readonly pieceId: string;
  readonly likely: Minute | null;
  readonly safe: Minute | null;
  readonly planned: Minute | null;
  /** When the next of its steps begins. */
  readonly starts: Minute | null;
  readonly sessions: number;
  readonly attendedMinutes: number;
  readonly money: PieceMoney;
  /** What lies beyond the written limit and is left as it is. */
  readonly beyond: readonly string[];
  /** Free stays that the air spoils for its coats. */
  readonly airNotes: readonly string[];
  /** What a set of pieces seen together asks for. */
  readonly notes: readonly string[];
  /** Parts that go on at the end, for they cannot go on when that was said. */
  readonly lateFits: PieceSteps['lateFits'];
  readonly stopped?: string;
  /** Parts or zones that have neither coat nor a reason to stay bare. */
  readonly undecided?: string;
  /** Why there is no date, and what would help; null where there is one. */
  readonly noDateWhy: string | null;
  /** What the stacks still want, such as a clear; a piece is not finished without saying so. */
  readonly missing: readonly string[];
  readonly nextStepId: string | null;
  readonly steps: PieceSteps;
  readonly stacks: Readonly<Record<string, StackView>>;
  /** What the first coat of each part lies on. */
  readonly grounds: Readonly<Record<string, GroundOfPart>>;
  readonly late: boolean;
};

/** The whole plan a piece's own is cut out of. */
export type Around = {
  readonly steps: readonly PlannedStep[];
  readonly sessions: readonly Session[];
  readonly result: Schedule;
  readonly free: readonly FreeInterval[];
  readonly bought: Bought;
  readonly context: PlanContext;
  readonly air: SprayAir;
};

/** @param seed null: no runs for likely and safe dates */
export function piecePlan(piece: Piece, beyond: readonly string[], own: PieceSteps, around: Around, seed: number | null): PiecePlan {
  const { context, free, result } = around;
  const steps = around.steps.filter((step) => step.pieceId === piece.id);
  const placed = steps.filter((step) => step.placed !== null).sort((a, b) => (a.placed as Placed).start - (b.placed as Placed).start);
  const complete = steps.length > 0 && placed.length === steps.length;
  const dates =
    complete && seed !== null ? pieceDates(steps, result.placed, free, seed, (mix) => spreadAfter(observationsOf(mix, context))) : null;
  const end = complete ? Math.max(...placed.map((step) => (step.placed as Placed).end)) : null;
  const stays = new Set(placed.map((step) => stayIndex(free, (step.placed as Placed).start)));
  const stacks = Object.fromEntries(piece.parts.map((part) => [part.id, stackView(piece, part, context)]));
  const needed = neededMoment(piece, context.workshop.timeZone);
  const undecided = piece.board || isPreserved(piece) ? undefined : undecidedText(piece);
  return {
    pieceId: piece.id,
    likely: dates?.likely ?? null,
    safe: dates?.safe ?? null,
    planned: end,
    starts: placed[0]?.placed?.start ?? null,
    sessions: stays.size,
    attendedMinutes: steps.reduce((sum, step) => sum + step.minutes, 0),
    money: pieceMoney(piece, around.steps, around.bought, context),
    beyond,
    airNotes: airNotes(steps, free, around.air, context.workshop, context.facts.places),
    notes: [...setNotes(piece, context.facts), ...apartNotes(piece, steps, context.history, context.facts)],
    lateFits: own.lateFits,
    ...(own.stopped ? { stopped: own.stopped } : {}),
    ...(undecided ? { undecided } : {}),
    noDateWhy: complete ? null : whyNoDate(steps),
    missing: missingOn(piece, stacks),
    nextStepId: placed[0]?.id ?? null,
    steps: own,
    stacks,
    grounds: Object.fromEntries(
      piece.parts.map((part) => [part.id, groundOfPart(part, own.strips.get(part.id), isStillToStrip(part, steps))]),
    ),
    late: needed !== null && dates !== null && dates.safe > needed,
  };
}

/** Stripping of it is still to come. */
function isStillToStrip({ id }: Part, steps: readonly PlannedStep[]): boolean {
  return steps.some(({ stage, on }) => stage.startsWith('strip') && on.some(({ partId }) => partId === id));
}

/** What holds the piece up: the step that has no date for a reason of its own, in one sentence. */
function whyNoDate(steps: readonly PlannedStep[]): string | null {
  const open = steps.filter((step) => step.placed === null);
  const root = open.find((step) => !step.unplacedWhy?.startsWith('waits for')) ?? open[0];
  if (!root) return null;
  return root.stopped ? asSentence(root.stopped) : asSentence(`“${root.title}” has no date: ${root.unplacedWhy}`);
}

/** What stacks still need before the piece can be called finished, such as a clear over basecoat. */
function missingOn(piece: Piece, stacks: Readonly<Record<string, StackView>>): string[] {
  return piece.parts.flatMap((part) => stacks[part.id].missing.map((text) => `${part.name}: ${text}`));
}
