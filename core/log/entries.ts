import { type LogEvent, standingEvents } from '#core/facts/index';
import { type Minute, toMinute } from '#core/units/index';

export type LogEntry = { readonly event: LogEvent; readonly at: Minute; readonly undone: boolean };

/** The entries of a log by the time that counts, newest first: undos and corrections of time show on what they are about. */
export function entriesOf(events: readonly LogEvent[]): LogEntry[] {
  const standing = new Map(standingEvents(events).map((event) => [event.id, toMinute(event.at)]));
  return events
    .filter((event) => event.kind !== 'undo' && event.kind !== 'amend')
    .map((event) => ({ event, at: standing.get(event.id) ?? toMinute(event.at), undone: !standing.has(event.id) }))
    .sort((a, b) => b.at - a.at);
}
