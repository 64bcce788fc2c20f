import { describe, expect, it } from 'vitest';
import { reachOf } from './index.ts';

/** The reckoning behind short, lasts and to spare, at its edges. */

const reach = (neededMl: number, shelfMl: number, more: Partial<Parameters<typeof reachOf>[0]> = {}) =>
  reachOf({ neededMl, shelfMl, family: 'acrylic-lacquer', hand: 'aerosol', ...more });

describe('paint on the shelf', () => {
  it.each([
    [50, 60, 0, 10, 0.2],
    [50, 50, 0, 0, 0],
    [50, 40, 10, 0, -0.2],
    // Less than two drops is nothing to speak of.
    [50, 49.95, 0, 0, -0.001],
    [50, 49.8, 0.2, 0, -0.004],
    [0, 30, 0, 30, 0],
  ])('%d mL wanted of %d mL: %d short, %d to spare, a share of %d', (needed, have, shortMl, spareMl, spare) => {
    const own = reach(needed, have);
    expect(own.shortMl).toBeCloseTo(shortMl, 9);
    expect(own.spareMl).toBeCloseTo(spareMl, 9);
    expect(own.spare).toBeCloseTo(spare, 9);
  });
  it('is tight under 15 % over where it is texture or comes out of a bottle, and never where it is short', () => {
    const bottle = { hand: 'airbrush' as const };
    const texture = { family: 'texture' as const };
    for (const more of [bottle, texture]) {
      expect(reach(100, 114.9, more).tight).toBe(true);
      expect(reach(100, 115, more).tight).toBe(false);
      expect(reach(100, 90, more).tight).toBe(false);
      expect(reach(0, 5, more).tight).toBe(false);
    }
    expect(reach(100, 101).tight).toBe(false);
    expect(reach(100, 101, { hand: 'brush' }).tight).toBe(false);
  });
});
