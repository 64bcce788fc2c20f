import type { Place } from '#core/facts/index';
import { DAY, type Minute } from '#core/units/index';
import { guessedPosition } from './daylight.ts';

/** The air a kind of place usually has until a reading says more: mean and swing in °C, mean humidity in %. Defaults. */
export const USUAL_AIR: Record<Place['kind'], Pick<Place, 'heated' | 'meanC' | 'swingC' | 'meanRh'>> = {
  room: { heated: true, meanC: 19, swingC: 1.5, meanRh: 52 },
  shed: { heated: false, meanC: 15, swingC: 3, meanRh: 60 },
  balcony: { heated: false, meanC: 14, swingC: 5, meanRh: 62 },
  outdoors: { heated: false, meanC: 13, swingC: 5, meanRh: 65 },
};

/** A place of this kind with its usual air; nobody sleeps there and no sensor speaks. */
export function usualPlace(id: string, name: string, kind: Place['kind']): Place {
  return { id, name, kind, sleptIn: false, hasSensor: false, ...USUAL_AIR[kind] };
}

/** What is usual in a place on average over a day, and whose word it is: the person's, by month or for the year, or where it stands. */
export type UsualAir = { readonly c: number; readonly rh: number; readonly from: 'months' | 'year' | 'position' };

/** How much warmer a place is than the open beside it where nothing heats it, °C. */
const SHELTER_C: Record<Place['kind'], number> = { room: 4, shed: 2, balcony: 1, outdoors: 0 };
/** Coldest in the third week of January, in months from New Year. */
const COLDEST_MONTH = 0.65;
/** Points of humidity by which winter lies over the mean of the year where nothing heats, and summer under it. */
const WINTER_DAMP = 8;

/**
 * The usual air of a place on a day. Heated it is the same all the year. Unheated, and with nothing typed, it follows from the latitude:
 * mean of the year 28 − 0.0073 φ² °C at sea level, 0.19 φ either side of it from July to January (trade §8; default).
 * @param month months since New Year, 0 to 12, as 11.5 in the middle of December
 */
export function usualAir(place: Place, month: number, timeZone: string, now: Minute): UsualAir {
  if (place.usual) return { ...betweenMonths(place.usual, month), from: 'months' };
  if (place.heated || hasOwnMean(place)) return { c: place.meanC, rh: place.meanRh, from: 'year' };
  const { latitude } = place.position ?? guessedPosition(timeZone, now);
  const north = latitude >= 0 ? 1 : -1;
  const winter = north * Math.cos(((month - COLDEST_MONTH) / 12) * 2 * Math.PI);
  const mean = 28 - 0.0073 * latitude ** 2 + SHELTER_C[place.kind];
  return { c: mean - 0.19 * Math.abs(latitude) * winter, rh: Math.min(100, place.meanRh + WINTER_DAMP * winter), from: 'position' };
}

/** Somebody has said what is usual there over the year. */
function hasOwnMean({ kind, meanC, meanRh }: Place): boolean {
  return meanC !== USUAL_AIR[kind].meanC || meanRh !== USUAL_AIR[kind].meanRh;
}

/** From the middle of one month to the middle of the next. */
function betweenMonths(usual: NonNullable<Place['usual']>, month: number): { c: number; rh: number } {
  const since = (month - 0.5 + 12) % 12;
  const [one, other] = [usual[Math.floor(since) % 12], usual[(Math.floor(since) + 1) % 12]];
  const share = since - Math.floor(since);
  return { c: one.c + share * (other.c - one.c), rh: one.rh + share * (other.rh - one.rh) };
}

/** Months since New Year, as 11.5 in the middle of December. */
export function monthOf(at: Minute): number {
  const date = new Date(at * 60_000);
  const start = Date.UTC(date.getUTCFullYear(), date.getUTCMonth(), 1) / 60_000;
  const end = Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 1) / 60_000;
  return date.getUTCMonth() + (at - start) / Math.max(DAY, end - start);
}
