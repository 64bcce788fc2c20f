import type { Minute } from '#core/units/index';
import { type DryingPlaces, fits } from './hanging.ts';
import type { Activity, Problem } from './model.ts';

/** What is missing, and what would help. */
export function whyNot(group: readonly Activity[], { free, now, drying }: Problem): string {
  if (free.length === 0) return 'no hour of the week is free: add one under Workshop';
  const never = group.find((activity) => activity.nextAir?.(now, activity.minutes) === null);
  if (never) return never.neverWhy ?? 'the air where you spray never lets this paint on: warm it, dry it, or choose another place';
  if (drying && group.some((activity) => tooLarge(activity, drying.places, now)))
    return 'no place where films dry takes so many, or one so long: say under Workshop where it could hang';
  const longest = Math.floor(Math.max(...free.map((span) => span.to - span.from)));
  const needed = Math.ceil(group.reduce((sum, activity) => sum + activity.minutes, 0));
  const room = `the longest free stay has ${longest} min`;
  const awaited = needed <= longest ? lastAwaited(group, now) : undefined;
  if (awaited) return `${awaited}, and by then its window has shut: have it here sooner, or free an hour that lies in the window`;
  if (group.length > 1)
    return needed > longest
      ? `${needed} min of work share a window and must be done in one stay, and ${room}: free a longer one`
      : `its ${group.length} steps share a window that no free stay is long enough for, waits counted in, and ${room}: free a longer one`;
  if (needed > longest) return `it takes ${needed} min at a stretch, and ${room}: free a longer one`;
  return 'its window shuts before the next free stay: free an hour that lies in it';
}

/** What the last of them waits for from outside, in words: a purchase, a parcel. */
function lastAwaited(group: readonly Activity[], now: Minute): string | undefined {
  const waiting = group.filter(({ notBefore = 0, notBeforeWhy }) => notBefore > now && notBeforeWhy !== undefined);
  return waiting.sort((a, b) => (b.notBefore ?? 0) - (a.notBefore ?? 0))[0]?.notBeforeWhy;
}

/** Whether it finds no place even where nothing else hangs. */
function tooLarge({ hangs }: Activity, places: DryingPlaces, now: Minute): boolean {
  const spells = hangs?.(now, now, () => now) ?? [];
  return !fits(
    spells.map(({ copies }) => copies),
    places,
  );
}
