import { type LogEvent, standingEvents } from '#core/facts/index';
import { type Minute, toMinute } from '#core/units/index';

export type LogEntry = { readonly event: LogEvent; readonly at: Minute; readonly undone: boolean };

/** The entries of a log by the time that counts, newest first: undos and corrections show on what they are about. */
export function entriesOf(events: readonly LogEvent[]): LogEntry[] {
  const standing = new Map(standingEvents(events).map((event) => [event.id, event]));
  return events
    .filter((event) => event.kind !== 'undo' && event.kind !== 'amend')
    .map((event) => {
      const counts = standing.get(event.id);
      return { event: withMinutesOf(event, counts), at: toMinute((counts ?? event).at), undone: counts === undefined };
    })
    .sort((a, b) => b.at - a.at);
}

/** As it was entered, with the minutes that were said since. */
function withMinutesOf(event: LogEvent, counts: LogEvent | undefined): LogEvent {
  return event.kind === 'done' && counts?.kind === 'done' && counts.minutes !== undefined ? { ...event, minutes: counts.minutes } : event;
}
