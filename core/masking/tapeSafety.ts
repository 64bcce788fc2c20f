import { familyDrying } from '#core/drying/index';
import type { Family } from '#core/facts/index';

/** How a film comes to take tape (trade §6, §9). */
export type TapeSafety = 'clock' | 'locked' | 'never';

/** Soft or fragile until cleared: tape goes on the cured, scuffed clear over them. */
const LOCKED: readonly Family[] = ['waterborne-base', 'candy'];

/** By the clock, under a locking clear first, or not at all. @param heatSet it is set by heat before anything touches it */
export function tapeSafety(family: Family, heatSet = false): TapeSafety {
  if (LOCKED.includes(family)) return 'locked';
  return familyDrying(family).tape === null && !heatSet ? 'never' : 'clock';
}
