import { HOUR, type Minute } from '#core/units/index';
import { airAt, type PlaceAir } from './climate.ts';

/** When the sun is on a place in the open. */

/** A sky no cloudier than this counts as sunny, %. */
const SUNNY_CLOUD = 30;
/** A start is looked for every quarter of an hour. */
const STEP: Minute = 15;
const LOOKED_AHEAD: Minute = 14 * 24 * HOUR;

export type Sunny = {
  readonly from: Minute;
  readonly to: Minute;
  /** Mean air over it, °C. */
  readonly airC: number;
};

/** Daylight under a clear sky; where nobody knows the cloud, `unknownSky` says what is taken. */
function isSunny(air: PlaceAir, at: Minute, unknownSky: boolean): boolean {
  if (!air.dark || airAt(air, at).dark) return false;
  const cloud = air.cloud?.[Math.floor((at - air.start) / HOUR)] ?? null;
  return cloud === null ? unknownSky : cloud <= SUNNY_CLOUD;
}

/** The soonest start from a moment on of so many minutes of sun on end; past what a forecast knows daylight has to do. null: none in two weeks. */
export function nextSun(air: PlaceAir, from: Minute, minutes: Minute): Minute | null {
  for (let at = from; at < from + LOOKED_AHEAD; at = Math.floor(at / STEP + 1) * STEP) {
    let lasts = 0;
    while (lasts < minutes && isSunny(air, at + lasts, true)) lasts += STEP;
    if (lasts >= minutes) return at;
    at += lasts;
  }
  return null;
}

/** Stretches of sun that a forecast promises from a moment on, none shorter than `least`. */
export function sunAhead(air: PlaceAir, from: Minute, least: Minute): Sunny[] {
  const end = air.start + air.tempC.length * HOUR;
  const spans: Sunny[] = [];
  for (let at = Math.ceil(from / STEP) * STEP; at < end; at += STEP) {
    const begins = at;
    let warmth = 0;
    for (; at < end && isSunny(air, at, false); at += STEP) warmth += airAt(air, at).airC;
    const steps = (at - begins) / STEP;
    if (at - begins >= least) spans.push({ from: begins, to: at, airC: warmth / steps });
  }
  return spans;
}
