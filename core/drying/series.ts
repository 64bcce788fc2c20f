import type { AirSeries } from '#core/facts/index';
import { HOUR, type Minute, toMinute } from '#core/units/index';

/** Hourly air that a logger recorded or a forecast says, with the holes real ones have. */

/** A hole up to this long is bridged by a straight line, hours; longer ones fall back to the usual day. */
const BRIDGED_HOURS = 3;

/** Air of a series at a moment; null outside it and in holes longer than three hours. */
export function seriesAt(series: AirSeries, at: Minute): { tempC: number; rh: number } | null {
  const hour = (at - toMinute(series.start)) / HOUR;
  if (hour < 0 || hour > series.tempC.length - 1) return null;
  const [before, after] = [knownAround(series, Math.floor(hour), -1), knownAround(series, Math.ceil(hour), 1)];
  if (before === null || after === null || after - before > BRIDGED_HOURS + 1) return null;
  const share = after === before ? 0 : (hour - before) / (after - before);
  const between = (values: readonly (number | null)[]) => {
    const [from, to] = [values[before] as number, values[after] as number];
    return from + (to - from) * share;
  };
  return { tempC: between(series.tempC), rh: between(series.rh) };
}

/** Wind of a series in the hour of a moment, m/s; null where it says nothing of it. */
export function windAt(series: AirSeries, at: Minute): number | null {
  return series.windMs?.[hourOf(series, at)] ?? null;
}

/** Cloud of a series in the hour of a moment, % of the sky; null where it says nothing of it. */
export function cloudAt(series: AirSeries, at: Minute): number | null {
  return series.cloud?.[hourOf(series, at)] ?? null;
}

function hourOf({ start }: AirSeries, at: Minute): number {
  return Math.floor((at - toMinute(start)) / HOUR);
}

/** The nearest hour with both values, looking one way. */
function knownAround(series: AirSeries, from: number, step: 1 | -1): number | null {
  for (let hour = from; hour >= 0 && hour < series.tempC.length; hour += step)
    if (series.tempC[hour] !== null && series.rh[hour] !== null) return hour;
  return null;
}

/** What a forecast covers, said on the screen. */
export function seriesText(series: AirSeries, now: Minute): string {
  const hours = Math.floor((toMinute(series.start) + (series.tempC.length - 1) * HOUR - now) / HOUR);
  if (hours <= 0) return 'the forecast has run out, so the usual day stands in';
  const holes = series.tempC.filter((value) => value === null).length;
  return `the forecast stands in for ${hours} h${holes > 0 ? `, ${holes} h of it missing` : ''}`;
}
