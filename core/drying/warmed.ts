import type { Minute } from '#core/units/index';
import type { DryingClocks } from './climate.ts';
import { dryingRate } from './clock.ts';
import type { Mechanism } from './familyRow.ts';

/** A stretch in which a film is warmer than the air it hangs in: a low oven, full sun, a warm room (trade §8). */
export type WarmSpell = {
  readonly from: Minute;
  readonly to: Minute;
  /** The part's own surface, °C. */
  readonly surfaceC: number;
};

/** Warm dry air is taken neither to help nor to hinder what dries by coalescence, % RH. */
const REFERENCE_RH = 50;

/** A wait: where, by which mechanism, since when, and how many reference hours. */
export type Wait = { readonly placeId: string; readonly mechanism: Mechanism; readonly from: Minute; readonly hours: number };

/**
 * When a wait is over that goes through warm spells: on the clock of the place outside them, at the rate of the film's own surface
 * inside. @returns null where it never is
 */
export function reachedWarmed(
  clocks: DryingClocks,
  { placeId, mechanism, from, hours }: Wait,
  spells: readonly WarmSpell[],
): Minute | null {
  let [at, left] = [from, hours];
  for (const { from: begins, to, surfaceC } of [...spells].sort((a, b) => a.from - b.from)) {
    if (to <= at) continue;
    const start = Math.max(at, begins);
    const before = clocks.progress(placeId, mechanism, at, start);
    if (before >= left) break;
    const rate = dryingRate(mechanism, surfaceC, REFERENCE_RH) / 60;
    const during = rate * (to - start);
    if (before + during >= left) return start + (left - before) / rate;
    [at, left] = [to, left - before - during];
  }
  return clocks.reached(placeId, mechanism, at, left);
}
