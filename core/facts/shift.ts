import { addDays, toIso, toMinute } from '#core/units/index';
import type { WorkshopFile } from './file.ts';

const MOMENT = /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/;
const DATE = /^\d{4}-\d\d-\d\d$/;

/** The same file as if it had been written at `now`: moments move to the minute, bare dates by whole days. */
export function shiftFile(file: WorkshopFile, now: number): WorkshopFile {
  const minutes = Math.floor(now) - Math.floor(toMinute(file.writtenAt));
  const days = Math.round(minutes / 1440);
  return shift(file, minutes, days) as WorkshopFile;
}

function shift(value: unknown, minutes: number, days: number): unknown {
  if (typeof value === 'string') {
    if (MOMENT.test(value)) return toIso(toMinute(value) + minutes);
    return DATE.test(value) ? addDays(value, days) : value;
  }
  if (Array.isArray(value)) return value.map((item) => shift(item, minutes, days));
  if (value && typeof value === 'object') {
    return Object.fromEntries(
      Object.entries(value).map(([key, item]) => [key, key === 'month' ? shiftMonth(item, days) : shift(item, minutes, days)]),
    );
  }
  return value;
}

/** A month moves to the one its first day comes to lie in. */
function shiftMonth(month: unknown, days: number): unknown {
  return typeof month === 'string' ? addDays(`${month}-01`, days).slice(0, 7) : month;
}
