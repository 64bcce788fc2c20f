import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Edge, newPart } from '#core/facts/index';
import { areaMm2 } from '#core/survey/index';
import { bestOrder, DIVISIONS, dividePart, maskMinutes, orderCost, type OrderZone } from './index.ts';

const white = { l: 95, a: 0, b: 1 };
const zone = (id: string, l: number, areaCm2 = 50, share = 0.3): OrderZone => ({
  id,
  name: id,
  family: 'acrylic-lacquer',
  lab: { l, a: 0, b: 0 },
  share,
  areaCm2,
});
const edge = (a: string, b: string, mm = 200): Edge => ({ a, b, mm, curve: 'straight' });

describe('the order of colours', () => {
  it('sprays light before dark where all else is equal', () => {
    const { order, runnerUp, because } = bestOrder([zone('dark', 20), zone('light', 90)], [edge('dark', 'light')], white);
    expect(order).toEqual(['light', 'dark']);
    expect(runnerUp?.order).toEqual(['dark', 'light']);
    expect(because).toContain('light');
  });
  it('breaks the rule where covering the light zone would cost more', () => {
    const { order } = bestOrder([zone('dark', 20, 4), zone('light', 90, 3000)], [edge('dark', 'light')], white);
    expect(order).toEqual(['dark', 'light']);
  });
  it('needs no mask between zones that never touch', () => {
    expect(bestOrder([zone('a', 20), zone('b', 90)], [], white).cost).toBe(0);
  });
  it('gives parts that add up, and finds the cheapest of all orders', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 5, max: 98 }), fc.integer({ min: 5, max: 400 })), { minLength: 2, maxLength: 4 }),
        fc.integer({ min: 0, max: 63 }),
        (made, links) => {
          const zones = made.map(([l, area], index) => zone(`z${index}`, l, area));
          const pairs = zones.flatMap((a, i) => zones.slice(i + 1).map((b) => edge(a.id, b.id, 150)));
          const edges = pairs.filter((_, index) => links & (1 << index));
          const answer = bestOrder(zones, edges, white);
          const sum = Object.values(answer.parts).reduce((a, b) => a + b, 0);
          expect(sum).toBeCloseTo(answer.cost, 6);
          for (const order of permutations(zones)) {
            const cost = Object.values(orderCost(order, edges, white)).reduce((a, b) => a + b, 0);
            expect(cost).toBeGreaterThanOrEqual(answer.cost - 1e-6);
          }
        },
      ),
      { seed: 8, numRuns: 120 },
    );
  });
  it('refuses more than twelve', () => {
    expect(() =>
      bestOrder(
        Array.from({ length: 13 }, (_, index) => zone(`z${index}`, 50)),
        [],
        white,
      ),
    ).toThrow(RangeError);
  });
  it('counts minutes by the metre and the curve', () => {
    expect(maskMinutes([{ mm: 1000, curve: 'straight' }], 100)).toEqual({ mask: 7, unmask: 2, cover: 2 });
    expect(maskMinutes([{ mm: 500, curve: 'double' }], 0).mask).toBe(10.5);
  });
});

describe('dividing a part', () => {
  const part = newPart({
    id: 'p',
    name: 'Body',
    material: 'zinc',
    faces: [{ id: 'f', zoneId: 'all', longMm: 120, shortMm: 48, count: 5, seen: true }],
  });
  let ids = 0;
  for (const { division } of DIVISIONS) {
    it(`keeps the area and lays one line: ${division}`, () => {
      const divided = dividePart(part, division, () => `n${++ids}`);
      expect(divided.zones).toHaveLength(2);
      expect(divided.edges).toHaveLength(1);
      expect(divided.edges[0].mm).toBeGreaterThan(50);
      expect(areaMm2(divided.faces)).toBeCloseTo(areaMm2(part.faces), -1);
    });
  }
});

function permutations<T>(list: readonly T[]): T[][] {
  if (list.length < 2) return [[...list]];
  return list.flatMap((item, index) => permutations([...list.slice(0, index), ...list.slice(index + 1)]).map((rest) => [item, ...rest]));
}
