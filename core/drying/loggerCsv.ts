import Papa from 'papaparse';
import { HOUR, type Minute, toIso, toMinute } from '#core/units/index';

/** A CSV file of a real logger: a time, a temperature and a humidity column under any of their usual names. */

export type Logged =
  | { readonly ok: true; readonly start: string; readonly tempC: (number | null)[]; readonly rh: (number | null)[]; readonly rows: number }
  | { readonly ok: false; readonly error: string; readonly mend: string };

const TIME = /time|date|zeit|stamp/i;
const TEMPERATURE = /temp|°c|celsius|°f/i;
const HUMIDITY = /hum|rh|feucht/i;
const MOST_HOURS = 24 * 400;

/** Reads a logger's file into whole hours, each the mean of its readings; hours without one are holes. */
export function readLoggerCsv(text: string): Logged {
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true });
  const column = (name: RegExp) => meta.fields?.find((field) => name.test(field));
  const [time, temperature, humidity] = [column(TIME), column(TEMPERATURE), column(HUMIDITY)];
  if (!time || !temperature || !humidity)
    return refuse('The file lacks a column of time, temperature or humidity.', 'Name its columns time, temperature and humidity.');
  const fahrenheit = /°f|fahrenheit/i.test(temperature);
  const readings = data.flatMap((row) => {
    const at = toMinute(isoLike(row[time] ?? ''));
    const [degrees, rh] = [number(row[temperature]), number(row[humidity])];
    if (!Number.isFinite(at) || degrees === null || rh === null) return [];
    const tempC = fahrenheit ? ((degrees - 32) * 5) / 9 : degrees;
    // A broken sensor's figures are holes, not weather.
    return tempC < -40 || tempC > 60 || rh < 1 || rh > 100 ? [] : [{ at, tempC, rh }];
  });
  if (readings.length === 0)
    return refuse('No row has a time, a temperature and a humidity that can be read.', 'A time reads like 2026-12-01 19:00.');
  const first = Math.floor(Math.min(...readings.map(({ at }) => at)) / HOUR);
  const last = Math.floor(Math.max(...readings.map(({ at }) => at)) / HOUR);
  if (last - first >= MOST_HOURS) return refuse('The file spans more than 400 days.', 'Cut it to the last year.');
  const hours = Array.from({ length: last - first + 1 }, () => ({ tempC: 0, rh: 0, count: 0 }));
  for (const { at, tempC, rh } of readings) {
    const hour = hours[Math.floor(at / HOUR) - first];
    hour.tempC += tempC;
    hour.rh += rh;
    hour.count++;
  }
  const mean = (key: 'tempC' | 'rh') => hours.map((hour) => (hour.count === 0 ? null : Math.round((hour[key] / hour.count) * 10) / 10));
  return { ok: true, start: toIso((first * HOUR) as Minute), tempC: mean('tempC'), rh: mean('rh'), rows: readings.length };
}

function refuse(error: string, mend: string): Logged {
  return { ok: false, error, mend };
}

/** "2026-12-01 19:00" and "01.12.2026 19:00" as ISO; a time without zone is taken as UTC. */
function isoLike(text: string): string {
  const european = /^(\d{1,2})[./](\d{1,2})[./](\d{4})[ T](\d{1,2}:\d{2})/.exec(text.trim());
  const iso = european
    ? `${european[3]}-${european[2].padStart(2, '0')}-${european[1].padStart(2, '0')}T${european[4].padStart(5, '0')}`
    : text.trim().replace(' ', 'T');
  return /(Z|[+-]\d\d:?\d\d)$/.test(iso) ? iso : `${iso.length === 16 ? `${iso}:00` : iso}Z`;
}

function number(text = ''): number | null {
  // A word is no figure: without a digit nothing was measured.
  if (!/\d/.test(text)) return null;
  const value = Number(text.replace(',', '.').replace(/[^\d.-]/g, ''));
  return Number.isFinite(value) ? value : null;
}
