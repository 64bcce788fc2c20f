import fc from 'fast-check';
import { conditionsOf } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import { generatedFacts } from '#core/invented/index';
import { plan } from '#core/plan/index';
import { verifyPlan } from '#core/verify/index';
import { describe, expect, it } from 'vitest';

/** What holds for any job made up from a seed, with the paints thinned at random. */

const NOW = Date.UTC(2026, 11, 1, 18) / 60_000;
const RUNS = process.env.PROOF ? 80 : 8;

/** Every sheet thinned and hardened so much; cans cannot be. */
function thinned(facts: Facts, reducer: number, hardener: number): Facts {
  return {
    ...facts,
    workshop: [{ ...facts.workshop[0], hands: ['airbrush'] }],
    sheets: facts.sheets.map((sheet) => ({
      ...sheet,
      hand: 'airbrush' as const,
      form: 'bottle' as const,
      label: {
        ...sheet.label,
        thinning: { least: 0, usual: reducer, most: 3 },
        ...(hardener > 0 ? { hardener: { parts: hardener } } : {}),
      },
    })),
  };
}

const job = fc.record({ seed: fc.integer({ min: 1, max: 99_999 }), pieces: fc.integer({ min: 1, max: 3 }) });
const planned = (facts: Facts, datesOf?: readonly string[]) =>
  plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), ...(datesOf ? { datesOf } : {}) });

describe('any job', () => {
  it('leaves no bright steel in the open and no stripper past its dwell', () => {
    fc.assert(
      fc.property(job, ({ seed, pieces }) => {
        const facts = generatedFacts(pieces, seed, NOW);
        const result = planned(facts, []);
        const broken = verifyPlan(result, facts, conditionsOf(facts, NOW)).filter(({ rule }) => /rust|dwell|bare/.test(rule));
        expect(broken).toEqual([]);
        for (const step of result.steps) if (step.stage === 'strip-off' && step.placed) expect(step.minutes).toBeLessThan(24 * 60);
      }),
      { seed: 11, numRuns: RUNS },
    );
  });

  it('has two dates or a reason for none, and they never cross', () => {
    fc.assert(
      fc.property(job, ({ seed, pieces }) => {
        for (const piece of planned(generatedFacts(pieces, seed, NOW)).pieces) {
          const own = piece.steps.steps;
          if (own.length === 0) continue;
          expect(piece.likely === null).toBe(piece.noDateWhy !== null);
          if (piece.likely === null || piece.safe === null || piece.planned === null) continue;
          expect(piece.safe).toBeGreaterThanOrEqual(piece.likely);
          expect(piece.likely).toBeGreaterThanOrEqual(NOW);
        }
      }),
      { seed: 12, numRuns: Math.max(4, RUNS / 2) },
    );
  });

  it('takes paint, reducer and hardener that add up to what is sprayed, and buys no more than paint', () => {
    fc.assert(
      fc.property(
        job,
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        ({ seed, pieces }, reducer, hardener) => {
          const facts = thinned(generatedFacts(pieces, seed, NOW), reducer, hardener);
          const result = planned(facts, []);
          for (const { coat } of result.steps) {
            if (!coat) continue;
            expect(coat.paintMl + coat.reducerMl + coat.hardenerMl).toBeCloseTo(coat.ml, 6);
            if (coat.productId === undefined) continue;
            expect(coat.paintMl).toBeCloseTo(coat.ml / (1 + reducer + hardener), 6);
          }
          for (const need of result.needs) {
            const taken = result.steps.filter((step) => step.coat?.mix === need.mix && step.stopped === undefined);
            const paint = taken.reduce((sum, step) => sum + (step.coat?.paintMl ?? 0), 0);
            expect(need.neededMl).toBeGreaterThanOrEqual(paint - 0.1);
          }
        },
      ),
      { seed: 13, numRuns: RUNS },
    );
  });
});
