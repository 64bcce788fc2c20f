import { type FreeInterval, type Gap, type Goal, type Problem, roomOf, type Schedule, schedule } from '#core/schedule/index';
import type { Minute } from '#core/units/index';
import type { Step } from '../../steps/index.ts';
import { type Patient, withPatience } from './patience.ts';

/** What matters to the person: the soonest end, the fewest stays, or the most room before windows shut (trade §17). */

/** A schedule and the problem as it was put for the goal: placed again with other turns, it keeps to the goal. */
export type ForGoal = Patient & {
  /** What is to be said of steps that wait for the goal's sake. */
  readonly told: (schedule: Schedule) => Schedule;
};

export function scheduleFor(goal: Goal, problem: Problem, steps: readonly Step[]): ForGoal {
  const soonest = withPatience(problem, steps);
  switch (goal) {
    case 'soonest':
      return { ...soonest, told: (schedule) => schedule };
    case 'fewest-sessions':
      return inFewestStays(soonest);
    case 'calmest':
      return withMostRoom(soonest);
  }
}

/** Stays that are tried without, at most. */
const MOST_TRIED = 40;
const TOGETHER = 'kept for this stay: the fewest stays are what matters here';

/** One stay after the other is given up, the least filled first, as long as everything still finds its place. */
function inFewestStays({ problem, result }: Patient): ForGoal {
  let [free, best] = [problem.free, result];
  const kept = new Set<FreeInterval>();
  for (let tries = 0; tries < MOST_TRIED; tries++) {
    const stays = staysOf(best, free);
    const least = [...stays].filter(([span]) => !kept.has(span)).sort((a, b) => a[1] - b[1])[0];
    if (!least || stays.size < 2) break;
    const [without] = least;
    const fewer = free.filter((span) => span !== without);
    const tried = schedule({ ...problem, free: fewer });
    if (tried.unplaced.length > best.unplaced.length || staysOf(tried, fewer).size >= stays.size) {
      kept.add(without);
      continue;
    }
    [free, best] = [fewer, tried];
  }
  return { problem: { ...problem, free }, result: best, told: (schedule) => withTextFor(schedule, problem.free, free) };
}

/** Minutes at the bench in each stay that is used. */
function staysOf({ placed }: Schedule, free: readonly FreeInterval[]): Map<FreeInterval, Minute> {
  const stays = new Map<FreeInterval, Minute>();
  for (const { start, end } of placed.values()) {
    const span = free.find((own) => start < own.to);
    if (span) stays.set(span, (stays.get(span) ?? 0) + end - start);
  }
  return stays;
}

/** What waits for a stay though another before it was given up says so. */
function withTextFor(result: Schedule, all: readonly FreeInterval[], free: readonly FreeInterval[]): Schedule {
  const given = all.filter((span) => !free.includes(span));
  const placed = new Map(
    [...result.placed].map(([id, own]) => {
      const stay = free.find((span) => own.start < span.to);
      const skipped = given.some((span) => stay !== undefined && span.to <= stay.from && span.to > own.start - WEEK);
      return own.hold.by === 'calendar' && skipped ? [id, { ...own, hold: { ...own.hold, text: TOGETHER } }] : [id, own];
    }),
  );
  return { ...result, placed };
}

const WEEK: Minute = 7 * 24 * 60;

/** Room asked for before every window shuts, minutes, most first. */
const ROOMS: readonly Minute[] = [24 * 60, 12 * 60, 6 * 60, 3 * 60, 90, 45, 20];

/** The plan whose tightest window leaves most, then with the most room in all; asked for so much, some of it can be kept. */
function withMostRoom(soonest: Patient): ForGoal {
  const { problem, result } = soonest;
  const asked = ROOMS.map((room): Patient => {
    const roomy = { ...problem, gaps: problem.gaps.map((gap) => roomier(gap, room)) };
    return { problem: roomy, result: schedule(roomy) };
  });
  const whole = [soonest, ...asked.filter((own) => own.result.unplaced.length <= result.unplaced.length)];
  const calm = whole.map((own) => ({ own, ...roomOf(own.result, problem) }));
  const best = calm.reduce((most, next) => (next.least > most.least || (next.least === most.least && next.sum > most.sum) ? next : most));
  return { ...best.own, told: (schedule) => schedule };
}

function roomier(gap: Gap, room: Minute): Gap {
  return {
    ...gap,
    allowed: (endOf) =>
      gap
        .allowed(endOf)
        .map((own) => (own.to === null ? own : { ...own, to: own.to - Math.min(room, Math.max(0, own.to - own.from) / 2) })),
  };
}
