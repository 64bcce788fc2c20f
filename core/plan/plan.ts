import { type LineMoment, nextMoments } from '#core/bench/index';
import { buyGreedily, type PaintNeed, type Purchases } from '#core/buying/index';
import { clocksOf, type Conditions, familyDrying, SprayHours, sprayRange } from '#core/drying/index';
import type { Facts, Family, Piece } from '#core/facts/index';
import { type Caution, cautionsFor } from '#core/safety/index';
import {
  type Activity,
  benchIntervals,
  type FreeInterval,
  freeIntervals,
  type Gap,
  type Placed,
  type Schedule,
  schedule,
} from '#core/schedule/index';
import { withinLimit } from '#core/survey/index';
import { DAY, type Minute, toMinute } from '#core/units/index';
import { evidenceOf } from './evidence.ts';
import { hangingFilms, type HangingPart } from './hanging.ts';
import { historyOf } from './history.ts';
import { observationsOf } from './learning.ts';
import { pieceMoney, type PieceMoney } from './money.ts';
import { type PieceSteps, pieceSteps } from './pieceSteps.ts';
import { pieceDates, spreadAfter } from './risk.ts';
import { type Session, sessionsOf } from './sessions.ts';
import { setNotes } from './sets.ts';
import { type StackView, stackView } from './stackView.ts';
import type { PlanContext, Step } from './step.ts';
import { paintNeeds, waitForPaint } from './supply.ts';

/** Clean-up and set-up between two paints in the booth (BRIEF §12). */
const CHANGEOVER_MINUTES = 8;
export const DEFAULT_SEED = 20261125;

export type PlannedStep = Step & {
  readonly placed: Placed | null;
  readonly unplacedWhy?: string;
  /** The legal stretch its start lies in; `to` null where it does not shut. */
  readonly window: { readonly from: Minute; readonly to: Minute | null } | null;
  /** When it could start again if this window were missed; null where it never could or never shuts. */
  readonly missedUntil: Minute | null;
};

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

export type Plan = {
  readonly now: Minute;
  readonly steps: readonly PlannedStep[];
  readonly sessions: readonly Session[];
  readonly pieces: readonly PiecePlan[];
  readonly needs: readonly PaintNeed[];
  readonly purchases: Purchases;
  readonly hanging: readonly HangingPart[];
  readonly moments: readonly LineMoment[];
  readonly cautions: readonly Caution[];
  readonly free: readonly FreeInterval[];
  /** Steps whose start is not the agreed one: what moved, and what holds it now. */
  readonly moved: readonly { readonly stepId: string; readonly from: Minute; readonly to: Minute; readonly why: string }[];
};

export type PlanInput = {
  readonly facts: Facts;
  readonly now: Minute;
  readonly conditions: Conditions;
  readonly seed?: number;
  /** "I have 45 minutes": the stay that is on now ends after so many. */
  readonly stayMinutes?: number;
  /** Pieces whose likely and safe dates are run; absent: all. The first feasible plan needs none. */
  readonly datesOf?: readonly string[];
};

/**
 * The whole plan from facts alone: the same facts, moment, air and seed give the same plan everywhere.
 * @throws RangeError without a workshop: there is nobody to plan for yet
 */
export function plan({ facts, now, conditions, seed = DEFAULT_SEED, stayMinutes, datesOf }: PlanInput): Plan {
  const workshop = facts.workshop[0];
  if (!workshop) throw new RangeError('The workshop is not set up yet: say which hours are free and where you spray.');
  const clocks = clocksOf(conditions);
  const history = historyOf(facts);
  const evidence = evidenceOf({ facts, clocks, history, conditions });
  const context: PlanContext = { facts, workshop, now, clocks, history, evidence };
  const built = [...facts.pieces].sort(byUrgency).map((whole) => {
    const { piece, beyond } = withinLimit(whole);
    return { piece, beyond, steps: pieceSteps(piece, context) };
  });
  const steps = waitForPaint(
    built.flatMap(({ steps: own }) => own.steps),
    facts,
    now,
  );
  const gaps = built.flatMap(({ steps: own }) => own.gaps);
  const free = shortened(freeIntervals(workshop, now), now, stayMinutes);
  const result = scheduleSteps(steps, gaps, free, context, conditions);
  const needs = paintNeeds(steps, result.placed, facts);
  const purchases = buyGreedily(needs, facts);
  const gapsTo = new Map<string, Gap[]>();
  for (const gap of gaps) {
    const known = gapsTo.get(gap.to);
    if (known) known.push(gap);
    else gapsTo.set(gap.to, [gap]);
  }
  const plannedSteps = steps.map((step) => planned(step, result, gapsTo.get(step.id) ?? []));
  const stepOf = new Map(steps.flatMap((step) => step.keys.map((key) => [key, step.id] as const)));
  const films = hangingFilms(
    context,
    result.placed,
    built.map(({ piece }) => piece),
    stepOf,
  );
  return {
    now,
    steps: plannedSteps,
    free,
    needs,
    purchases,
    hanging: films,
    sessions: sessionsOf(plannedSteps, free, now),
    pieces: built.map(({ piece, beyond, steps: own }) =>
      piecePlan(piece, beyond, own, plannedSteps, result, free, purchases, context, datesOf && !datesOf.includes(piece.id) ? null : seed),
    ),
    moments: nextMoments(
      films.flatMap((film) => (film.hung ? [film.hung] : [])),
      now,
    ),
    cautions: cautionsFor(new Set(plannedSteps.flatMap((step) => step.hazards))),
    moved: movedSteps(plannedSteps, facts),
  };
}

/** Needed soonest first, then as entered. */
function byUrgency(a: Piece, b: Piece): number {
  return (a.neededBy ?? '9999').localeCompare(b.neededBy ?? '9999') || a.createdAt.localeCompare(b.createdAt) || a.id.localeCompare(b.id);
}

function scheduleSteps(
  steps: readonly Step[],
  gaps: readonly Gap[],
  free: readonly FreeInterval[],
  context: PlanContext,
  conditions: Conditions,
): Schedule {
  const { now, workshop, history, facts } = context;
  const live = steps.filter((step) => step.stopped === undefined);
  const ids = new Set(live.map((step) => step.id));
  const agreed = facts.agreed[0]?.starts ?? {};
  const urgency = new Map(facts.pieces.map((piece) => [piece.id, pressure(piece, now)]));
  const air = airOf(conditions, workshop.sprayPlaceId, now);
  const activities: Activity[] = live.map((step) => {
    const put = history.notBefore.get(step.id);
    const later = Math.max(step.notBefore ?? 0, put ?? 0);
    return {
      id: step.id,
      minutes: step.minutes,
      scuffMinutes: step.scuffMinutes,
      mix: step.coat?.mix,
      priority: (urgency.get(step.pieceId) ?? 0) + (agreed[step.id] ? -60 : 0),
      ...(later > 0 ? { notBefore: later, notBeforeWhy: put && put >= (step.notBefore ?? 0) ? 'you put it off' : step.notBeforeWhy } : {}),
      ...(step.coat && step.coat.hand !== 'brush' ? { nextAir: air(step.coat.family, step.coat.productId, facts) } : {}),
    };
  });
  const usable = gaps.filter((gap) => ids.has(gap.to)).map((gap) => ({ ...gap, together: gap.together.filter((id) => ids.has(id)) }));
  return schedule({ now, free: benchIntervals(free, now), activities, gaps: usable, changeover: CHANGEOVER_MINUTES });
}

/** A day it is needed by puts a piece before others where both could begin; within a week, well before. */
function pressure(piece: Piece, now: Minute): number {
  if (piece.neededBy === undefined) return 0;
  return toMinute(`${piece.neededBy}T12:00:00Z`) - now < 7 * DAY ? -200 : -10;
}

/** The next moment at which the air of the spray place lets a paint on, reckoned once for all paints of the same range. */
function airOf(
  conditions: Conditions,
  placeId: string,
  now: Minute,
): (family: Family, productId: string | undefined, facts: Facts) => (from: Minute) => Minute | null {
  const known = new Map<string, SprayHours>();
  const place = conditions[placeId];
  return (family, productId, facts) => {
    if (!place) return (from) => from;
    const product = facts.products.find((candidate) => candidate.id === productId);
    const sheet = facts.sheets.find((candidate) => candidate.id === product?.sheetId);
    const drying = familyDrying(family);
    const range = sprayRange(drying.early ?? drying.mechanism, family, sheet?.label);
    const key = `${range.minC} ${range.maxC} ${range.maxRh}`;
    const hours = known.get(key) ?? new SprayHours(place, range, now);
    known.set(key, hours);
    return (from) => hours.next(from);
  };
}

/** The stay that is on now, or begins now, cut to the minutes the person has. */
function shortened(free: readonly FreeInterval[], now: Minute, minutes: number | undefined): FreeInterval[] {
  if (minutes === undefined) return [...free];
  const on = free.find((span) => span.from <= now && now < span.to);
  const rest = free.filter((span) => span !== on);
  return [{ from: now, to: now + minutes }, ...rest];
}

/** The stretch of all gaps to a placed step at once in which it may start, and when the next one would open. */
function windowOf(placed: Placed, result: Schedule, gaps: readonly Gap[]): Pick<PlannedStep, 'window' | 'missedUntil'> {
  let window: { from: Minute; to: Minute | null } = { from: 0, to: null };
  let missedUntil: Minute | null = null;
  for (const gap of gaps) {
    if (!gap.from.every((id) => result.placed.has(id))) continue;
    const spans = gap.allowed((id) => (result.placed.get(id) as Placed).end);
    const at = spans.findIndex(
      (stretch) => placed.start >= stretch.from - 1e-6 && (stretch.to === null || placed.start <= stretch.to + 1e-6),
    );
    const span = spans[at];
    if (!span) continue;
    if (span.to !== null && (window.to === null || span.to < window.to)) missedUntil = spans[at + 1]?.from ?? null;
    const to = span.to === null ? window.to : window.to === null ? span.to : Math.min(span.to, window.to);
    window = { from: Math.max(window.from, span.from), to };
  }
  return { window, missedUntil };
}

function planned(step: Step, result: Schedule, gaps: readonly Gap[]): PlannedStep {
  const placed = result.placed.get(step.id) ?? null;
  if (placed) return { ...step, minutes: Math.round(placed.end - placed.start), placed, ...windowOf(placed, result, gaps) };
  const why = step.stopped ?? result.unplaced.find((entry) => entry.id === step.id)?.why ?? 'waits for a step that has no date';
  return { ...step, placed, unplacedWhy: why, window: null, missedUntil: null };
}

function piecePlan(
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

function movedSteps(steps: readonly PlannedStep[], facts: Facts): Plan['moved'] {
  const agreed = facts.agreed[0]?.starts ?? {};
  return steps.flatMap((step) => {
    const was = agreed[step.id];
    if (was === undefined) return [];
    const from = toMinute(was);
    const to = step.placed?.start;
    if (to === undefined || Math.abs(to - from) < 5) return [];
    return [{ stepId: step.id, from, to, why: step.placed?.hold.text ?? '' }];
  });
}
