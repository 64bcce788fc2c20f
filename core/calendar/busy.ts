import { atLocal, DAY, joinedSpans, type Minute, type Span } from '#core/units/index';
import ICAL from 'ical.js';
import { startNear } from './series.ts';

/** Busy time out of an iCalendar file: single events, whole days and series with their exceptions, as stretches of real minutes. */

export type BusySpan = Span;
export type BusyRead =
  | {
      readonly ok: true;
      readonly spans: readonly BusySpan[];
      /** Events that fell into the time looked at. */
      readonly events: number;
      readonly notes: readonly string[];
    }
  | { readonly ok: false; readonly mend: string };

export type BusyQuestion = {
  readonly text: string;
  /** Looked at from here until there. */
  readonly from: Minute;
  readonly to: Minute;
  /** Of the workshop: for events that name no zone. */
  readonly timeZone: string;
};

/** Occurrences of one series that are followed: what has more before its time comes is said to be cut. */
const MOST_OCCURRENCES = 20_000;
export const MOST_BUSY_SPANS = 4000;

export function readBusy({ text, from, to, timeZone }: BusyQuestion): BusyRead {
  const notes = new Set<string>();
  let spans: BusySpan[];
  try {
    const events = calendarsIn(text).flatMap((calendar) => calendar.getAllSubcomponents('vevent'));
    spans = seriesOf(events).flatMap((event) => occurrences(event, { from, to, timeZone, notes }));
  } catch {
    return { ok: false, mend: 'This is no readable calendar: export it as an iCalendar file (.ics) and choose that.' };
  }
  const within = spans.filter((span) => span.to > from && span.from < to);
  const joined = joinedSpans(within);
  if (joined.length > MOST_BUSY_SPANS)
    return { ok: false, mend: `More than ${MOST_BUSY_SPANS} busy stretches: export a calendar of fewer months.` };
  return { ok: true, spans: joined, events: within.length, notes: [...notes] };
}

function calendarsIn(text: string): ICAL.Component[] {
  const parsed: unknown = ICAL.parse(text.replace(/^\uFEFF/, ''));
  // One calendar, or several one after the other.
  const all = Array.isArray(parsed) && Array.isArray(parsed[0]) ? parsed : [parsed];
  const calendars = all.map((own) => new ICAL.Component(own as [string]));
  if (calendars.some(({ name }) => name !== 'vcalendar')) throw new TypeError('not a calendar');
  return calendars;
}

/** Each event by itself or with the exceptions to its series; what is cancelled or marked free leaves the time free. */
function seriesOf(components: readonly ICAL.Component[]): ICAL.Event[] {
  const masters = components.filter((own) => !own.hasProperty('recurrence-id'));
  const uidOf = (own: ICAL.Component) => String(own.getFirstPropertyValue('uid') ?? '');
  const exceptions = new Map<string, ICAL.Component[]>();
  for (const own of components)
    if (own.hasProperty('recurrence-id')) exceptions.set(uidOf(own), [...(exceptions.get(uidOf(own)) ?? []), own]);
  return masters.filter(takesTime).map((own) => {
    const uid = uidOf(own);
    // Left to look for them itself, each event would go through the whole calendar.
    return new ICAL.Event(own, { exceptions: uid === '' ? [] : (exceptions.get(uid) ?? []) });
  });
}

function takesTime(component: ICAL.Component): boolean {
  const word = (name: string) => String(component.getFirstPropertyValue(name) ?? '').toUpperCase();
  return word('transp') !== 'TRANSPARENT' && word('status') !== 'CANCELLED' && component.hasProperty('dtstart');
}

type Looking = { readonly from: Minute; readonly to: Minute; readonly timeZone: string; readonly notes: Set<string> };

function occurrences(event: ICAL.Event, looking: Looking): BusySpan[] {
  if (!event.isRecurring()) return [spanOf(event.startDate, event.endDate, zoneOf(event), looking)];
  const found: BusySpan[] = [];
  const series = event.iterator(startNear(event, looking.from));
  for (let count = 0; count < MOST_OCCURRENCES; count++) {
    const next = series.next();
    if (!next) return found;
    const { item, startDate, endDate } = event.getOccurrenceDetails(next);
    const zone = zoneOf(item);
    if (minuteOf(startDate, zone, looking) >= looking.to + DAY) return found;
    if (takesTime(item.component)) found.push(spanOf(startDate, endDate, zone, looking));
  }
  looking.notes.add(
    `“${event.summary ?? 'A series'}” repeats more than ${MOST_OCCURRENCES} times: its later days are not taken. Let it begin this year.`,
  );
  return found;
}

/** The zone an event names for its start, whether the file describes that zone or not. */
function zoneOf({ component }: ICAL.Event): string | undefined {
  return component.getFirstProperty('dtstart')?.getFirstParameter('tzid') || undefined;
}

function spanOf(start: ICAL.Time, end: ICAL.Time, zone: string | undefined, looking: Looking): BusySpan {
  const from = minuteOf(start, zone, looking);
  return { from, to: Math.max(from, minuteOf(end, zone, looking)) };
}

/** Real time of a time in a file: by its zone, or as the clock in the workshop shows it where it names none. */
function minuteOf(time: ICAL.Time, zone: string | undefined, { timeZone, notes }: Looking): Minute {
  if (!Number.isFinite(time.toUnixTime())) throw new RangeError('A date of it cannot be read.');
  const date = `${time.year}-${String(time.month).padStart(2, '0')}-${String(time.day).padStart(2, '0')}`;
  const minutes = time.isDate ? 0 : time.hour * 60 + time.minute;
  if (time.zone === ICAL.Timezone.utcTimezone) return Math.floor(time.toUnixTime() / 60);
  if (!zone || time.isDate) return atLocal(date, minutes, timeZone);
  if (isZone(zone)) return atLocal(date, minutes, zone);
  if (time.zone?.component) return Math.floor(time.toUnixTime() / 60);
  notes.add(`The time zone “${zone}” is not known: its events are taken as the clock here shows them.`);
  return atLocal(date, minutes, timeZone);
}

function isZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}
