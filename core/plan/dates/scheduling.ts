import { benchMinutes, NEXT_COAT_SETUP_MINUTES } from '#core/amounts/index';
import type { Conditions } from '#core/drying/index';
import type { WarmBy, Workshop } from '#core/facts/index';
import {
  type Activity,
  benchIntervals,
  compared,
  type FreeInterval,
  type Gap,
  type Improved,
  inTurn,
  type Judge,
  NO_TURNS,
  outsideQuiet,
  type Problem,
  type Schedule,
  stayIndex,
  type Turns,
} from '#core/schedule/index';
import { DAY, type Minute } from '#core/units/index';
import { gapOf } from '../steps/index.ts';
import { hangingFilms, type PlanContext } from '../films/index.ts';
import type { Step } from '../steps/index.ts';
import { SprayAir } from './holding/air.ts';
import { dryingOf, Hangers } from './holding/dryingPlaces.ts';
import { scheduleFor } from './choosing/goals.ts';
import { agreedStarts, pinsOf, stepsBefore } from './choosing/pins.ts';
import { vesselOf, vesselsOf } from './holding/vessels.ts';
import { WarmHours } from './holding/warmHours.ts';
import { neededMoment, pressure } from './choosing/urgency.ts';
import { judgeFor } from './choosing/worth.ts';

/** A first schedule of the steps, and what is needed to make it better. */
export type Placing = {
  readonly problem: Problem;
  readonly first: Improved;
  /** Turns the problem was put with. */
  readonly turns: Turns;
  readonly judge: Judge;
  readonly ownerOf: (stepId: string) => string;
  /** What was agreed for the first stay that something had to leave, the last of it first. */
  readonly crowding: readonly string[];
  /** The schedule with its reasons in words. */
  readonly told: (schedule: Schedule) => Schedule;
};

/**
 * Every step that is not stopped, placed into the free hours. @param turns who comes sooner and who later, found by improving an
 * earlier plan: they are kept unless the steps are better placed without them by now
 */
export function placingOf(
  steps: readonly Step[],
  free: readonly FreeInterval[],
  context: PlanContext,
  conditions: Conditions,
  turns: Turns = NO_TURNS,
): Placing {
  const kept = placedBy(steps, free, context, conditions, turns);
  if (turns.later.size === 0 && turns.behind.size === 0) return kept;
  const without = placedBy(steps, free, context, conditions, NO_TURNS);
  return compared(without.first.score, kept.first.score) < 0 ? without : kept;
}

function placedBy(
  steps: readonly Step[],
  free: readonly FreeInterval[],
  context: PlanContext,
  conditions: Conditions,
  turns: Turns,
): Placing {
  const { now, workshop, history, facts, clocks } = context;
  const bench = benchMinutes(workshop);
  const live = steps.filter((step) => step.stopped === undefined);
  const ids = new Set(live.map((step) => step.id));
  const agreed = agreedStarts(live, facts, now);
  const pins = pinsOf(live, facts, now);
  const leading = stepsBefore(pins.keys(), live);
  const urgency = new Map(facts.pieces.map((piece) => [piece.id, pressure(piece, now, workshop.timeZone)]));
  const air = new SprayAir(conditions, workshop.sprayPlaceId, now, facts);
  const warmth = new WarmHours(context, conditions, free);
  const hangers = workshop.dryingPlaces?.length ? new Hangers(live, facts.pieces, clocks) : null;
  const laid = hangers ? hangingFilms(context, new Map(), facts.pieces, { coat: () => undefined, warm: () => undefined }) : [];
  const activities: Activity[] = live.map((step) => {
    const pin = pins.get(step.id);
    const start = agreed.get(step.id);
    return {
      id: step.id,
      minutes: step.minutes,
      mix: step.coat?.mix,
      ...(step.coat ? { clearing: bench.change + bench.cleanUp[step.coat.hand] } : {}),
      ...setUpOf(step),
      ...(hangers ? hangers.of(step) : {}),
      ...vesselOf(step, context),
      priority: (urgency.get(step.pieceId) ?? 0) + (pin !== undefined ? PINNED_FIRST : leading.has(step.id) ? LEADING_FIRST : 0),
      ...(pin === undefined && start !== undefined ? { agreed: start } : {}),
      ...notBeforeOf(step, history.notBefore.get(step.id), pin),
      ...(step.warm ? warmth.of(step) : allowedWhen(step, air, workshop)),
    };
  });
  const gaps = live.flatMap((step) => step.constraints.map((constraint) => gapOf(step.id, constraint, clocks)));
  const usable = holdWindowsTogether(live, gaps).map((gap) => ({ ...gap, together: gap.together.filter((id) => ids.has(id)) }));
  const plain = {
    now,
    free: benchIntervals(free, now),
    activities,
    gaps: usable,
    changeover: bench.change + bench.cleanUp.aerosol,
    ...dryingOf(workshop, facts.pieces, laid, now),
    ...vesselsOf(live, context),
  };
  const pieceOf = new Map(live.map((step) => [step.id, step.pieceId]));
  const ownerOf = (stepId: string) => pieceOf.get(stepId) ?? stepId;
  const goal = workshop.goal ?? 'soonest';
  const { problem, result, told } = scheduleFor(goal, inTurn(plain, turns, ownerOf), live);
  const needed = new Map(
    facts.pieces.flatMap((piece) => {
      const by = neededMoment(piece, workshop.timeZone);
      return by === null ? [] : [[piece.id, by] as const];
    }),
  );
  const judge = judgeFor(goal, plain, live, { needed, pins, agreed });
  return {
    problem,
    turns,
    first: { result, turns: NO_TURNS, score: judge(result) },
    judge,
    ownerOf,
    crowding: crowdingOf(result, agreed, plain.free),
    told: (schedule) => withAirNamed(told(schedule), live, air, workshop),
  };
}

function crowdingOf({ placed }: Schedule, agreed: ReadonlyMap<string, Minute>, free: readonly FreeInterval[]): string[] {
  const stayOf = (at: Minute) => stayIndex(free, at);
  const left = [...agreed].filter(([id, at]) => stayOf(placed.get(id)?.start ?? Number.POSITIVE_INFINITY) !== stayOf(at));
  if (left.length === 0) return [];
  const stay = stayOf(Math.min(...left.map(([, at]) => at)));
  return [...agreed]
    .filter(([, at]) => stayOf(at) === stay)
    .sort((a, b) => b[1] - a[1])
    .map(([id]) => id);
}

/** A pinned step takes its time before all others; what leads to it comes before what could take its place. */
const PINNED_FIRST: Minute = -3 * DAY;
const LEADING_FIRST: Minute = -DAY;

/** The latest of what keeps a step: a parcel or a purchase, a word at the bench, a pin. */
function notBeforeOf(step: Step, put: Minute | undefined, pin: Minute | undefined): Pick<Activity, 'notBefore' | 'notBeforeWhy'> {
  const reasons = [
    { at: step.notBefore ?? 0, why: step.notBeforeWhy },
    { at: put ?? 0, why: 'you put it off' },
    { at: pin ?? 0, why: 'you pinned it to then' },
  ];
  const last = reasons.reduce((latest, own) => (own.at >= latest.at ? own : latest));
  return last.at > 0 ? { notBefore: last.at, notBeforeWhy: last.why } : {};
}

/** Set-up that a batch carried on spares; a coat come back to after other work still needs what a next coat does. */
function setUpOf({ batch, setup, coat, minutes }: Step): Pick<Activity, 'setUp'> {
  if (batch === null || setup === 0) return {};
  const shared = Math.min(setup, minutes - 1);
  return { setUp: { batch, minutes: shared, ...(coat ? { again: Math.min(shared, NEXT_COAT_SETUP_MINUTES) } : {}) } };
}

/** Air for a coat, and for what is loud an hour that is not quiet. */
function allowedWhen(step: Step, air: SprayAir, { quietHours, timeZone }: Workshop): Pick<Activity, 'nextAir'> {
  const byAir = step.coat && step.coat.hand !== 'brush' ? air.next(step.coat) : null;
  if (!isLoud(step) || !quietHours?.length) return byAir ? { nextAir: byAir } : {};
  return {
    nextAir: (from, minutes) => {
      for (let at: Minute | null = from, turns = 0; at !== null && turns < MOST_TURNS; turns++) {
        const quiet = outsideQuiet(quietHours, timeZone, at, minutes);
        if (quiet === null) return null;
        const next: Minute | null = byAir ? byAir(quiet) : quiet;
        if (next === quiet) return quiet;
        at = next;
      }
      return null;
    },
  };
}

/** Air and quiet hours that never leave the same moment are given up after so many. */
const MOST_TURNS = 60;

/** Blasting, and whatever a compressor runs for. */
export function isLoud({ method, coat }: Pick<Step, 'method' | 'coat'>): boolean {
  return method === 'blast' || coat?.hand === 'airbrush' || coat?.hand === 'gun';
}

/** Where the air held a coat, its reason names what was wrong with it; what is loud may have waited for the neighbours. */
function withAirNamed(result: Schedule, steps: readonly Step[], air: SprayAir, { quietHours, timeZone }: Workshop): Schedule {
  const placed = new Map(result.placed);
  for (const step of steps) {
    const { id, coat } = step;
    const own = placed.get(id);
    if (own?.hold.by !== 'conditions') continue;
    const quiet = isLoud(step) && outsideQuiet(quietHours, timeZone, own.start - 1, step.minutes) !== own.start - 1;
    const text = quiet
      ? 'the hours before are quiet ones: nothing loud runs then'
      : coat
        ? air.whyNotSooner(coat, own.start)
        : step.warm
          ? WARM_WAITS[step.warm.by]
          : own.hold.text;
    placed.set(id, { ...own, hold: { ...own.hold, text } });
  }
  return { ...result, placed };
}

const WARM_WAITS: Readonly<Record<WarmBy, string>> = {
  oven: 'nobody is at home sooner for as long as the oven is on',
  sun: 'the sun does not shine long enough sooner',
  'warm-room': 'the room is not free sooner',
};

/**
 * Steps on the way from one end of a window to the other belong to its group, or the group could never be placed. A step of the
 * whole piece waits for other parts too: a window that it lies in cannot be held, and the later branch is taken.
 */
function holdWindowsTogether(steps: readonly Step[], gaps: readonly Gap[]): Gap[] {
  const wide = new Set(steps.filter((step) => step.keys.length === 1 && step.on.length > 1).map((step) => step.id));
  const before = new Map<string, string[]>();
  for (const gap of gaps) before.set(gap.to, [...(before.get(gap.to) ?? []), ...gap.from]);
  const tied = new Set<string>();
  for (const gap of gaps)
    if (gap.opened) for (const id of waysTo(gap.to, before, wide)) for (const other of before.get(id) ?? []) tied.add(`${other} ${id}`);
  const windows = gaps.map((gap) => {
    const between = gap.together.map((from) => stepsBetween(from, gap.to, before));
    if (between.some((own) => [...own].some((id) => wide.has(id)))) return { ...gap, together: [] };
    for (const [index, from] of gap.together.entries()) {
      const inside = new Set([...between[index], from, gap.to]);
      for (const id of inside) for (const other of before.get(id) ?? []) if (inside.has(other)) tied.add(`${other} ${id}`);
    }
    return gap;
  });
  return windows.map((gap) => {
    const own = gap.from.filter((from) => tied.has(`${from} ${gap.to}`));
    return own.length === 0 ? gap : { ...gap, together: [...new Set([...gap.together, ...own])] };
  });
}

/** A step and all that must be done before it, as far as none of it is done to the whole piece. */
function waysTo(to: string, before: ReadonlyMap<string, readonly string[]>, wide: ReadonlySet<string>): Set<string> {
  const ways = new Set<string>();
  const walk = (id: string): boolean => {
    if (wide.has(id)) return false;
    ways.add(id);
    return (before.get(id) ?? []).every((other) => ways.has(other) || walk(other));
  };
  return walk(to) ? ways : new Set();
}

/** Steps on any way from one to another, both left out; none where it is the one before. */
function stepsBetween(from: string, to: string, before: ReadonlyMap<string, readonly string[]>): Set<string> {
  const reaches = new Map<string, boolean>();
  const leadsBack = (id: string): boolean => {
    const known = reaches.get(id);
    if (known !== undefined) return known;
    reaches.set(id, false);
    // Every way is walked, not only the first that leads back.
    const ways = (before.get(id) ?? []).map((other) => other === from || leadsBack(other));
    const found = ways.includes(true);
    reaches.set(id, found);
    return found;
  };
  leadsBack(to);
  return new Set([...reaches].flatMap(([id, found]) => (found && id !== to ? [id] : [])));
}
