import { DAY, type Minute } from '#core/units/index';
import { intersect } from './allowed.ts';
import { Awaited, groupsOf } from './groups.ts';
import { holdOf } from './holdText.ts';
import type { Activity, Allowed, Gap, Placed, Problem, Schedule, Unplaced } from './model.ts';
import { type Block, longestClearing, type Slot, Timeline } from './timeline.ts';
import { TurnQueue } from './turnQueue.ts';
import { whyNot } from './whyNot.ts';

/**
 * Serial placement: activities that share a window are placed together, each group at the earliest time that keeps every
 * constraint; groups take turns by priority and earliest finish. Deterministic; nothing it returns breaks a constraint.
 */
export function schedule(problem: Problem): Schedule {
  return new Placement(problem).run();
}

const TRIES = 240;
/** A window that is open and about to shut comes before everything. */
const OPEN_WINDOW = -1e9;
/** What was agreed takes its place before what was not, in the order agreed. */
const AGREED_FIRST = -3 * DAY;
/** What a minute of set-up spared weighs beside starting a minute sooner: a batch once open is carried on. */
const BATCH_FIRST = 3;
/** Two starts no further apart may lie in one stay. */
const SAME_STAY = 8 * 60;
/** How much later a group may end to stay inside its windows rather than wait for the next branch. */
const WORTH_WAITING = 3 * DAY;

type Trial = {
  readonly slots: readonly { activity: Activity; slot: Slot; span: number }[];
  /** Its first start and its last end. */
  readonly start: Minute;
  readonly end: Minute;
  readonly inWindow: boolean;
  /** No place before this moment will do, now or later: what is placed only takes room away. */
  readonly none: Minute;
};

/** A group that could be placed now, where it would be, and whose turn it is: lowest first. */
type Ranked = {
  readonly group: Activity[];
  readonly trial: Trial | null;
  readonly rank: number;
  /** The start that the rank goes by. */
  readonly start: Minute;
  /** It cannot start before. */
  readonly from: Minute;
};

type Queue = TurnQueue<Activity[], Ranked>;

class Placement {
  readonly #problem: Problem;
  readonly #timeline: Timeline;
  readonly #reach: Minute;
  readonly #gapsTo = new Map<string, Gap[]>();
  readonly #placed = new Map<string, Placed>();
  readonly #unplaced: Unplaced[] = [];
  readonly #settled = new Map<Gap, readonly Allowed[]>();

  constructor(problem: Problem) {
    this.#problem = problem;
    this.#timeline = new Timeline(problem);
    this.#reach = longestClearing(problem);
    for (const gap of problem.gaps) this.#gapsTo.set(gap.to, [...(this.#gapsTo.get(gap.to) ?? []), gap]);
  }

  run(): Schedule {
    const groups = groupsOf(this.#problem, this.#gapsTo);
    const awaited = new Awaited(groups, this.#gapsTo);
    const queue: Queue = new TurnQueue();
    for (const group of awaited.free()) queue.put(group, this.#ranked(group, this.#problem.now));
    // A trial stays valid until something is placed that could meet it. Then its turn can only come later, so it is tried again
    // only once it would be the next.
    const stale = new Set<Activity[]>();
    for (let next = this.#next(queue, stale); next; next = this.#next(queue, stale)) {
      const { group, trial } = next;
      if (trial === null) {
        this.#giveUp(group);
        continue;
      }
      this.#commit(trial);
      this.#turnsAfter(trial, queue, stale);
      for (const freed of awaited.placed(group)) queue.put(freed, this.#ranked(freed, this.#problem.now));
    }
    for (const group of groups)
      for (const { id } of group)
        if (!this.#placed.has(id) && !this.#unplaced.some((own) => own.id === id))
          this.#unplaced.push({ id, why: 'waits for a step that has no date' });
    return { placed: this.#placed, unplaced: this.#unplaced };
  }

  /** What was just placed gives others a sooner turn in its batch, or may stand where they were to stand. */
  #turnsAfter(trial: Trial, queue: Queue, stale: Set<Activity[]>): void {
    const carried = new Set(trial.slots.flatMap(({ activity }) => activity.setUp?.batch ?? []));
    const sooner: Ranked[] = [];
    for (const [other, ranked] of queue.turns()) {
      const own = ranked.trial;
      if (!own) continue;
      const batch = other[0].setUp?.batch;
      const rank = batch !== undefined && carried.has(batch) ? this.#ifCarriedOn(ranked, trial) : Number.POSITIVE_INFINITY;
      if (rank < ranked.rank) {
        sooner.push({ ...ranked, rank, start: trial.end, from: Math.min(ranked.from, trial.end) });
        stale.add(other);
      } else if (!stale.has(other) && overlaps(own, trial, this.#reach)) stale.add(other);
    }
    for (const ranked of sooner) queue.put(ranked.group, ranked);
  }

  /** Whose turn it is, by a trial that is still valid; null where all have had theirs. */
  #next(queue: Queue, stale: Set<Activity[]>): Ranked | null {
    for (let first = queue.take(); first; first = queue.take()) {
      const { own: group, turn } = first;
      if (!stale.has(group)) return turn;
      const later = this.#atSoonest(turn);
      if (later.rank > queue.soonest) {
        queue.put(group, later);
        continue;
      }
      stale.delete(group);
      queue.put(group, this.#ranked(group, turn.from));
    }
    return null;
  }

  /** A turn no sooner than the first member could start now: enough to see that others come before it. */
  #atSoonest(ranked: Ranked): Ranked {
    const { group, trial, rank, start, from } = ranked;
    const [first] = group;
    if (!trial || rank < OPEN_WINDOW / 2 || first.agreed !== undefined) return ranked;
    const slot = this.#timeline.earliest(
      first,
      this.#allowedFor(first, new Map()).allowed,
      Math.max(from, first.notBefore ?? 0),
      this.#endOf(new Map()),
    );
    return slot && slot.start > start ? { ...ranked, rank: rank + slot.start - start, start: slot.start, from: slot.start } : ranked;
  }

  /** Where a group would be placed now, and how soon its turn is; one that finds no place is settled at once. */
  #ranked(group: Activity[], from: Minute): Ranked {
    const trial = this.#tryGroup(group, from);
    const rank = trial ? this.#rank(group, trial) : Number.NEGATIVE_INFINITY;
    return { group, trial, rank, start: trial?.slots[0].slot.start ?? from, from: trial?.none ?? from };
  }

  /**
   * Who goes first: a window already open that shuts before the next stay, soonest to shut first; then whoever can start soonest,
   * short work before long, so that films dry while the long work is done.
   */
  #rank(group: readonly Activity[], trial: Trial): number {
    const start = trial.slots[0].slot.start;
    const closes = this.#shuts(group);
    const nextStay = this.#problem.free.find((span) => span.from > start)?.from ?? Number.POSITIVE_INFINITY;
    if (closes !== null && closes < nextStay && start <= closes) return closes + OPEN_WINDOW;
    const [{ agreed, priority, turn = 0 }] = group;
    if (agreed !== undefined) return agreed + AGREED_FIRST + turn;
    const minutes = group.reduce((sum, activity) => sum + activity.minutes, 0);
    const saved = trial.slots.reduce((sum, { slot }) => sum + slot.saved, 0);
    return start + priority + turn + minutes / 2 - saved * BATCH_FIRST;
  }

  /** The soonest turn a group could have by carrying on the batch just placed in the same stay; its own where it cannot. */
  #ifCarriedOn({ group, start }: Ranked, placed: Trial): number {
    const [first] = group;
    const { setUp } = first;
    const mate = setUp && placed.slots.findLast(({ activity }) => activity.setUp?.batch === setUp.batch);
    if (!setUp || !mate || start - mate.slot.end > SAME_STAY) return Number.POSITIVE_INFINITY;
    const minutes = group.reduce((sum, activity) => sum + activity.minutes, 0);
    return mate.slot.end + first.priority + (first.turn ?? 0) + minutes / 2 - setUp.minutes * BATCH_FIRST;
  }

  /** When the group must have begun so that every window now open on one of its members is met; null where none is. */
  #shuts(group: readonly Activity[]): Minute | null {
    let closes: Minute | null = null;
    let before = 0;
    for (const activity of group) {
      const gaps = (this.#gapsTo.get(activity.id) ?? []).filter((gap) => gap.from.every((id) => this.#placed.has(id)));
      for (const gap of gaps) {
        const to = gap.allowed((id) => (this.#placed.get(id) as Placed).end)[0]?.to ?? null;
        if (to !== null && to - before >= this.#problem.now) closes = Math.min(closes ?? to - before, to - before);
      }
      before += activity.minutes;
    }
    return closes;
  }

  #tryGroup(group: readonly Activity[], from: Minute): Trial | null {
    const asAgreed = this.#asAgreed(group, from);
    if (asAgreed) return asAgreed;
    let after = from;
    let fallback: Trial | null = null;
    for (let attempt = 0; attempt < TRIES; attempt++) {
      const trial = this.#tryFrom(group, after);
      if (trial === 'never') return fallback;
      if (trial.inWindow)
        return !fallback ? trial : fallback.end + WORTH_WAITING < trial.end ? fallback : { ...trial, none: fallback.none };
      if (trial.slots.length === group.length && (!fallback || trial.end < fallback.end)) fallback = trial;
      after = trial.slots[0].slot.start + (attempt < 40 ? 5 : 45);
      if (fallback && after > fallback.end + WORTH_WAITING) return fallback;
    }
    return fallback;
  }

  /** The group in the stays it was agreed for, as soon in them as may be; null where that cannot be, or nothing was agreed. */
  #asAgreed(group: readonly Activity[], from: Minute): Trial | null {
    const stays = group.map(({ agreed }) => (agreed === undefined ? undefined : this.#timeline.stayOf(agreed)));
    if (stays.every((stay) => stay === undefined)) return null;
    const trial = this.#tryFrom(
      group.map((activity, index) => {
        const stay = stays[index];
        return stay === undefined || (activity.notBefore ?? 0) >= stay.from
          ? activity
          : { ...activity, notBefore: stay.from, notBeforeWhy: 'it was agreed for this stay' };
      }),
      from,
    );
    if (trial === 'never' || trial.slots.length < group.length) return null;
    const kept = trial.slots.every(({ slot }, index) => slot.start < (stays[index]?.to ?? Number.POSITIVE_INFINITY));
    return kept ? trial : null;
  }

  /** Places the group with its first member not before `after`; a partial trial when a later member finds no place. */
  #tryFrom(group: readonly Activity[], after: Minute): Trial | 'never' {
    const slots: { activity: Activity; slot: Slot; span: number }[] = [];
    const ends = new Map<string, Minute>();
    let inWindow = true;
    for (const [index, activity] of group.entries()) {
      const { allowed, first } = this.#allowedFor(activity, ends);
      const soonest = Math.max(index === 0 ? after : this.#problem.now, activity.notBefore ?? 0);
      const slot = this.#timeline.earliest(activity, allowed, soonest, this.#endOf(ends));
      if (!slot) {
        if (index === 0) return 'never';
        inWindow = false;
        break;
      }
      const span = allowed.findIndex(
        (stretch) => slot.start >= stretch.from - 1e-6 && (stretch.to === null || slot.start <= stretch.to + 1e-6),
      );
      if (first !== null && slot.start > first + 1e-6) inWindow = false;
      slots.push({ activity, slot, span });
      ends.set(activity.id, slot.end);
      this.#timeline.add(blockOf(activity, slot));
    }
    for (const { activity, slot } of slots) this.#timeline.remove({ id: activity.id, start: slot.start });
    const [{ slot: first }] = slots;
    return {
      slots,
      start: Math.min(...slots.map(({ slot }) => slot.start)),
      end: Math.max(...slots.map(({ slot }) => slot.end)),
      inWindow: inWindow && slots.length === group.length,
      none: first.start,
    };
  }

  /** Stretches in which an activity may start: all its gaps at once. `first`: when the soonest window with an end shuts. */
  #allowedFor(activity: Activity, ends: ReadonlyMap<string, Minute>): { allowed: Allowed[]; first: Minute | null } {
    let allowed: Allowed[] = [{ from: this.#problem.now, to: null }];
    let first: Minute | null = null;
    for (const gap of this.#gapsTo.get(activity.id) ?? []) {
      const spans = this.#stretchesOf(gap, ends);
      // A window that something already done has opened is held as those are that the plan opens itself; one long shut is not.
      const opened = gap.together.length > 0 || (gap.from.length === 0 && (spans[0]?.to ?? 0) >= this.#problem.now);
      if (opened && spans.length > 1 && spans[0].to !== null) first = first === null ? spans[0].to : Math.min(first, spans[0].to);
      allowed = intersect(allowed, spans);
    }
    return { allowed, first };
  }

  /** What hangs on placed steps alone stays as it is: nothing that was placed moves. */
  #stretchesOf(gap: Gap, ends: ReadonlyMap<string, Minute>): readonly Allowed[] {
    if (gap.from.some((id) => ends.has(id))) return gap.allowed(this.#endOf(ends));
    const known = this.#settled.get(gap) ?? gap.allowed(this.#endOf(ends));
    this.#settled.set(gap, known);
    return known;
  }

  /** When a step ends that is placed, or about to be. */
  #endOf(ends: ReadonlyMap<string, Minute>): (id: string) => Minute {
    return (id) => ends.get(id) ?? (this.#placed.get(id) as Placed).end;
  }

  #commit(trial: Trial): void {
    for (const { activity, slot } of trial.slots) {
      this.#timeline.add(blockOf(activity, slot));
      this.#placed.set(activity.id, {
        id: activity.id,
        start: slot.start,
        end: slot.end,
        scuff: slot.scuff,
        saved: slot.saved,
        hold: holdOf(activity, slot, {
          problem: this.#problem,
          gaps: this.#gapsTo.get(activity.id) ?? [],
          endOf: (id) => (this.#placed.get(id) as Placed).end,
        }),
      });
    }
  }

  #giveUp(group: readonly Activity[]): void {
    const why = whyNot(group, this.#problem);
    for (const activity of group) this.#unplaced.push({ id: activity.id, why });
  }
}

function blockOf({ id, mix, clearing, setUp }: Activity, { start, end, across, spells, load }: Slot): Block {
  return {
    id,
    start,
    end,
    ...(spells ? { spells } : {}),
    ...(load ? { load } : {}),
    ...(mix === undefined ? {} : { mix }),
    ...(clearing === undefined ? {} : { clearing }),
    ...(setUp ? { batch: setUp.batch } : {}),
    ...(across ? { across } : {}),
  };
}

function overlaps(trial: Trial, done: Trial, reach: number): boolean {
  if (!mayMeet(trial, done, reach)) return false;
  return trial.slots.some(({ activity, slot }) =>
    done.slots.some((other) => {
      // What hangs for days may take the place of what is sprayed much later.
      if (slot.spells && other.slot.spells) return true;
      if (slot.load && slot.load.what === other.slot.load?.what) return true;
      // Another mix in the same stay makes a change of paint, and ends a set-up that was shared over other work.
      const near = activity.mix !== undefined && other.activity.mix !== undefined && activity.mix !== other.activity.mix ? DAY : reach;
      return slot.start < other.slot.end + near && other.slot.start < slot.end + near;
    }),
  );
}

/** False where they are too far apart in time for one to be in the way of the other. */
function mayMeet(trial: Trial, done: Trial, reach: number): boolean {
  const near = Math.max(DAY, reach);
  return (trial.start < done.end + near && done.start < trial.end + near) || trial.slots.some(({ slot }) => slot.spells || slot.load);
}
