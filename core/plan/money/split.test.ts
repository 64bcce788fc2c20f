import { generatedFacts, NOW, withShops } from '#core/invented/index';
import { conditionsOf } from '#core/drying/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plan } from '../plan.ts';
import { splitExactly } from '#core/units/index';
import { purchaseShares } from './split.ts';
import { unservedOf } from './unserved.ts';

/** A can shared by several pieces is paid by them to the cent. */

describe('a sum shared out', () => {
  it('adds up to itself, each share within a cent of its part', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1_000_000 }),
        fc.array(fc.double({ min: 0, max: 1e5, noNaN: true }), { minLength: 1, maxLength: 12 }),
        (total, weights) => {
          const shares = splitExactly(total, weights);
          const sum = weights.reduce((all, own) => all + own, 0);
          expect(shares.reduce((all, own) => all + own, 0)).toBe(total);
          for (const [at, share] of shares.entries())
            expect(Math.abs(share - (sum > 0 ? (total * weights[at]) / sum : total / weights.length))).toBeLessThan(1.001);
        },
      ),
    );
  });
  it('gives the odd cent to who lost most, the first of equals', () => {
    expect(splitExactly(100, [1, 1, 1])).toEqual([34, 33, 33]);
    expect(splitExactly(10, [0, 0])).toEqual([5, 5]);
    expect(splitExactly(101, [2, 1])).toEqual([67, 34]);
  });
  it('of all that is bought, deliveries and what is mixed in counted, leaves nothing over', () => {
    for (let seed = 1; seed <= 8; seed++) {
      const facts = withShops(generatedFacts(4, seed, NOW), seed);
      const { purchases, wants, pieces } = plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
      const shares = purchaseShares(purchases, wants);
      expect([...shares.values()].reduce((sum, { minor }) => sum + minor, 0)).toBe(
        purchases.total + unservedOf(purchases, wants).reduce((sum, { about }) => sum + (about ?? 0), 0),
      );
      for (const { pieceId, money } of pieces) expect(money.planned).toBeGreaterThanOrEqual(shares.get(pieceId)?.minor ?? 0);
    }
  });
});
