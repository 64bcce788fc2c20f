import type { Minute } from '#core/units/index';
import { HangingRoom, type Spell } from './hanging.ts';
import { type Load, Vessels } from './vessels.ts';
import type { Activity, Allowed, FreeInterval, HoldKind, Problem } from './model.ts';

export type Block = {
  readonly id: string;
  readonly start: Minute;
  readonly end: Minute;
  readonly mix?: string;
  readonly clearing?: number;
  readonly batch?: string;
  readonly spells?: readonly Spell[];
  readonly load?: Load;
  /** Its set-up is that of an earlier block with its mix: no other mix may come between. */
  readonly across?: boolean;
};

export type Slot = {
  readonly start: Minute;
  readonly end: Minute;
  readonly scuff: boolean;
  readonly saved: number;
  readonly across: boolean;
  readonly spells?: readonly Spell[];
  readonly load?: Load;
  readonly hold: { readonly by: HoldKind; readonly with?: string };
};

/** What stands in the way of a start, and when it no longer does. `mixing`: by its paint. */
type Clash = { readonly id: string; readonly freeAt: Minute; readonly mixing: boolean };

type Wanted = { readonly minutes: number; readonly from: Minute; readonly latestStart: Minute };

const NOTHING_SPARED = { saved: 0, across: false } as const;

/** The most that lies between two mixes, whichever tools they are sprayed with. */
export function longestClearing({ changeover, activities }: Pick<Problem, 'changeover' | 'activities'>): Minute {
  return activities.reduce((most, { clearing = 0 }) => Math.max(most, clearing), changeover);
}

/** What the person is doing, in order of time. One attended activity at a time; two mixes in the booth keep their distance. */
export class Timeline {
  readonly #free: readonly FreeInterval[];
  readonly #changeover: number;
  /** The longest that any tool takes to clear. */
  readonly #reach: number;
  readonly #room: HangingRoom | null;
  readonly #vessels: Vessels;
  readonly #blocks: Block[] = [];
  readonly #gaps: (Minute | undefined)[] = [];

  constructor({
    free,
    changeover,
    activities,
    drying,
    vessels,
  }: Pick<Problem, 'free' | 'changeover' | 'activities' | 'drying' | 'vessels'>) {
    this.#free = free;
    this.#changeover = changeover;
    this.#reach = longestClearing({ changeover, activities });
    this.#room = drying ? new HangingRoom(drying.places, drying.hanging) : null;
    this.#vessels = new Vessels(vessels?.counts ?? {}, vessels?.taken ?? []);
  }

  add(block: Block): void {
    this.#blocks.splice(this.#firstAfter(block.start), 0, block);
    this.#gaps[this.#freeIndex(block.start)] = undefined;
    if (block.spells) this.#room?.add(block.spells);
    if (block.load) this.#vessels.add(block.load);
  }

  remove({ id, start }: Pick<Block, 'id' | 'start'>): void {
    let index = this.#firstAfter(start) - 1;
    while (index >= 0 && this.#blocks[index].id !== id) index--;
    if (index < 0) return;
    const { start: begins, spells, load } = this.#blocks[index];
    this.#gaps[this.#freeIndex(begins)] = undefined;
    if (spells) this.#room?.remove(spells);
    if (load) this.#vessels.remove(load);
    this.#blocks.splice(index, 1);
  }

  /** The longest stretch of a stay in which nothing stands yet; remembered until something does. */
  #largestGap(stay: number): Minute {
    const known = this.#gaps[stay];
    if (known !== undefined) return known;
    const { from, to } = this.#free[stay];
    let [largest, at] = [0, from];
    for (let i = this.#firstAfter(from - 1e-9); i < this.#blocks.length && this.#blocks[i].start < to; i++) {
      largest = Math.max(largest, this.#blocks[i].start - at);
      at = this.#blocks[i].end;
    }
    const gap = Math.max(largest, to - at);
    this.#gaps[stay] = gap;
    return gap;
  }

  /** The stay a moment lies in; undefined: it lies in none. */
  stayOf(at: Minute): FreeInterval | undefined {
    const stay = this.#free[this.#freeIndex(at)];
    return stay && stay.from <= at ? stay : undefined;
  }

  /** The earliest start inside the allowed stretches, not before `after`; null if there is none. */
  earliest(activity: Activity, allowed: readonly Allowed[], after: Minute, endOf: (id: string) => Minute): Slot | null {
    for (const span of allowed) {
      const minutes = activity.minutes + (span.scuffMinutes ?? 0);
      const from = Math.max(span.from, after);
      const slot = this.#inSpan(activity, { minutes, from, latestStart: span.to ?? Number.POSITIVE_INFINITY }, endOf);
      if (slot) {
        const by = slot.start > from + 1e-6 ? slot.hold : { by: (span.from >= after ? 'window' : 'nothing') as HoldKind };
        return { ...slot, scuff: span.scuff ?? false, hold: by };
      }
    }
    return null;
  }

  #inSpan(activity: Activity, { minutes, from, latestStart }: Wanted, endOf: (id: string) => Minute): Omit<Slot, 'scuff'> | null {
    let hold: Slot['hold'] = { by: 'calendar' };
    const least = minutes - (activity.setUp?.minutes ?? 0);
    for (let i = this.#freeIndex(from); i < this.#free.length; i++) {
      const free = this.#free[i];
      if (free.from > latestStart) return null;
      if (this.#largestGap(i) < least - 1e-9) {
        hold = { by: 'calendar' };
        continue;
      }
      let start = Math.max(from, free.from);
      // That every place was taken in the stay before says more than that the next stay begins then.
      if (start > from && hold.by !== 'places') hold = { by: 'calendar' };
      while (start <= latestStart + 1e-9) {
        const spared = this.#spared(activity, start, free);
        const end = start + minutes - spared.saved;
        if (end > free.to + 1e-9) break;
        const clash = this.#clash(activity, start, end, free) ?? this.#changing(activity, start, end, free);
        if (clash) {
          hold = { by: clash.mixing ? 'resource' : 'person', with: clash.id };
          start = clash.freeAt;
          continue;
        }
        const air = activity.nextAir ? activity.nextAir(start, end - start) : start;
        if (air === null) return null;
        if (air > start + 1e-9) {
          hold = { by: 'conditions' };
          start = air;
          continue;
        }
        const spells = this.#room && activity.hangs ? activity.hangs(start, end, endOf) : undefined;
        const room = spells && this.#room ? this.#room.freeAt(spells) : null;
        if (room !== null) {
          hold = { by: 'places' };
          if (!Number.isFinite(room)) return null;
          start = Math.max(start + 1, room);
          continue;
        }
        const load = activity.loads?.(start, end, endOf);
        const empty = load ? this.#vessels.freeAt(load) : null;
        if (load && empty !== null) {
          hold = { by: 'vessel' };
          // What lies in it since an earlier step finds it taken however late it comes out.
          if (load.from < start) return null;
          start += Math.max(1, empty - load.from);
          continue;
        }
        return { start, end, hold, ...spared, ...(spells ? { spells } : {}), ...(load ? { load } : {}) };
      }
    }
    return null;
  }

  /** Minutes to clear a tool of its paint before another mix. */
  #clearing({ clearing }: { readonly clearing?: number }): Minute {
    return clearing ?? this.#changeover;
  }

  /** Set-up spared at a start: all of it right behind the same batch, some where the booth still holds its mix in this stay. */
  #spared({ setUp, mix }: Activity, start: Minute, stay: FreeInterval): Pick<Slot, 'saved' | 'across'> {
    if (!setUp) return NOTHING_SPARED;
    for (let i = this.#firstAfter(start) - 1; i >= 0 && this.#blocks[i].start >= stay.from - 1e-9; i--) {
      const { end, batch, mix: before } = this.#blocks[i];
      if (batch === setUp.batch && end >= start - 1e-6) return { saved: setUp.minutes, across: false };
      if (mix === undefined || setUp.again === undefined) return NOTHING_SPARED;
      if (before !== undefined) return batch === setUp.batch ? { saved: setUp.minutes - setUp.again, across: true } : NOTHING_SPARED;
    }
    return NOTHING_SPARED;
  }

  #clash(activity: Activity, start: Minute, end: Minute, stay: FreeInterval): Clash | null {
    const reach = this.#reach;
    const own = this.#clearing(activity);
    // Blocks never overlap: only what ends within reach of the start can be in the way.
    let first = this.#firstAfter(start);
    while (first > 0 && this.#blocks[first - 1].end + reach > start) first--;
    for (let i = first; i < this.#blocks.length; i++) {
      const block = this.#blocks[i];
      if (block.start >= end + reach) return this.#comesBetween(activity, i, stay);
      const other = activity.mix !== undefined && block.mix !== undefined && block.mix !== activity.mix;
      const [before, after] = other ? [this.#clearing(block), own] : [0, 0];
      if (block.end + before > start + 1e-9 && block.start < end + after - 1e-9) {
        return { id: block.id, freeAt: block.end + before, mixing: other && (block.end <= start || block.start >= end) };
      }
    }
    return null;
  }

  /**
   * Clearing the nozzle and taking up another paint is work of the same person: nothing else is done in those minutes, right before
   * the first coat of the other mix.
   */
  #changing(activity: Activity, start: Minute, end: Minute, stay: FreeInterval): Clash | null {
    const { mix } = activity;
    const next = this.#firstAfter(start);
    const own = this.#sprayedBefore(next, stay);
    const before = this.#blocks[next - 1];
    const cleared = own ? before.end + this.#clearing(own) : 0;
    if (mix !== undefined && own && own.mix !== mix && cleared > start + 1e-9) return { id: own.id, freeAt: cleared, mixing: true };
    const last = mix ?? own?.mix;
    const clearing = this.#clearing(mix === undefined ? (own ?? {}) : activity);
    const sprayed = last === undefined ? -1 : this.#sprayedAfter(next, stay);
    const other = this.#blocks[sprayed];
    if (!other || other.mix === last) return null;
    const until = sprayed === next ? end : this.#blocks[sprayed - 1].end;
    return until > other.start - clearing + 1e-9 ? { id: other.id, freeAt: other.end, mixing: true } : null;
  }

  /** The last block of a stay before a place in the line that uses the booth. */
  #sprayedBefore(next: number, stay: FreeInterval): Block | null {
    for (let i = next - 1; i >= 0 && this.#blocks[i].start >= stay.from - 1e-9; i--)
      if (this.#blocks[i].mix !== undefined) return this.#blocks[i];
    return null;
  }

  /** The place of the next block of a stay that uses the booth; -1: none. */
  #sprayedAfter(next: number, stay: FreeInterval): number {
    for (let i = next; i < this.#blocks.length && this.#blocks[i].start < stay.to; i++) if (this.#blocks[i].mix !== undefined) return i;
    return -1;
  }

  /** The booth is kept for the mix that a later block counts on. */
  #comesBetween({ mix }: Activity, from: number, stay: FreeInterval): Clash | null {
    if (mix === undefined) return null;
    const next = this.#blocks[this.#sprayedAfter(from, stay)];
    return next?.across && next.mix !== mix ? { id: next.id, freeAt: next.end + this.#clearing(next), mixing: true } : null;
  }

  #freeIndex(at: Minute): number {
    let [low, high] = [0, this.#free.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.#free[middle].to <= at) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  #firstAfter(start: Minute): number {
    let [low, high] = [0, this.#blocks.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.#blocks[middle].start <= start) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}
