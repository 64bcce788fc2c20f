import { type LineMoment, nextMoments } from '#core/bench/index';
import { buyGreedily, buyingKey, buyingProblem, type PaintNeed, type ProvenPurchases, type Purchases, type Want } from '#core/buying/index';
import { clocksOf, type Conditions } from '#core/drying/index';
import type { Facts, Piece } from '#core/facts/index';
import { type Caution, cautionsFor } from '#core/safety/index';
import {
  busyTime,
  cutToStay,
  type FreeInterval,
  freeIntervals,
  type Improved,
  improving,
  LAY_OUT_MINUTES,
  PACK_UP_MINUTES,
  type Schedule,
  type Turns,
} from '#core/schedule/index';
import { type Limited, withinLimit } from '#core/survey/index';
import { atLocal, type Minute } from '#core/units/index';
import { dividedFacts } from '#core/zones/index';
import {
  byUrgency,
  mixesLast,
  type MixLasts,
  type MovedStep,
  movedSteps,
  paintNeeds,
  planAnew,
  pinsOf,
  type PlannedStep,
  type Placing,
  placingOf,
  seededRandom,
  type Session,
  sessionsOf,
  SprayAir,
  stayingForTape,
  triedOnce,
  waitForPaint,
  withPours,
  withLaterPrices,
  withPins,
  withWetNearby,
  withWindows,
} from './dates/index.ts';
import { evidenceOf, hangingFilms, type HangingPart, historyOf, type PlanContext, settledFacts } from './films/index.ts';
import { type BudgetState, budgetStates, lacking, purchaseShares, type Ration, rationsOf, suppliesOfAll } from './money/index.ts';
import { type PiecePlan, piecePlan } from './piecePlan.ts';
import { coatKey, warmKey, pieceSteps, type PieceSteps, type Step } from './steps/index.ts';

export const DEFAULT_SEED = 20261125;

export type Plan = {
  readonly now: Minute;
  readonly steps: readonly PlannedStep[];
  readonly sessions: readonly Session[];
  readonly pieces: readonly PiecePlan[];
  readonly needs: readonly PaintNeed[];
  /** All that has to be bought, paint or not. */
  readonly wants: readonly Want[];
  readonly purchases: Purchases;
  readonly budgets: readonly BudgetState[];
  readonly hanging: readonly HangingPart[];
  readonly moments: readonly LineMoment[];
  readonly cautions: readonly Caution[];
  readonly free: readonly FreeInterval[];
  readonly moved: readonly MovedStep[];
  /** Paints that barely last or do not, the shortest first. */
  readonly rations: readonly Ration[];
  /** Mixes that something is planned in, and whether each lasts. */
  readonly mixes: readonly MixLasts[];
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
  /** Each part by itself, nothing shared: what batches are measured against. */
  readonly partByPart?: boolean;
  /** Who comes sooner and who later, as found before by improving; absent: nobody. */
  readonly turns?: Turns;
  /** Purchases proven before: they stand as long as their needs do. */
  readonly proven?: ProvenPurchases;
  /** Rounds in which a better plan is looked for; absent: the first feasible one. */
  readonly effort?: number;
};

/** What a plan is made of before its steps have their times. */
export type Readied = {
  readonly context: PlanContext;
  readonly seed: number;
  readonly datesOf: readonly string[] | undefined;
  readonly proven: ProvenPurchases | undefined;
  readonly rows: PlacedRows;
};

/**
 * The whole plan from facts alone: the same facts, moment, air and seed give the same plan everywhere.
 * @throws RangeError without a workshop: there is nobody to plan for yet
 */
export function plan(input: PlanInput): Plan {
  const ready = readied(input);
  const rounds = searchIn(ready);
  let best = ready.rows.placing.first;
  for (let round = 0; round < (input.effort ?? 0); round++) best = rounds.next().value;
  return finished(ready, best.result);
}

/**
 * The plan twice: at once without its likely and safe dates, which take a fifth of the time, and whole. What both stand on is
 * worked out once.
 * @throws RangeError without a workshop
 */
export function planInTwo(input: PlanInput): { readonly undated: Plan; readonly whole: () => Plan } {
  const ready = readied(input);
  const { result } = ready.rows.placing.first;
  return { undated: finished({ ...ready, datesOf: [] }, result), whole: () => finished(ready, result) };
}

/** Better schedules of what is readied, one round after the other, by its seed. */
export function searchIn({ seed, rows }: Readied): Generator<Improved, never> {
  const { problem, first, judge, ownerOf, crowding } = rows.placing;
  return improving({ problem, ownerOf, judge, random: seededRandom(seed), from: first, crowding });
}

/** Everything that does not depend on which step comes when. */
export function readied({
  facts: known,
  now,
  conditions,
  seed = DEFAULT_SEED,
  stayMinutes,
  datesOf,
  partByPart = false,
  turns,
  proven,
}: PlanInput): Readied {
  // Who has so many minutes now works now, whatever was agreed for later.
  const facts = settledFacts(dividedFacts(stayMinutes === undefined ? known : planAnew(known)));
  const workshop = facts.workshop[0];
  if (!workshop) throw new RangeError('The workshop is not set up yet: say which hours are free and where you spray.');
  const clocks = clocksOf(conditions);
  const history = historyOf(facts);
  const evidence = evidenceOf({ facts, clocks, history, conditions });
  const context: PlanContext = { facts, workshop, now, clocks, history, evidence };
  const hours = cutToStay(freeIntervals(workshop, now, { busy: busyTime(facts) }), now, stayMinutes);
  const wholes = [...facts.pieces].sort(byUrgency).map(withinLimit);
  return { context, seed, datesOf, proven, rows: placeRows(wholes, hours, context, conditions, partByPart, turns) };
}

/** The plan of one schedule: what follows from when each step comes. */
export function finished({ context, seed, datesOf, proven, rows }: Readied, schedule: Schedule): Plan {
  const { facts, workshop, now, clocks } = context;
  const { built, steps, free } = rows;
  const result = rows.placing.told(schedule);
  const needs = paintNeeds(steps, result.placed, facts);
  const pins = pinsOf(steps, facts, now);
  const windowed = withPins(triedOnce(withWindows(steps, result, clocks, now)), pins);
  const stepOf = new Map(steps.flatMap((step) => step.keys.map((key) => [key, step.id] as const)));
  const films = hangingFilms(
    context,
    result.placed,
    built.map(({ piece }) => piece),
    { coat: (...coat) => stepOf.get(coatKey(...coat)), warm: (...layer) => stepOf.get(warmKey(...layer)) },
  );
  const plannedSteps = withPours(withLaterPrices(withWetNearby(windowed, films, workshop.sprayPlaceId), facts), needs, facts);
  const sessions = sessionsOf(plannedSteps, free, now);
  const supplies = suppliesOfAll(
    built.map(({ piece }) => piece),
    plannedSteps,
    sessions,
    facts,
  );
  const wants = lacking(needs, supplies, plannedSteps, facts);
  const isProven = proven && proven.key === buyingKey(buyingProblem(wants, facts, now));
  const purchases = isProven ? proven.purchases : buyGreedily(wants, facts);
  const listed = new Set(purchases.shops.flatMap(({ lines }) => lines.map(({ want }) => want)));
  const bought = { shares: purchaseShares(purchases, wants), supplies, listed };
  const around = {
    steps: plannedSteps,
    sessions,
    result,
    free,
    bought,
    context,
    air: new SprayAir(rows.conditions, workshop.sprayPlaceId, now, facts),
  };
  const pieces = built.map(({ piece, beyond, steps: own }) =>
    piecePlan(piece, beyond, own, around, datesOf && !datesOf.includes(piece.id) ? null : seed),
  );
  return {
    now,
    steps: plannedSteps,
    free,
    needs,
    wants,
    purchases,
    hanging: films.map(({ wet: _wet, ...film }) => film),
    sessions,
    pieces,
    budgets: budgetStates(facts, { now, purchases, pieces }),
    moments: nextMoments(
      films.flatMap((film) => (film.hung ? [film.hung] : [])),
      now,
    ),
    cautions: cautionsFor(new Set(plannedSteps.flatMap((step) => step.hazards))),
    moved: movedSteps(plannedSteps, facts, free),
    rations: rationsOf(needs, plannedSteps, purchases, facts),
    mixes: mixesLast(needs, plannedSteps, facts),
  };
}

type Built = { readonly piece: Piece; readonly beyond: readonly string[]; readonly steps: PieceSteps };
type PlacedRows = {
  readonly built: readonly Built[];
  readonly steps: readonly Step[];
  readonly placing: Placing;
  /** The hours of the week, and what wet film under tape adds to them. */
  readonly free: readonly FreeInterval[];
  readonly conditions: Conditions;
};

/** Rows that find no place together are taken apart and tried once more, each part for itself. */
function placeRows(
  wholes: readonly Limited[],
  hours: readonly FreeInterval[],
  context: PlanContext,
  conditions: Conditions,
  partByPart: boolean,
  turns: Turns | undefined,
): PlacedRows {
  const longest = partByPart ? 0 : longestRow(hours);
  const place = (alone: ReadonlySet<string>): PlacedRows => {
    const built = wholes.map(({ piece, beyond }) => ({
      piece,
      beyond,
      steps: laidAside(piece, pieceSteps(piece, context, { longest, alone }), context),
    }));
    const steps = waitForPaint(
      built.flatMap(({ steps: own }) => (partByPart ? own.steps.map((step) => ({ ...step, batch: null })) : own.steps)),
      context.facts,
      context.now,
    );
    const free = stayingForTape(hours, steps, context.clocks, context.now);
    return { built, steps, free, conditions, placing: placingOf(steps, free, context, conditions, turns) };
  };
  const joined = place(new Set());
  const stuck = joined.steps.filter((step) => step.keys.length > 1 && !step.stopped && !joined.placing.first.result.placed.has(step.id));
  return stuck.length === 0 ? joined : place(new Set(stuck.flatMap((step) => step.keys)));
}

/** A piece that is laid aside keeps its steps: they wait for the day it is taken up again, or have no date without one. */
function laidAside({ held }: Piece, own: PieceSteps, { now, workshop }: PlanContext): PieceSteps {
  if (!held) return own;
  const until = held.until === undefined ? null : atLocal(held.until, 0, workshop.timeZone);
  if (until === null) {
    const stopped = `it is laid aside${held.where ? `, ${held.where}` : ''}: take it up again and it is planned`;
    return { ...own, steps: own.steps.map((step) => ({ ...step, stopped: step.stopped ?? stopped })) };
  }
  if (until <= now) return own;
  return {
    ...own,
    steps: own.steps.map((step) =>
      (step.notBefore ?? 0) >= until ? step : { ...step, notBefore: until, notBeforeWhy: 'it is laid aside until then' },
    ),
  };
}

const USUAL_ROW = 60;
const LONGEST_ROW = 120;

/** Work joined into one row still has to fit into a usual stay. */
function longestRow(free: readonly FreeInterval[]): Minute {
  const stays = free.slice(0, 20).map((span) => span.to - span.from - LAY_OUT_MINUTES - PACK_UP_MINUTES);
  return stays.length === 0 ? USUAL_ROW : Math.min(LONGEST_ROW, Math.max(20, ...stays));
}
