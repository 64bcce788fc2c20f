import { type EventOf, type LogEvent, standingEvents } from '#core/facts/index';
import { toMinute } from '#core/units/index';
import { HIDDEN_CONTRAST } from '../film.ts';

/** What inspections have taught of a product's hiding. */

const SEEN = new WeakMap<readonly LogEvent[], ReadonlyMap<string, number>>();

/**
 * Share of contrast one coat of a product lets through, as far as *the ground shows* has told: after n coats it did not hide yet,
 * so on the hardest ground it takes n + 1 (trade §2, §7). Undefined where no inspection has asked for one more coat.
 */
export function shareSeen(productId: string, events: readonly LogEvent[]): number | undefined {
  const known = SEEN.get(events) ?? sharesOf(standingEvents(events));
  SEEN.set(events, known);
  return known.get(productId);
}

function sharesOf(events: readonly LogEvent[]): ReadonlyMap<string, number> {
  const shares = new Map<string, number>();
  for (const event of events) {
    if (event.kind !== 'inspected' || event.outcome !== 'one-more') continue;
    for (const partId of event.partIds) {
      const laid = coatsBefore(event, partId, events);
      const productId = laid.at(-1)?.coat?.productId;
      if (productId === undefined) continue;
      // Between n coats, which did not hide, and n + 1, which are taken to.
      const share = HIDDEN_CONTRAST ** (1 / (laid.length + 0.5));
      shares.set(productId, Math.max(share, shares.get(productId) ?? 0));
    }
  }
  return shares;
}

function coatsBefore(seen: EventOf<'inspected'>, partId: string, events: readonly LogEvent[]): EventOf<'done'>[] {
  return events.filter(
    (event): event is EventOf<'done'> =>
      event.kind === 'done' &&
      event.pieceId === seen.pieceId &&
      event.coat?.layerId === seen.layerId &&
      event.on.some((on) => on.partId === partId) &&
      toMinute(event.at) <= toMinute(seen.at),
  );
}
