import { clear, lacquer, part, planOf, primer } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { estimateOf } from './estimate.ts';
import { failingCoats, reworkCost } from './forecast.ts';

/** The safe end of a price: rework is normal. */

/** By adding up the chances themselves. */
function quantile(coats: number): number {
  const choose = (n: number, k: number): number => (k === 0 ? 1 : (choose(n - 1, k - 1) * n) / k);
  let sum = 0;
  for (let k = 0; k <= coats; k++) {
    sum += choose(coats, k) * (1 / 12) ** k * (11 / 12) ** (coats - k);
    if (sum >= 0.9) return k;
  }
  return coats;
}

describe('coats that fail', () => {
  it('are the 90 % quantile of one in twelve', () => {
    for (let coats = 0; coats <= 60; coats++) expect([coats, failingCoats(coats)]).toEqual([coats, quantile(coats)]);
    expect([failingCoats(0), failingCoats(1), failingCoats(2), failingCoats(12)]).toEqual([0, 0, 1, 2]);
  });
  it('cost the mean of all, each', () => {
    expect(reworkCost([])).toBe(0);
    expect(reworkCost([100, 300])).toBe(200);
  });
  it('put the forecast above what is planned, never below', () => {
    const result = planOf(part({ layers: [primer(), lacquer(3), clear] }));
    const [{ money }] = result.pieces;
    expect(money.forecast).toBeGreaterThan(money.total);
    expect(planOf(part({ layers: [] })).pieces[0].money.forecast).toBe(planOf(part({ layers: [] })).pieces[0].money.total);
  });
});

describe('an estimate', () => {
  const result = planOf(part({ layers: [primer(), lacquer(2), clear] }));
  const own = estimateOf(result.pieces[0], result.steps);
  it('says likely and safe price and date, hours and stays, all from the plan', () => {
    const [{ money, likely, safe, sessions, attendedMinutes }] = result.pieces;
    expect([own.likely, own.safe, own.sessions]).toEqual([likely, safe, sessions]);
    // All of its paint stands on the shelf: it costs nobody a purchase, and whoever it is for what it is worth.
    expect([money.toBuy, own.likelyPrice]).toEqual([0, money.total + money.paintAhead]);
    expect(own.safePrice - own.likelyPrice).toBe(money.forecast - money.total);
    expect(own.hours).toBeCloseTo(attendedMinutes / 60, 0);
  });
  it('names the coats in their order, each once', () => {
    expect(own.work.filter(({ what }) => what === 'coats').map(({ text }) => text)).toEqual([
      '2 coats of fine primer, grey',
      '2 coats of acrylic lacquer, white',
      '2 coats of clear lacquer, satin',
    ]);
  });
});
