import { addDays, monthsFrom, toIso, toMinute } from '#core/units/index';
import type { WorkshopFile } from './file.ts';

const MOMENT = /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/;
const DATE = /^\d{4}-\d\d-\d\d$/;

type Shift = { readonly minutes: number; readonly days: number; readonly months: number };

/** The same file as if it had been written at `now`: moments move to the minute, bare dates by whole days, months by whole months. */
export function shiftFile(file: WorkshopFile, now: number): WorkshopFile {
  const minutes = Math.floor(now) - Math.floor(toMinute(file.writtenAt));
  const by: Shift = { minutes, days: Math.round(minutes / 1440), months: monthNumber(toIso(now)) - monthNumber(file.writtenAt) };
  return shift(file, by) as WorkshopFile;
}

function shift(value: unknown, by: Shift): unknown {
  if (typeof value === 'string') {
    if (MOMENT.test(value)) return toIso(toMinute(value) + by.minutes);
    return DATE.test(value) ? addDays(value, by.days) : value;
  }
  if (Array.isArray(value)) return value.map((item) => shift(item, by));
  if (value && typeof value === 'object') {
    return Object.fromEntries(
      Object.entries(value).map(([key, item]) => [key, key === 'month' ? shiftMonth(item, by.months) : shift(item, by)]),
    );
  }
  return value;
}

/** What was money of this month is money of this month again, on whatever day of it. */
function shiftMonth(month: unknown, months: number): unknown {
  if (typeof month !== 'string') return month;
  return monthsFrom(month, 1, months)[0];
}

/** Months since the year 0, of any date or moment. */
function monthNumber(date: string): number {
  return Number(date.slice(0, 4)) * 12 + Number(date.slice(5, 7)) - 1;
}
