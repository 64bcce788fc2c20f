import type { DoneEvent, LogEvent } from '#core/facts/index';
import { parseQuantity, toMinute } from '#core/units/index';

/** The longest one go at the bench can have taken, minutes: the limit of the log. */
const MOST_MINUTES = 2000;
/** More than this and something dried, or was fetched, in between. */
const MOST_TIMES_PLANNED = 3;

/** Minutes as typed: a bare number is minutes. Null while nothing is typed. */
export function readMinutes(text: string): { readonly minutes: number | null; readonly problem: string } {
  if (!text.trim()) return { minutes: null, problem: '' };
  const read = parseQuantity(text, 'duration', 'min');
  if (!read.ok) return { minutes: null, problem: read.mend };
  if (read.value < 0.5 || read.value > MOST_MINUTES)
    return { minutes: null, problem: 'Between half a minute and 33 hours: type what the work itself took.' };
  return { minutes: read.value, problem: '' };
}

/** The same entries with what they took in all, shared as the plan had them; as they are without it. */
export function withMinutes(events: readonly LogEvent[], minutes: number | null): LogEvent[] {
  if (minutes === null) return [...events];
  const done = events.filter((event): event is DoneEvent => event.kind === 'done');
  const planned = done.reduce((sum, { expected = 0 }) => sum + expected, 0);
  return events.map((event) => {
    if (event.kind !== 'done') return event;
    const share = planned > 0 ? (event.expected ?? 0) / planned : 1 / done.length;
    return { ...event, minutes: Math.round(minutes * share * 10) / 10 };
  });
}

/** Minutes since what was done before it, where they can have been this work alone: what it seems to have taken. */
export function seemsToHaveTaken(events: readonly LogEvent[], at: number, planned: number): number | null {
  const before = events.filter(({ kind }) => kind === 'done').map((event) => at - toMinute(event.at));
  const last = Math.min(...before.filter((minutes) => minutes > 0));
  return last >= 1 && last <= MOST_TIMES_PLANNED * planned ? Math.round(last) : null;
}
