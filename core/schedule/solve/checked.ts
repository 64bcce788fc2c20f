import { apartOf, holdingsOf } from './conflicts.ts';
import type { Instance, Starts } from './instance.ts';

/** What a schedule breaks, asked of each constraint by itself: nothing here knows how it was found. */

/** The first constraint that starts break, in words; null: they are a schedule. */
export function brokenBy(instance: Instance, starts: Starts): string | null {
  const { work, waits, free, capacity } = instance;
  const end = (at: number) => starts[at] + work[at].minutes;
  for (const [at, own] of work.entries()) {
    if (starts[at] < (own.notBefore ?? 0)) return `${own.id} starts before it may`;
    if (own.notAfter !== undefined && end(at) > own.notAfter) return `${own.id} ends after it must`;
    if (own.attended && !free.some((span) => span.from <= starts[at] && end(at) <= span.to)) return `${own.id} lies outside the free hours`;
    for (let other = at + 1; other < work.length; other++) {
      const apart = apartOf(instance, at, other);
      if (apart !== null && starts[other] < end(at) + apart && starts[at] < end(other) + apart) return `${own.id} meets ${work[other].id}`;
    }
  }
  for (const { from, to, allowed } of waits) {
    const waited = starts[to] - end(from);
    if (!allowed.some(({ min, max }) => waited >= min && (max === null || waited <= max)))
      return `${work[to].id} comes at the wrong time after ${work[from].id}`;
  }
  for (const [resource, units] of capacity) {
    const holdings = holdingsOf(resource, instance);
    for (const { first } of holdings) {
      const at = starts[first];
      const held = holdings.reduce((sum, own) => sum + (starts[own.first] <= at && at < end(own.last) ? own.units : 0), 0);
      if (held > units) return `${resource} is overfull at ${at}`;
    }
  }
  return null;
}
