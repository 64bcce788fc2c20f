import type { Minute } from '#core/units/index';
import { finishOf, type Goal, type Instance, sessionsIn, type Starts, type Wait } from './instance.ts';
import { brokenBy } from './checked.ts';
import { type Found, type Limit, soonest } from './search.ts';

/** The three goals, each by schedules that end as soon as can be (trade §17). */

export function solveFor(goal: Goal, instance: Instance, limit: Limit): Found {
  switch (goal) {
    case 'soonest':
      return soonest(instance, { limit });
    case 'fewest-sessions':
      return fewestSessions(instance, limit);
    case 'calmest':
      return calmest(instance, limit);
  }
}

/** Fewer and fewer free intervals, as long as there is a choice of them that holds all; of equal counts the soonest. */
function fewestSessions(instance: Instance, limit: Limit): Found {
  const first = soonest(instance, { limit });
  if (!first.starts) return first;
  const attended = instance.work.reduce((sum, { attended: own, minutes }) => sum + (own ? minutes : 0), 0);
  const best: Starts = first.starts;
  let proven = true;
  const useful = usefulIntervals(instance);
  for (let count = leastIntervals(instance, attended); count <= sessionsIn(instance, best).length; count++) {
    const found = soonestIn(instance, useful, count, attended, sessionsIn(instance, best).length === count ? best : null, limit);
    proven &&= found.proven;
    if (found.starts) return { starts: found.starts, proven };
  }
  return { starts: best, proven };
}

/** The soonest over every choice of so many free intervals. @param known one that uses as many */
function soonestIn(
  instance: Instance,
  useful: readonly number[],
  count: number,
  attended: Minute,
  known: Starts | null,
  limit: Limit,
): Found {
  let best = known;
  let proven = true;
  for (const chosen of choicesOf(useful, count)) {
    const free = chosen.map((index) => instance.free[index]);
    if (free.reduce((sum, span) => sum + span.to - span.from, 0) < attended) continue;
    const before = best ? finishOf(instance, best) : Number.POSITIVE_INFINITY;
    const found = soonest({ ...instance, free }, { before, limit });
    proven &&= found.proven;
    if (found.starts) best = found.starts;
  }
  return { starts: best, proven };
}

/** Intervals that hold at least one piece of attended work. */
function usefulIntervals({ free, work }: Instance): number[] {
  const shortest = Math.min(...work.filter(({ attended }) => attended).map(({ minutes }) => minutes));
  return free.flatMap(({ from, to }, index) => (to - from >= shortest ? [index] : []));
}

/** As many of the longest intervals as all attended work takes. */
function leastIntervals({ free }: Instance, attended: Minute): number {
  const lengths = free.map(({ from, to }) => to - from).sort((a, b) => b - a);
  let [left, count] = [attended, 0];
  while (left > 0 && count < lengths.length) left -= lengths[count++];
  return count;
}

function* choicesOf(from: readonly number[], count: number): Generator<number[]> {
  if (count === 0) return yield [];
  for (let at = 0; at + count <= from.length; at++) for (const rest of choicesOf(from.slice(at + 1), count - 1)) yield [from[at], ...rest];
}

/** Room beyond a day calms nobody further. */
export const MOST_ROOM: Minute = 1440;

/** The most room before every latest wait that still leaves a schedule, then more room in all, then the soonest end. */
function calmest(instance: Instance, limit: Limit): Found {
  let best = soonest(instance, { anyWill: true, limit });
  if (!best.starts) return best;
  let [low, high, proven] = [0, MOST_ROOM, best.proven];
  // Whole minutes, as all that is given: the largest room is found by halving.
  while (low < high) {
    const room = Math.ceil((low + high) / 2);
    const tight = withRoom(instance, room);
    const found = tight ? soonest(tight, { anyWill: true, limit }) : { starts: null, proven: true };
    if (found.starts) [best, low] = [found, room];
    else {
      proven &&= found.proven;
      high = room - 1;
    }
  }
  const tight = withRoom(instance, low) ?? instance;
  const sooner = soonest(tight, { limit });
  const starts = drawnTogether(tight, sooner.starts ?? (best.starts as Starts));
  return { starts, proven: proven && sooner.proven };
}

/** The same with every latest wait so much shorter; null where a wait is left with no stretch. */
export function withRoom(instance: Instance, room: Minute): Instance | null {
  const waits = instance.waits.map((wait) => ({ ...wait, allowed: wait.allowed.flatMap((own) => shortened(own, room)) }));
  return waits.every(({ allowed }) => allowed.length > 0) ? { ...instance, waits } : null;
}

function shortened({ min, max }: Wait, room: Minute): Wait[] {
  if (max === null) return [{ min, max }];
  return max - room >= min ? [{ min, max: max - room }] : [];
}

/** Room before each latest wait as it is, capped at a day; null where no wait has one. */
export function leastRoom({ waits, work }: Instance, starts: Starts): Minute {
  return Math.min(
    MOST_ROOM,
    ...waits.flatMap(({ from, to, allowed }) => {
      const waited = starts[to] - starts[from] - work[from].minutes;
      const stretch = allowed.find(({ min, max }) => waited >= min && (max === null || waited <= max));
      return stretch?.max == null ? [] : [stretch.max - waited];
    }),
  );
}

/** Work before a latest wait is moved as late as nothing else minds: room in all grows, the end stays. */
function drawnTogether(instance: Instance, starts: Starts): Starts {
  const before = new Set(instance.waits.filter(({ allowed }) => allowed.some(({ max }) => max !== null)).map(({ from }) => from));
  const moved = [...starts];
  for (const at of [...before].sort((a, b) => starts[b] - starts[a])) {
    for (const later of latestFirst(instance, moved, at)) {
      const tried = moved.map((own, index) => (index === at ? later : own));
      if (isSchedule(instance, tried)) {
        moved[at] = later;
        break;
      }
    }
  }
  return moved;
}

/** Moments a piece of work could move to: right before what follows it, and the ends of free intervals. */
function latestFirst({ work, waits, free }: Instance, starts: Starts, at: number): Minute[] {
  const { minutes } = work[at];
  const follows = waits.filter(({ from }) => from === at).map(({ to, allowed }) => starts[to] - allowed[0].min - minutes);
  const limit = follows.length > 0 ? Math.min(...follows) : starts[at];
  const others = work.flatMap((_, other) => (other === at ? [] : [starts[other] - minutes]));
  return [limit, ...others, ...free.map(({ to }) => to - minutes)].filter((own) => own > starts[at] && own <= limit).sort((a, b) => b - a);
}

/** Whether starts keep everything there is. */
export function isSchedule(instance: Instance, starts: Starts): boolean {
  return brokenBy(instance, starts) === null;
}
