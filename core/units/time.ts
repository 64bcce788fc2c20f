import { Temporal } from 'temporal-polyfill';
import { clockFigures } from './dates.ts';

/** A moment in whole or part minutes since 1970-01-01T00:00Z: the one time unit inside core. */
export type Minute = number;

export const HOUR = 60;
export const DAY = 1440;

/** ISO text with zone, as stored in facts, to minutes. */
export function toMinute(iso: string): Minute {
  return Date.parse(iso) / 60_000;
}

/** Minutes to ISO text in UTC, whole seconds. */
export function toIso(minute: Minute): string {
  return `${new Date(Math.round(minute * 60) * 1000).toISOString().slice(0, 19)}Z`;
}

/** The local calendar date (yyyy-mm-dd), ISO weekday (1 Monday) and minute of the day. */
export type LocalMoment = { readonly date: string; readonly weekday: number; readonly minuteOfDay: number };

const offsets = new Map<string, Map<number, number>>();

/** Offset of the zone from UTC in minutes at this moment; one look-up a zone and quarter hour, since zones change only there. */
function zoneOffset(at: Minute, timeZone: string): number {
  let known = offsets.get(timeZone);
  if (!known) {
    known = new Map();
    offsets.set(timeZone, known);
  }
  const quarter = Math.floor(at / 15);
  let offset = known.get(quarter);
  if (offset === undefined) {
    const instant = Temporal.Instant.fromEpochMilliseconds(quarter * 15 * 60_000);
    offset = instant.toZonedDateTimeISO(timeZone).offsetNanoseconds / 60e9;
    if (known.size > 20_000) known.clear();
    known.set(quarter, offset);
  }
  return offset;
}

/** The local reading of the clock and calendar at a moment. */
export function localMoment(at: Minute, timeZone: string): LocalMoment {
  const local = new Date((at + zoneOffset(at, timeZone)) * 60_000);
  return {
    date: local.toISOString().slice(0, 10),
    weekday: local.getUTCDay() || 7,
    minuteOfDay: local.getUTCHours() * 60 + local.getUTCMinutes(),
  };
}

/** The moment at which a local date reads this minute of the day; in a skipped hour, the first moment after it. */
export function atLocal(date: string, minuteOfDay: number, timeZone: string): Minute {
  const [hour, minute] = [Math.floor(minuteOfDay / 60), Math.floor(minuteOfDay % 60)];
  const plain = Temporal.PlainDate.from(date).toPlainDateTime({ hour: Math.min(hour, 23), minute });
  const zoned = plain.toZonedDateTime(timeZone);
  return zoned.epochMilliseconds / 60_000 + (hour > 23 ? 60 : 0);
}

/** The local date this many days later. */
export function addDays(date: string, days: number): string {
  return Temporal.PlainDate.from(date).add({ days }).toString();
}

/** "19:05" to minutes of the day. */
export function minuteOfDay(clock: string): number {
  const [hours, minutes] = clock.split(':').map(Number);
  return hours * 60 + minutes;
}

/** A bare date as a moment: noon UTC, which is that day nearly everywhere. */
export function noonOf(date: string): Minute {
  return toMinute(`${date}T12:00:00Z`);
}

/** So many months on end, the first of them `after` months from this one. @param month as 2026-12 */
export function monthsFrom(month: string, count: number, after = 0): string[] {
  const first = Temporal.PlainYearMonth.from(month).add({ months: after });
  return Array.from({ length: count }, (_, at) => first.add({ months: at }).toString());
}

/** A clock time in the person's way: "20:49" or "8:49 pm". */
export function clockText(at: Minute, timeZone: string, hours: 12 | 24 = 24): string {
  const { minuteOfDay: total } = localMoment(at, timeZone);
  const [hour, minute] = [Math.floor(total / 60), String(total % 60).padStart(2, '0')];
  return clockFigures(`${String(hour).padStart(2, '0')}:${minute}`, hours);
}

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** "3 Dec". */
export function dateText(at: Minute, timeZone: string): string {
  const { date } = localMoment(at, timeZone);
  return `${Number(date.slice(8))} ${MONTHS[Number(date.slice(5, 7)) - 1]}`;
}

/** "Dec 2026". @param month as 2026-12 */
export function monthText(month: string): string {
  return `${MONTHS[Number(month.slice(5, 7)) - 1]} ${month.slice(0, 4)}`;
}

/** "Thu 3 Dec". */
export function dayText(at: Minute, timeZone: string): string {
  return `${WEEKDAYS[localMoment(at, timeZone).weekday - 1]} ${dateText(at, timeZone)}`;
}

/** A clock time when it is today, day and clock time otherwise. */
export function momentText(at: Minute, now: Minute, timeZone: string, hours: 12 | 24 = 24): string {
  const today = localMoment(now, timeZone).date === localMoment(at, timeZone).date;
  return today ? clockText(at, timeZone, hours) : `${dayText(at, timeZone)} ${clockText(at, timeZone, hours)}`;
}

/** A length of time as a person says it: "35 min", "3 h", "about 2 days". */
export function durationText(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes));
  if (whole < 100) return `${whole} min`;
  if (whole < 36 * HOUR) return `${round(whole / HOUR)} h`;
  if (whole < 12 * DAY) return `${round(whole / DAY)} days`;
  return `${Math.round(whole / DAY / 7)} weeks`;
}

function round(value: number): number {
  return value < 10 ? Math.round(value * 2) / 2 : Math.round(value);
}
