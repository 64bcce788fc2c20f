import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILIES, type Hand } from '#core/facts/index';
import { amountAnswer, batchMl, coatAmount, coatMinutes, filmMl, mixFor, potLifeAt, reserveMl, sweepsMl, sweepsOf } from './index.ts';

const face = (longMm: number, shortMm: number, count = 1) => ({ longMm, shortMm, count });

/** Reckoned by hand from the figures of each tool: fan, overlap, overrun, speed, flow, efficiency. */
describe('by hand', () => {
  it('a gun over a 400 × 200 mm panel: four sweeps of 500 mm', () => {
    expect(sweepsOf(face(400, 200), 'gun')).toBe(4);
    expect(sweepsMl([face(400, 200)], 'gun')).toBeCloseTo(((4 * 500) / 300) * 2, 9);
    expect(filmMl([face(400, 200)], { filmUm: 10, solids: 0.14 }, 'gun')).toBeCloseTo((0.08 * 10) / 0.14 / 0.65, 9);
    expect(coatAmount([face(400, 200)], { filmUm: 10, solids: 0.14 }, 'gun').holds).toBe('sweeps');
  });
  it('an airbrush over a 60 × 20 mm side: four sweeps of 80 mm', () => {
    expect(sweepsOf(face(60, 20), 'airbrush')).toBe(4);
    expect(sweepsMl([face(60, 20)], 'airbrush')).toBeCloseTo(((4 * 80) / 100) * 0.05, 9);
    expect(filmMl([face(60, 20)], { filmUm: 9, solids: 0.17 }, 'airbrush')).toBeCloseTo((0.0012 * 9) / 0.17 / 0.55, 9);
  });
  it('an aerosol over a 1 × 0.5 m panel: the film needs more than eleven sweeps give', () => {
    const amount = coatAmount([face(1000, 500)], { filmUm: 18, solids: 0.18 }, 'aerosol');
    expect(amount.sweepsMl).toBeCloseTo((11 * 1100) / 300, 9);
    expect(amount.filmMl).toBeCloseTo((0.5 * 18) / 0.18 / 0.55, 9);
    expect(amount.holds).toBe('film');
  });
  it('holes are swept from two sides, and take twice the paint by sweeps and the time of it', () => {
    const sheet = face(300, 100);
    const perforated = { ...sheet, angles: 2 };
    for (const tool of ['aerosol', 'airbrush', 'gun'] as const) {
      expect(sweepsOf(perforated, tool)).toBe(2 * sweepsOf(sheet, tool));
      expect(sweepsMl([perforated], tool)).toBeCloseTo(2 * sweepsMl([sheet], tool), 9);
      expect(coatMinutes([perforated], tool, 0)).toBeCloseTo(2 * coatMinutes([sheet], tool, 0), 9);
      expect(filmMl([perforated], { filmUm: 12, solids: 0.1 }, tool)).toBe(filmMl([sheet], { filmUm: 12, solids: 0.1 }, tool));
    }
  });
  it('a brush wastes least, and a sheet with holes is reckoned by its area', () => {
    const film = { filmUm: 40, solids: 0.35 };
    expect(filmMl([face(100, 50)], film, 'brush')).toBeCloseTo((0.005 * 40) / 0.35 / 0.9, 9);
    expect(sweepsMl([face(100, 50)], 'brush')).toBe(0);
    expect(filmMl([{ ...face(100, 50), areaMm2: 2500 }], film, 'brush')).toBeCloseTo((0.0025 * 40) / 0.35 / 0.9, 9);
  });
  it('minutes at the bench are one a part and the sweeps themselves', () => {
    expect(coatMinutes([face(400, 200)], 'gun', 1)).toBeCloseTo(1 + (4 * 500) / 300 / 60, 9);
    expect(coatMinutes([face(100, 100)], 'brush', 3)).toBeCloseTo(3 + 2, 9);
  });
  it('never give more paint in a minute than the tool can', () => {
    const small = [face(30, 20)];
    expect(coatMinutes(small, 'aerosol', 1, 120)).toBeCloseTo(1 + 2, 9);
    expect(coatMinutes(small, 'airbrush', 1, 3)).toBeCloseTo(1 + 1, 9);
    expect(coatMinutes(small, 'aerosol', 1, 0.1)).toBe(coatMinutes(small, 'aerosol', 1));
  });
});

describe('whatever the piece', () => {
  const hand = fc.constantFrom<Exclude<Hand, 'brush'>>('aerosol', 'airbrush', 'gun');
  const side = fc.integer({ min: 1, max: 2000 });
  it('many alike faces take as many times one', () => {
    fc.assert(
      fc.property(hand, side, side, fc.integer({ min: 1, max: 40 }), (tool, a, b, count) => {
        const own = face(Math.max(a, b), Math.min(a, b));
        const film = { filmUm: 12, solids: 0.1 };
        const [one, many] = [coatAmount([own], film, tool), coatAmount([{ ...own, count }], film, tool)];
        expect(many.filmMl).toBeCloseTo(one.filmMl * count, 6);
        expect(many.sweepsMl).toBeCloseTo(one.sweepsMl * count, 6);
      }),
      { seed: 21, numRuns: 100 },
    );
  });
  it('a wider face never takes fewer sweeps, a thicker or thinner-bodied film never less paint', () => {
    fc.assert(
      fc.property(hand, side, side, fc.integer({ min: 0, max: 500 }), (tool, a, b, more) => {
        const [longMm, shortMm] = [Math.max(a, b), Math.min(a, b)];
        expect(sweepsOf(face(longMm + more, shortMm + more), tool)).toBeGreaterThanOrEqual(sweepsOf(face(longMm, shortMm), tool));
        const paint = (filmUm: number, solids: number) => filmMl([face(longMm, shortMm)], { filmUm, solids }, tool);
        expect(paint(12 + more, 0.1)).toBeGreaterThanOrEqual(paint(12, 0.1));
        expect(paint(12, 0.1)).toBeGreaterThanOrEqual(paint(12, 0.2));
      }),
      { seed: 22, numRuns: 100 },
    );
  });
  it('answers for every family with more in the can than on the piece', () => {
    for (const family of FAMILIES)
      for (const tool of ['aerosol', 'airbrush', 'gun'] as const) {
        const { ml, mlBatch, mlPerCoat, filmMl: film, sweepsMl: sweeps } = amountAnswer({ family, tool, faces: [face(120, 60)], coats: 3 });
        expect(mlPerCoat).toBe(Math.max(film, sweeps));
        expect(ml).toBeCloseTo(3 * mlPerCoat, 9);
        expect(mlBatch).toBeCloseTo((ml + 2) / 0.95, 9);
      }
    expect(batchMl(0)).toBeGreaterThan(2);
  });
});

describe('a mix', () => {
  const label = { thinning: { least: 0, usual: 0.3, most: 0.5 }, hardener: { parts: 0.5 } };
  it('has its parts in proportion, whatever is needed, and grows with the need', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 400, noNaN: true }), (needMl) => {
        const mix = mixFor({ needMl, label, own: 'urethane-2k' });
        const of = (what: string) => mix.parts.find((part) => part.what === what)?.ml ?? 0;
        expect(of('hardener')).toBeCloseTo(of('paint') * 0.5, 6);
        expect(of('reducer')).toBeCloseTo(of('paint') * 0.3, 6);
        expect(mix.ml).toBeCloseTo(needMl * 1.2, 6);
        expect(mix.cups).toBe(Math.max(1, Math.ceil(mix.ml / 30)));
      }),
      { seed: 23, numRuns: 100 },
    );
  });
  it('weighs a reducer lighter and a paint heavier than water', () => {
    const { parts } = mixFor({ needMl: 100, label, own: 'urethane-2k' });
    for (const part of parts) {
      if (part.what === 'paint') expect(part.grams).toBeGreaterThan(part.ml);
      if (part.what === 'reducer') expect(part.grams).toBeLessThan(part.ml);
    }
  });
  it('lives half as long for ten degrees more, longer in the cold, and says both', () => {
    expect([26, 18, 30, 20].map((celsius) => Math.floor(potLifeAt(120, celsius)))).toEqual([79, 137, 60, 120]);
    expect(Math.round(potLifeAt(120, 18))).toBe(138);
    const said = (celsius?: number) =>
      mixFor({ needMl: 10, label: { ...label, potLifeMin: 120 }, own: 'urethane-2k', ...(celsius === undefined ? {} : { celsius }) })
        .warnings;
    expect(said(26)).toEqual(['Everything of this mix is sprayed within 120 min at 20 °C, 79 min at 26 °C; never seal what is left.']);
    expect(said()).toEqual(['Everything of this mix is sprayed within 120 min at 20 °C; never seal what is left.']);
    expect(said(3)[0]).toContain('at 3 °C it does not harden');
  });
  it('is paint alone where the label names nothing else', () => {
    const mix = mixFor({ needMl: 10, label: {}, own: 'acrylic-lacquer' });
    expect(mix.parts.map((part) => part.what)).toEqual(['paint']);
    expect(mix).toMatchObject({ inductionMin: null, potLifeMin: null, warnings: [] });
  });
  it('keeps a jar of colours, not of primer or clear', () => {
    expect((['colour', 'metallic', 'clear', 'primer', 'fine-primer', 'filler-primer'] as const).map((role) => reserveMl(role, {}))).toEqual(
      [5, 5, 0, 0, 0, 0],
    );
  });
});
