import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FINISH_GRITS, GOOD_RATIO, GRAIN_UM, GRITS, gritLadder, type NextCoat } from './index.ts';

describe('grit ladder', () => {
  it('is the shortest with every ratio at most two', () => {
    expect(gritLadder(240, 'fine-primer')?.grits).toEqual([240, 400]);
    expect(gritLadder(80, 'colour')?.grits).toEqual([80, 120, 180, 320, 600]);
    expect(gritLadder(400, 'fine-primer')?.grits).toEqual([400]);
  });
  it('takes a wider step only where the grits owned leave no other, and says so when none is left', () => {
    expect(gritLadder(80, 'epoxy', [80, 180])?.ratios[0]).toBeCloseTo(201 / 82, 3);
    expect(gritLadder(80, 'colour', [80, 800])).toBeNull();
  });
  it('never breaks the ratio and always ends where the next coat wants it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GRITS), fc.constantFrom(...(Object.keys(FINISH_GRITS) as NextCoat[])), (from, next) => {
        const ladder = gritLadder(from, next);
        if (!ladder) return;
        for (const ratio of ladder.ratios) expect(ratio).toBeLessThanOrEqual(GOOD_RATIO + 1e-9);
        expect(ladder.grits.at(-1)).toBeGreaterThanOrEqual(Math.min(FINISH_GRITS[next][0], from));
        expect(ladder.grits.every((grit) => GRAIN_UM[grit] !== undefined)).toBe(true);
      }),
      { seed: 3, numRuns: 200 },
    );
  });
});
