import { familyDrying } from '#core/drying/index';
import type { Family } from '#core/facts/index';

/** How a film comes to take tape (trade §6, §9). */
export type TapeSafety = 'clock' | 'locked' | 'never';

/** Soft or fragile until cleared: tape goes on the cured, scuffed clear over them. */
const LOCKED: readonly Family[] = ['waterborne-base', 'candy'];

/** By the clock, under a locking clear first, or not at all. */
export function tapeSafety(family: Family): TapeSafety {
  if (LOCKED.includes(family)) return 'locked';
  return familyDrying(family).tape === null ? 'never' : 'clock';
}
