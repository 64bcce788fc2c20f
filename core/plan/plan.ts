import { type LineMoment, nextMoments } from '#core/bench/index';
import { buyGreedily, type PaintNeed, type Purchases } from '#core/buying/index';
import { clocksOf, type Conditions } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import { type Caution, cautionsFor } from '#core/safety/index';
import { cutToStay, type FreeInterval, freeIntervals } from '#core/schedule/index';
import { withinLimit } from '#core/survey/index';
import type { Minute } from '#core/units/index';
import {
  byUrgency,
  type MovedStep,
  movedSteps,
  paintNeeds,
  type PlannedStep,
  scheduleSteps,
  type Session,
  sessionsOf,
  waitForPaint,
  withWindows,
} from './dates/index.ts';
import { evidenceOf, hangingFilms, type HangingPart, historyOf, type PlanContext } from './films/index.ts';
import { type PiecePlan, piecePlan } from './piecePlan.ts';
import { coatKey, pieceSteps } from './steps/index.ts';

export const DEFAULT_SEED = 20261125;

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
  readonly moved: readonly MovedStep[];
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
  const free = cutToStay(freeIntervals(workshop, now), now, stayMinutes);
  const result = scheduleSteps(steps, gaps, free, context, conditions);
  const needs = paintNeeds(steps, result.placed, facts);
  const purchases = buyGreedily(needs, facts);
  const plannedSteps = withWindows(steps, result, gaps);
  const stepOf = new Map(steps.flatMap((step) => step.keys.map((key) => [key, step.id] as const)));
  const films = hangingFilms(
    context,
    result.placed,
    built.map(({ piece }) => piece),
    (...coat) => stepOf.get(coatKey(...coat)),
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
