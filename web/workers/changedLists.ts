import type { Facts } from '#core/facts/index';

/** The lists of facts that are not the ones held; all of them where nothing is held yet. */
export function changedLists(facts: Facts, held: Facts | null): Partial<Facts> {
  if (!held) return facts;
  const names = Object.keys(facts) as (keyof Facts)[];
  return Object.fromEntries(names.filter((name) => facts[name] !== held[name]).map((name) => [name, facts[name]]));
}
