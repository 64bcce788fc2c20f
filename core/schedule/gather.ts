import type { Minute } from '#core/units/index';
import { stayIndex } from './calendar.ts';
import type { Activity, Placed, Problem, Schedule } from './model.ts';

/** Less set-up than this is not worth waiting for anybody. */
const WORTH_GATHERING: Minute = 5;

/**
 * Batches that one stay holds in pieces: an activity, and what readies its mate, which comes after it. Were the first to wait until
 * its mate is ready too, both would go in one.
 */
export function batchesApart({ activities, gaps, free }: Problem, { placed }: Schedule): [string, string][] {
  const readies = new Map<string, readonly string[]>();
  for (const { from, to } of gaps) readies.set(to, [...(readies.get(to) ?? []), ...from]);
  const stayOf = (at: Minute) => stayIndex(free, at);
  const batches = new Map<string, { readonly own: Placed; readonly activity: Activity }[]>();
  for (const activity of activities) {
    const own = placed.get(activity.id);
    if (!own || (activity.setUp?.minutes ?? 0) < WORTH_GATHERING) continue;
    const key = `${stayOf(own.start)} ${activity.setUp?.batch}`;
    batches.set(key, [...(batches.get(key) ?? []), { own, activity }]);
  }
  return [...batches.values()].flatMap((batch) => {
    const [first, ...others] = batch.sort((a, b) => a.own.start - b.own.start);
    return others.flatMap(({ own, activity }): [string, string][] => {
      if (own.saved >= (activity.setUp?.minutes ?? 0)) return [];
      const before = (readies.get(activity.id) ?? []).flatMap((id) => placed.get(id) ?? []).sort((a, b) => b.start - a.start)[0];
      return before && before.start >= first.own.start && before.id !== first.own.id ? [[first.own.id, before.id]] : [];
    });
  });
}
