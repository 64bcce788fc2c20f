import { lacquer, part, planOf, primer, shelf } from '#core/invented/index';
import type { Placed } from '#core/schedule/index';
import { describe, expect, it } from 'vitest';
import { paintNeeds } from './paintNeeds.ts';

/** What is needed of a paint: its coats, and a nozzle cleared and a rest left for each batch. */

const { steps } = planOf(part({ layers: [primer(), lacquer(4)] }));
const colour = steps.filter((step) => step.coat?.layerId === 'colour');
const BASE = 30_000_000;
const needs = (starts: readonly number[]) => {
  const placed = new Map(colour.map((step, index) => [step.id, { start: BASE + starts[index], end: BASE + starts[index] + 5 } as Placed]));
  const [need] = paintNeeds(colour, placed, shelf);
  return need;
};

describe('coats of one paint', () => {
  const together = needs([0, 10, 20, 30]);
  it('count what is sprayed, whatever their evenings', () => {
    const sprayed = colour.reduce((sum, step) => sum + (step.coat?.paintMl ?? 0), 0);
    for (const starts of [
      [0, 10, 20, 30],
      [0, 10, 2000, 2010],
      [0, 2000, 4000, 6000],
    ])
      expect(needs(starts).coatsMl).toBeCloseTo(sprayed, 9);
  });
  it.each([0, 90, 180, 270, 350, 355])('of one sitting are one batch, at any hour it begins (%i min on)', (later) => {
    expect(needs([0, 10, 20, 30].map((minute) => minute + later)).neededMl).toBeCloseTo(together.neededMl, 9);
  });
  it.each([
    ['an evening apart', [0, 10, 1440, 1450], 1],
    ['six hours and a minute apart', [0, 10, 371, 381], 1],
    ['six hours apart, just one sitting', [0, 10, 370, 380], 0],
    ['each on its own evening', [0, 1440, 2880, 4320], 3],
    ['in no order of the steps', [1450, 0, 1440, 10], 1],
  ])('%s clear one nozzle more each time', (_name, starts, more) => {
    const one = needs([0, 10, 20, 1440]).neededMl - together.neededMl;
    expect(one).toBeGreaterThan(1);
    expect(needs(starts).neededMl).toBeCloseTo(together.neededMl + more * one, 6);
  });
  it('without a date count as one batch a piece', () => {
    expect(paintNeeds(colour, new Map(), shelf)[0].neededMl).toBeCloseTo(together.neededMl, 9);
  });
});
