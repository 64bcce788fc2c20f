import { Temporal } from 'temporal-polyfill';

/** Dates as a person types them. */

export type DateOrder = 'day-first' | 'month-first';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/**
 * A typed date as YYYY-MM-DD, or null where it is none: "24.12.2026", "24/12", "12/24/2026" in the workshop's order,
 * "24 Dec", "Dec 24 2026", "2026-12-24". A year left out is the one that brings the date nearest to `today`.
 */
export function parseDate(text: string, order: DateOrder, today: string): string | null {
  const words: readonly string[] =
    text
      .trim()
      .toLowerCase()
      .match(/[a-z]+|\d+/g) ?? [];
  if (words.length < 2 || words.length > 3 || /[^\w\s.,/-]/.test(text)) return null;
  const month = words.findIndex((word) => monthOf(word) > 0);
  const [year, rest] = yearIn(words);
  if (month >= 0) {
    const days = rest.filter((word) => /^\d+$/.test(word));
    return days.length === 1 ? dated(year, monthOf(words[month]), Number(days[0]), today) : null;
  }
  const [first, second] = rest.map(Number);
  if (rest.length !== 2 || rest.some((word) => !/^\d+$/.test(word))) return null;
  const yearStands = words[0].length === 4;
  const dayFirst = !yearStands && order === 'day-first';
  return dayFirst ? dated(year, second, first, today) : dated(year, first, second, today);
}

/** A typed hour as HH:MM, or null where it is none: "19:30", "7.30 pm", "1930", "7 pm". */
export function parseClock(text: string): string | null {
  const [, hours, minutes = '00', half] = /^(\d{1,2})(?:[:.h]?(\d{2}))?\s*(am|pm)?$/.exec(text.trim().toLowerCase()) ?? [];
  const hour = Number(hours);
  if (hours === undefined || Number(minutes) > 59 || hour > (half ? 12 : 23) || (half && hour === 0)) return null;
  const of24 = half ? (hour % 12) + (half === 'pm' ? 12 : 0) : hour;
  return `${String(of24).padStart(2, '0')}:${minutes}`;
}

/** HH:MM as the workshop's clock says it: "19:30" or "7:30 pm". */
export function clockFigures(clock: string, hours: 12 | 24): string {
  if (hours === 24) return clock;
  const hour = Number(clock.slice(0, 2));
  return `${hour % 12 || 12}:${clock.slice(3)} ${hour < 12 ? 'am' : 'pm'}`;
}

/** A date in figures, in the workshop's order: "24.12.2026" or "12/24/2026". */
export function dateFigures(date: string, order: DateOrder): string {
  const [year, month, day] = date.split('-');
  return order === 'day-first' ? `${Number(day)}.${Number(month)}.${year}` : `${Number(month)}/${Number(day)}/${year}`;
}

function monthOf(word: string): number {
  return word.length < 3 ? 0 : MONTHS.indexOf(word.slice(0, 3)) + 1;
}

/** The year among the words, where there is one, and the others: four figures anywhere, or two at the end of three. */
function yearIn(words: readonly string[]): [number | null, string[]] {
  const long = words.findIndex((word) => /^\d{4}$/.test(word));
  const at = long >= 0 ? long : words.length === 3 ? 2 : -1;
  if (at < 0) return [null, [...words]];
  const figures = Number(words[at]);
  return [words[at].length === 2 ? 2000 + figures : figures, words.filter((_, index) => index !== at)];
}

function dated(year: number | null, month: number, day: number, today: string): string | null {
  try {
    if (year !== null) return Temporal.PlainDate.from({ year, month, day }, { overflow: 'reject' }).toString();
    const now = Temporal.PlainDate.from(today);
    const near = [now.year, now.year + 1, now.year - 1].map((own) =>
      Temporal.PlainDate.from({ year: own, month, day }, { overflow: 'reject' }),
    );
    const away = (date: Temporal.PlainDate) => Math.abs(now.until(date, { largestUnit: 'days' }).days);
    return near.reduce((best, date) => (away(date) < away(best) ? date : best)).toString();
  } catch {
    return null;
  }
}
