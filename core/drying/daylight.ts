import type { Place } from '#core/facts/index';
import { atLocal, HOUR, localMoment, type Minute } from '#core/units/index';
import { getPosition } from 'suncalc';

/** Daylight in the open: where the sun stands above the horizon (trade §12). */

type Position = NonNullable<Place['position']>;

/** A latitude in the midst of where people live, by the first word of a time zone. */
const LATITUDES: Readonly<Record<string, number>> = {
  Europe: 48,
  America: 38,
  Asia: 30,
  Africa: 5,
  Australia: -33,
  Atlantic: 40,
  Indian: -12,
  Pacific: -25,
  Arctic: 70,
  Antarctica: -75,
};
const ELSEWHERE = 40;
const DEGREES_AN_HOUR = 15;

/** Where a time zone lies, roughly: its winter offset gives the longitude, its part of the world the latitude. */
export function guessedPosition(timeZone: string, now: Minute): Position {
  const year = localMoment(now, timeZone).date.slice(0, 4);
  const offsets = ['01-01', '07-01'].map(
    (day) => Date.parse(`${year}-${day}T12:00:00Z`) / 60_000 - atLocal(`${year}-${day}`, 12 * HOUR, timeZone),
  );
  // Summer time stands an hour ahead of the sun: the smaller offset is the sun's.
  return { latitude: LATITUDES[timeZone.split('/')[0]] ?? ELSEWHERE, longitude: (Math.min(...offsets) / HOUR) * DEGREES_AN_HOUR };
}

/** Of each hour from `start` on, whether the sun is down at its beginning or its end. */
export function darkHours(start: Minute, hours: number, { latitude, longitude }: Position): boolean[] {
  const up = Array.from({ length: hours + 1 }, (_, hour) => {
    const date = new Date((start + hour * HOUR) * 60_000);
    return getPosition(date, latitude, longitude).altitude > 0;
  });
  return Array.from({ length: hours }, (_, hour) => !up[hour] || !up[hour + 1]);
}
