import type { Workshop } from './workshop.ts';

type Weekly = Workshop['freeHours'];

/** Hours of the week with one stretch more: what overlaps or meets becomes one. The same list where that was free already. */
export function withFreeHour(hours: Weekly, added: Weekly[number]): Weekly {
  const meets = (own: Weekly[number]) => own.weekday === added.weekday && own.from <= added.to && added.from <= own.to;
  const met = hours.filter(meets);
  if (met.some(({ from, to }) => from <= added.from && added.to <= to)) return hours;
  const all = [...met, added];
  const joined = {
    weekday: added.weekday,
    from: all.map(({ from }) => from).reduce((first, from) => (from < first ? from : first)),
    to: all.map(({ to }) => to).reduce((last, to) => (to > last ? to : last)),
  };
  return [...hours.filter((own) => !meets(own)), joined].sort((a, b) => a.weekday - b.weekday || a.from.localeCompare(b.from));
}
