import type { Minute } from '#core/units/index';
import { batchesApart } from './gather.ts';
import type { Activity, Gap, Problem, Schedule } from './model.ts';
import { schedule } from './place.ts';

/**
 * A schedule made better by turns: placed again and again with one piece, or one activity, put earlier or later in the queue, or with
 * a batch gathered, and kept where the judge finds it better. Anytime and deterministic: the same problem, turns, seed and rounds
 * give the same schedule.
 */

export type Turns = {
  /** Minutes by which a piece or an activity is put later in the queue; negative: earlier. */
  readonly later: ReadonlyMap<string, Minute>;
  /** An activity that waits for another, so that its batch goes on in one. */
  readonly behind: ReadonlyMap<string, string>;
};
export const NO_TURNS: Turns = { later: new Map(), behind: new Map() };

/** What a schedule comes to, the weightiest first; smaller is better. */
export type Judge = (schedule: Schedule) => readonly number[];

export type Improved = { readonly result: Schedule; readonly turns: Turns; readonly score: readonly number[] };

export type Improving = {
  readonly problem: Problem;
  readonly ownerOf: (activityId: string) => string;
  readonly judge: Judge;
  readonly random: () => number;
  readonly from: Improved;
  /** Activities tried first, one by one, a little later in the queue: those that crowd a stay others are pushed out of. */
  readonly crowding?: readonly string[];
};

const SHIFTS: readonly Minute[] = [-2880, -1440, -480, -120, -30, 30, 120, 480, 1440, 2880];
/** Behind everything of its stay. */
const GIVES_WAY: Minute = 720;
/** How often a batch is gathered where one is apart, and how often else a whole piece is moved and not one activity. */
const GATHERS = 0.4;
const WHOLE_PIECES = 0.6;

/** One round after the other; each answers the best so far. */
export function* improving({ problem, ownerOf, judge, random, from, crowding = [] }: Improving): Generator<Improved, never> {
  const ids = problem.activities.map(({ id }) => id);
  const owners = [...new Set(ids.map(ownerOf))];
  const waiting = [...crowding];
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)];
  let best = from;
  while (true) {
    const crowds = waiting.shift();
    const apart = crowds === undefined && random() < GATHERS ? batchesApart(problem, best.result) : [];
    const turns =
      crowds !== undefined
        ? put(best.turns, crowds, GIVES_WAY)
        : apart.length > 0
          ? { ...best.turns, behind: new Map(best.turns.behind).set(...pick(apart)) }
          : put(best.turns, pick(random() < WHOLE_PIECES ? owners : ids), pick(SHIFTS));
    const result = schedule(inTurn(problem, turns, ownerOf));
    const score = judge(result);
    if (compared(score, best.score) < 0) best = { result, turns, score };
    yield best;
  }
}

function put(turns: Turns, name: string, by: Minute): Turns {
  return { ...turns, later: new Map(turns.later).set(name, (turns.later.get(name) ?? 0) + by) };
}

/** Both: what was found from a problem that had turns already. */
export function withTurns(before: Turns, found: Turns): Turns {
  const later = new Map(before.later);
  for (const [name, by] of found.later) later.set(name, (later.get(name) ?? 0) + by);
  return { later, behind: new Map([...before.behind, ...found.behind]) };
}

/** The problem with its queue changed. */
export function inTurn(problem: Problem, { later, behind }: Turns, ownerOf: (activityId: string) => string): Problem {
  if (later.size === 0 && behind.size === 0) return problem;
  const turned = (activity: Activity): Activity => {
    const by = (later.get(activity.id) ?? 0) + (later.get(ownerOf(activity.id)) ?? 0);
    return by === 0 ? activity : { ...activity, turn: (activity.turn ?? 0) + by };
  };
  const here = new Set(problem.activities.map(({ id }) => id));
  const gaps = [...problem.gaps];
  for (const [to, first] of behind) if (here.has(to) && here.has(first) && !leadsTo(to, first, gaps)) gaps.push(waitFor(first, to));
  return { ...problem, activities: problem.activities.map(turned), gaps };
}

/** Whether one activity must be done before the other already: it cannot wait for it then. */
function leadsTo(one: string, other: string, gaps: readonly Gap[]): boolean {
  const before = new Map<string, string[]>();
  for (const gap of gaps) before.set(gap.to, [...(before.get(gap.to) ?? []), ...gap.from]);
  const seen = new Set<string>([other]);
  const open = [other];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (id === one) return true;
    const earlier = (before.get(id) ?? []).filter((own) => !seen.has(own));
    for (const own of earlier) seen.add(own);
    open.push(...earlier);
  }
  return false;
}

function waitFor(first: string, to: string): Gap {
  return {
    from: [first],
    to,
    together: [first],
    reason: 'it goes on in one with another piece that is readied first',
    allowed: (endOf) => [{ from: endOf(first), to: null }],
  };
}

/** Below 0: the first is better; 0: they are alike. */
export function compared(one: readonly number[], other: readonly number[]): number {
  const at = one.findIndex((value, index) => Math.abs(value - other[index]) > 1e-6);
  return at < 0 ? 0 : one[at] - other[at];
}
