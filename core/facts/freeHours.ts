import type { Workshop } from './workshop.ts';

type Weekly = Workshop['freeHours'];

/** Hours of the week with one stretch more: what overlaps or meets becomes one. The same list where that was free already. */
export function withFreeHour(hours: Weekly, added: Weekly[number]): Weekly {
  const meets = (own: Weekly[number]) => own.weekday === added.weekday && own.from <= added.to && added.from <= own.to;
  const met = hours.filter(meets);
  if (met.some(({ from, to }) => from <= added.from && added.to <= to)) return hours;
  const ends = [...met, added].flatMap(({ from, to }) => [from, to]).sort();
  const joined = { weekday: added.weekday, from: ends[0], to: ends[ends.length - 1] };
  return [...hours.filter((own) => !meets(own)), joined].sort((a, b) => a.weekday - b.weekday || a.from.localeCompare(b.from));
}
