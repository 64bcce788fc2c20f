import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clearToBuild, coatsToHide, finestRelief, reliefEffect } from '#core/coats/index';
import { amountAnswer, batchMl, coatAmount } from './index.ts';

const casting = Array.from({ length: 5 }, () => ({ longMm: 75, shortMm: 30 }));

describe('amounts', () => {
  it('meets the worked casting: film 4.5 mL, sweeps 5.8 mL, sweeps hold', () => {
    const amount = coatAmount(casting, { filmUm: 12, solids: 0.1 }, 'aerosol');
    expect(amount.filmMl).toBeCloseTo(4.5, 1);
    expect(amount.sweepsMl).toBeCloseTo(5.8, 1);
    expect(amount.holds).toBe('sweeps');
    expect(amount.mlPerCoat).toBe(amount.sweepsMl);
  });
  it('adds the nozzle and what never comes out', () => {
    expect(batchMl(17.5)).toBeCloseTo(19.5 / 0.95, 6);
    expect(amountAnswer({ family: 'acrylic-lacquer', tool: 'aerosol', faces: casting, coats: 3 }).ml).toBeCloseTo(17.5, 1);
  });
  it('lays about 1.7 m² of one coat from a 400 mL lacquer can on panels', () => {
    const panel = [{ longMm: 1300, shortMm: 1300 }];
    expect(coatAmount(panel, { filmUm: 12, solids: 0.1 }, 'aerosol').filmMl).toBeLessThan(400);
  });
  it('is linear in coats and never falls when a face grows', () => {
    const side = fc.integer({ min: 1, max: 900 });
    fc.assert(
      fc.property(side, side, fc.integer({ min: 0, max: 300 }), fc.integer({ min: 1, max: 8 }), (long, short, more, coats) => {
        const [longMm, shortMm] = [Math.max(long, short), Math.min(long, short)];
        const small = amountAnswer({ family: 'alkyd-enamel', tool: 'aerosol', faces: [{ longMm, shortMm }], coats });
        const longer = amountAnswer({ family: 'alkyd-enamel', tool: 'aerosol', faces: [{ longMm: longMm + more, shortMm }], coats });
        expect(small.ml).toBeCloseTo(small.mlPerCoat * coats, 9);
        expect(longer.ml).toBeGreaterThanOrEqual(small.ml - 1e-9);
      }),
      { seed: 4, numRuns: 300 },
    );
  });
});

describe('film and hiding', () => {
  const white = { l: 95, a: 0, b: 0 };
  it('counts coats to hide by the rule', () => {
    expect(coatsToHide(white, { l: 15, a: 0, b: 0 }, 0.1).coats).toBe(2);
    expect(coatsToHide({ l: 15, a: 0, b: 0 }, { l: 80, a: 10, b: 80 }, 0.6).coats).toBe(7);
    expect(coatsToHide(white, white, 0.4).coats).toBe(1);
    expect(coatsToHide(white, { l: 50, a: 60, b: 40 }, 0.5, 2).coats).toBeLessThan(coatsToHide(white, { l: 50, a: 60, b: 40 }, 0.5).coats);
  });
  it('meets the worked clear to build', () => {
    expect(clearToBuild([1500, 2000, 3000], true, true)).toMatchObject({ coats: 4 });
    expect(clearToBuild([1500, 2000, 3000], true, true).um).toBeCloseTo(40.5, 1);
    expect(clearToBuild([1500, 2000, 3000], true, false)).toMatchObject({ um: 23.5, coats: 2 });
  });
  it('warns of drowned relief', () => {
    expect(finestRelief(76)).toBe(100);
    expect(finestRelief(undefined)).toBeNull();
    expect(reliefEffect(134, 100).text).toBe('fine detail will fill');
    expect(reliefEffect(20, 100).text).toBe('detail stays crisp');
  });
});
