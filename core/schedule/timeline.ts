import type { Minute } from '#core/units/index';
import type { Activity, Allowed, FreeInterval, HoldKind } from './model.ts';

export type Block = { readonly id: string; readonly start: Minute; readonly end: Minute; readonly mix?: string };

export type Slot = {
  readonly start: Minute;
  readonly end: Minute;
  readonly scuff: boolean;
  readonly hold: { readonly by: HoldKind; readonly with?: string };
};

/** What the person is doing, in order of time. One attended activity at a time; two mixes in the booth keep their distance. */
export class Timeline {
  readonly #free: readonly FreeInterval[];
  readonly #changeover: number;
  readonly #blocks: Block[] = [];

  constructor(free: readonly FreeInterval[], changeover: number) {
    this.#free = free;
    this.#changeover = changeover;
  }

  add(block: Block): void {
    this.#blocks.splice(this.#firstAfter(block.start), 0, block);
  }

  remove(id: string): void {
    const index = this.#blocks.findIndex((block) => block.id === id);
    if (index >= 0) this.#blocks.splice(index, 1);
  }

  /** The earliest start inside the allowed stretches, not before `after`; null if there is none. */
  earliest(activity: Activity, allowed: readonly Allowed[], after: Minute): Slot | null {
    for (const span of allowed) {
      const minutes = activity.minutes + (span.scuffMinutes ?? 0);
      const from = Math.max(span.from, after);
      const slot = this.#inSpan(activity, minutes, from, span.to ?? Number.POSITIVE_INFINITY);
      if (slot) {
        const by = slot.start > from + 1e-6 ? slot.hold : { by: (span.from >= after ? 'window' : 'nothing') as HoldKind };
        return { ...slot, scuff: span.scuff ?? false, hold: by };
      }
    }
    return null;
  }

  #inSpan(activity: Activity, minutes: number, from: Minute, latestStart: Minute): Omit<Slot, 'scuff'> | null {
    let hold: Slot['hold'] = { by: 'calendar' };
    for (let i = this.#freeIndex(from); i < this.#free.length; i++) {
      const free = this.#free[i];
      if (free.from > latestStart) return null;
      let start = Math.max(from, free.from);
      if (start > from) hold = { by: 'calendar' };
      while (start + minutes <= free.to + 1e-9 && start <= latestStart + 1e-9) {
        const clash = this.#clash(activity, start, start + minutes);
        if (clash) {
          hold = { by: clash.mixing ? 'resource' : 'person', with: clash.id };
          start = clash.freeAt;
          continue;
        }
        const air = activity.nextAir ? activity.nextAir(start) : start;
        if (air === null) return null;
        if (air > start + 1e-9) {
          hold = { by: 'conditions' };
          start = air;
          continue;
        }
        return { start, end: start + minutes, hold };
      }
    }
    return null;
  }

  #clash(activity: Activity, start: Minute, end: Minute): { id: string; freeAt: Minute; mixing: boolean } | null {
    const reach = this.#changeover;
    for (let i = Math.max(0, this.#firstAfter(start - 24 * 60) - 1); i < this.#blocks.length; i++) {
      const block = this.#blocks[i];
      if (block.start >= end + reach) return null;
      const distance = activity.mix !== undefined && block.mix !== undefined && block.mix !== activity.mix ? reach : 0;
      if (block.end + distance > start + 1e-9 && block.start < end + distance - 1e-9) {
        return { id: block.id, freeAt: block.end + distance, mixing: distance > 0 && (block.end <= start || block.start >= end) };
      }
    }
    return null;
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
