import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Cut, MASK_SHAPES, newPart } from '#core/facts/index';
import { type Laid, type Nest, nested, shapesToCut, templateSvg, type Wanted } from './index.ts';

const stars = (count: number, mm = 12): Wanted => ({ id: 'stars', name: 'Stars', shape: 'star', mm, count });
const laidOut = (wanted: readonly Wanted[], width: number): Nest => {
  const nest = nested(wanted, width);
  if ('refused' in nest) throw new Error(nest.refused);
  return nest;
};
const overlap = (one: Laid, other: Laid) =>
  one.xMm < other.xMm + other.wideMm - 1e-6 &&
  other.xMm < one.xMm + one.wideMm - 1e-6 &&
  one.yMm < other.yMm + other.tallMm - 1e-6 &&
  other.yMm < one.yMm + one.tallMm - 1e-6;

describe('shapes on tape', () => {
  it('lie in rows: thirteen stars of 12 mm, three across on tape of 50 mm, five rows', () => {
    const nest = laidOut([stars(13)], 50);
    expect(new Set(nest.laid.map(({ xMm }) => xMm)).size).toBe(3);
    expect(nest.lengthMm).toBeCloseTo(5 * 14 + 2, 9);
    expect(nest.waste).toBeCloseTo(1 - (13 * 144) / (50 * 72), 9);
  });
  it('are turned where that takes less tape: numbers of 20 mm lie down on tape of 25 mm', () => {
    const nest = laidOut([{ id: 'n', name: 'Numbers', shape: 'number', mm: 20, count: 3 }], 25);
    expect(nest.laid.every(({ turned }) => turned)).toBe(true);
    expect(nest.lengthMm).toBeCloseTo(3 * 14 + 2, 9);
  });
  it('larger than the tape are refused, with what to do', () => {
    expect(nested([stars(2, 60)], 50)).toEqual({ refused: expect.stringMatching(/60 mm across.*wider film/) });
    expect(nested([stars(500, 45)], 50)).toEqual({ refused: expect.stringContaining('several sets') });
  });
  it('of a part are counted over its copies, with a spare, and those put together again are left out', () => {
    const cut = (id: string, of: string, more: Partial<Cut> = {}): Cut => ({
      id,
      of,
      how: 'shapes',
      numbers: { shape: 'star', count: 6, longMm: 8 },
      at: '2026-11-01T10:00:00Z',
      into: [`${id}-rest`, `${id}-stars`].map((zone) => ({ id: zone, name: zone })),
      ...more,
    });
    const part = newPart({
      id: 'p',
      name: 'Sides',
      material: 'steel',
      copies: 2,
      faces: [{ id: 'f', zoneId: 'all', longMm: 200, shortMm: 90, count: 2, seen: true }],
      cuts: [cut('a', 'all', { merged: true }), cut('b', 'all')],
    });
    expect(shapesToCut(part)).toEqual([{ id: 'b', name: 'b-stars', shape: 'star', mm: 8, count: 13 }]);
  });
  it('never overlap, all lie on the tape, and none is lost', () => {
    const wanted = fc.array(
      fc.record({ shape: fc.constantFrom(...MASK_SHAPES), mm: fc.integer({ min: 3, max: 40 }), count: fc.integer({ min: 1, max: 14 }) }),
      { minLength: 1, maxLength: 4 },
    );
    fc.assert(
      fc.property(wanted, fc.constantFrom(50, 100, 210), (made, width) => {
        const asked = made.map((own, index) => ({ ...own, id: `s${index}`, name: `s${index}` }));
        const nest = laidOut(asked, width);
        expect(nest.laid).toHaveLength(asked.reduce((sum, { count }) => sum + count, 0));
        for (const [index, one] of nest.laid.entries()) {
          expect(one.xMm).toBeGreaterThanOrEqual(0);
          expect(one.xMm + one.wideMm).toBeLessThanOrEqual(width + 1e-6);
          expect(one.yMm + one.tallMm).toBeLessThanOrEqual(nest.lengthMm + 1e-6);
          for (const other of nest.laid.slice(index + 1)) expect(overlap(one, other)).toBe(false);
        }
      }),
      { seed: 31, numRuns: process.env.PROOF ? 1000 : 100 },
    );
  });
});

describe('the cutting template', () => {
  const nest = laidOut([stars(4)], 50);
  const svg = templateSvg(nest, 'Tram & “body” <1>');
  it('is at true size: a millimetre of its drawing is a millimetre on paper', () => {
    const size = /width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg)?.slice(1).map(Number) ?? [];
    expect(size).toHaveLength(4);
    expect([size[0], size[1]]).toEqual([size[2], size[3]]);
    const first = /<path d="M([\d. L-]+) Z"/.exec(svg)?.[1] ?? '';
    const points = first.split(' L').map((point) => point.trim().split(' ').map(Number));
    const ys = points.map(([, y]) => y);
    expect(points).toHaveLength(10);
    // Five points of a star 12 mm across reach from its tip to 0.809 of the radius below its middle.
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(6 + 6 * Math.cos(Math.PI / 5), 2);
  });
  it('has a ruler of 50 mm to lay a real one beside, and bears any name', () => {
    expect(svg).toContain('M50 ');
    expect(svg).toContain('>50 mm<');
    expect(svg).toContain('Tram &#38; “body” &#60;1&#62;');
  });
  it('draws every shape', () => {
    const all = MASK_SHAPES.map((shape) => ({ id: shape, name: shape, shape, mm: 14, count: 2 }));
    expect(templateSvg(laidOut(all, 50), 'all').match(/stroke="#000000" stroke-width="0.1"/g)).toHaveLength(10);
  });
});
