import type { Material, StripMethod, Workshop } from '#core/facts/index';
import type { WorkSize } from '#core/units/index';
import { dwellOn, dwells, offMinutes, onMinutes, PRACTICE } from './practice.ts';

/** Whether a stripper can go on and come off in the hours a person has (trade §3, §12). */

/** The free hours of a week, and how long a stay is at most. */
export type Stays = Pick<Workshop, 'freeHours' | 'longestStay'>;

/** A long soak may be looked at after this: else no evening could begin and end it. */
export const EVENING_DWELL = 120;
/** Nothing that works in minutes lies on over night: scraped within one stay, or left on under film on purpose. */
const SAME_STAY = 240;
/** Least and most that is scraped at a time. */
const PATCH_MINUTES = { least: 20, most: 60 } as const;
/** Laid out, gloves on, and putting on: what a stay with a patch begins with. */
const BEGINS_WITH_MINUTES = 25;
const WEEK_MINUTES = 7 * 1440;

/**
 * From when to when one application comes off after it went on, minutes. Where hours are few a soak is looked at as soon as it is worth a look.
 * @param room what the longest usual stay leaves for the dwell, minutes
 */
export function dwellBounds(
  method: StripMethod,
  { least, usual, most }: { readonly least: number; readonly usual: number; readonly most: number },
  room: number,
): { readonly shortest: number; readonly longest: number } {
  const longest = PRACTICE[method].bath || usual >= SAME_STAY ? most : Math.min(most, SAME_STAY);
  return { shortest: Math.min(longest, Math.max(least, Math.min(usual, EVENING_DWELL, Math.floor(room)))), longest };
}

/** What the longest usual stay leaves for the dwell beside putting on and taking off, minutes. */
export function roomForDwell(onAndOff: number, stays: Stays): number {
  const week = weekOf(stays);
  return week.length === 0 ? EVENING_DWELL : longestOf(week) - BEGINS_WITH_MINUTES - onAndOff;
}

function longestOf(week: readonly { readonly from: number; readonly to: number }[]): number {
  return Math.max(60, ...week.map(({ from, to }) => to - from));
}

/**
 * A bath is emptied at one go; what is scraped goes by patches, so many that each goes on, works and comes off within the longest usual stay.
 * @param off minutes of scraping in all
 */
export function patchesOf(method: StripMethod, size: WorkSize, off: number, stays: Stays, dwellMinutes: number): number {
  if (PRACTICE[method].bath) return 1;
  const longest = longestOf(weekOf(stays)) - BEGINS_WITH_MINUTES;
  const dwell = Math.min(dwellMinutes, EVENING_DWELL);
  const least = Math.max(1, Math.ceil(off / PATCH_MINUTES.most));
  const most = Math.max(least, Math.ceil(off / PATCH_MINUTES.least));
  for (let patches = least; patches < most; patches++) {
    if (onMinutes(method, size) / patches + dwell + Math.max(5, off / patches) <= longest) return patches;
  }
  return most;
}

/** True where one application goes on and comes off within a stay, or on in one and off in another in time; true without a weekly habit. */
export function fitsStays(method: StripMethod, material: Material, size: WorkSize, stays: Stays): boolean {
  const week = weekOf(stays);
  if (!dwells(method) || week.length === 0) return true;
  const dwell = dwellOn(method, material);
  const patches = patchesOf(method, size, offMinutes(method, size), stays, dwell.usual);
  const off = offMinutes(method, size) / patches;
  const { shortest, longest } = dwellBounds(method, dwell, roomForDwell(onMinutes(method, size) / patches + off, stays));
  const on = BEGINS_WITH_MINUTES / 2 + onMinutes(method, size) / patches;
  return week.some((begun) =>
    [...week, ...week.map(({ from, to }) => ({ from: from + WEEK_MINUTES, to: to + WEEK_MINUTES }))].some((ended) => {
      const soonest = ended.from === begun.from ? 0 : ended.from - begun.to;
      const latest = ended.to - off - (begun.from + on);
      return begun.to - begun.from >= on && soonest >= 0 && soonest <= longest && latest >= shortest;
    }),
  );
}

/** Stays of a week in minutes from its first midnight. */
function weekOf({ freeHours, longestStay = Number.POSITIVE_INFINITY }: Stays): { from: number; to: number }[] {
  return freeHours.map(({ weekday, from, to }) => {
    const start = (weekday - 1) * 1440 + minutesOf(from);
    return { from: start, to: Math.min(start + longestStay, (weekday - 1) * 1440 + minutesOf(to)) };
  });
}

function minutesOf(clock: string): number {
  return Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));
}
