import { DAY, HOUR, type Minute } from '#core/units/index';
import type ICAL from 'ical.js';

/** Where to begin with a series that runs since long ago: it is followed from near the time looked at, not from its first day. */

/** Lengths of what repeats by the clock on the wall, in minutes. */
const PERIODS: Readonly<Record<string, Minute>> = { MINUTELY: 1, HOURLY: HOUR, DAILY: DAY, WEEKLY: 7 * DAY };
/** Whole days past midnight, zones and what an exception has moved lie within this. */
const MARGIN = 3 * DAY;

/**
 * A start in step with the series, a whole number of its intervals after the first; its own first where it counts its days, names
 * single ones, or repeats by months or years.
 * @param from minutes since 1970 that its occurrences are looked at from
 */
export function startNear({ component, startDate, endDate }: ICAL.Event, from: Minute): ICAL.Time {
  const rules = component.getAllProperties('rrule').map((own) => own.getFirstValue() as ICAL.Recur);
  const [rule] = rules;
  const period = rules.length === 1 && !component.hasProperty('rdate') && !rule.count ? PERIODS[rule.freq] : undefined;
  if (period === undefined) return startDate;
  const step = period * Math.max(1, rule.interval);
  const begun = onTheWall(startDate);
  const lasts = Math.max(0, onTheWall(endDate) - begun);
  const steps = Math.floor((from - lasts - MARGIN - begun) / step);
  if (steps <= 0) return startDate;
  const start = startDate.clone();
  const ahead = steps * step;
  if (start.isDate) start.adjust(Math.round(ahead / DAY), 0, 0, 0);
  else start.adjust(Math.floor(ahead / DAY), 0, ahead % DAY, 0);
  return start;
}

/** Minutes of the date and hour as they stand, whatever the zone. */
function onTheWall({ year, month, day, hour, minute, isDate }: ICAL.Time): Minute {
  return Date.UTC(year, month - 1, day, isDate ? 0 : hour, isDate ? 0 : minute) / 60_000;
}
