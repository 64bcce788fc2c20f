import type { Facts, LogEvent } from '#core/facts/index';
import { DAY, type Minute, toMinute } from '#core/units/index';
import { byUrgency } from './dates/index.ts';

/** A workshop of so many pieces is planned at once, before anybody has waited. */
const PLANNED_AT_ONCE = 24;
/** Pieces of a larger one that are planned first. */
const FIRST_PIECES = 12;
/** What was worked on within so long may still hang, or have a window open. */
const LATELY = 14 * DAY;

/**
 * The pieces of a large workshop that are planned before the others: the one that is looked at, what was worked on lately and is not
 * finished, then by urgency; null for a small one, which is planned as a whole.
 */
export function firstPortion(facts: Facts, now: Minute, lookedAt?: string): readonly string[] | null {
  const { pieces } = facts;
  if (pieces.length <= PLANNED_AT_ONCE) return null;
  const lately = workedOn(facts.events, now);
  const rank = (id: string) => (id === lookedAt ? 0 : lately.has(id) ? 1 : 2);
  const open = pieces.filter((piece) => piece.id === lookedAt || (!piece.finished && !piece.held));
  return [...open]
    .sort((a, b) => rank(a.id) - rank(b.id) || byUrgency(a, b))
    .slice(0, FIRST_PIECES)
    .map(({ id }) => id);
}

/** Ids of the pieces that steps were done on lately; a step's key begins with its piece. */
function workedOn(events: readonly LogEvent[], now: Minute): ReadonlySet<string> {
  const ids = new Set<string>();
  for (const event of events)
    if (event.kind === 'done' && toMinute(event.at) > now - LATELY)
      for (const key of event.stepKeys) ids.add(key.slice(0, key.indexOf('.')));
  return ids;
}
