import { conditionsOf } from '#core/drying/index';
import type { Decal, Facts, Layer } from '#core/facts/index';
import { clear, lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { plan } from '#core/plan/index';
import { DAY } from '#core/units/index';
import { describe, expect, it } from 'vitest';

const decal: Decal = {
  id: 'number',
  name: 'number 31',
  zoneId: 'all',
  after: 'colour',
  kind: 'printed',
  count: 1,
  spare: true,
  longMm: 30,
  shortMm: 8,
};
const water: Layer = {
  id: 'water',
  wanted: { family: 'water-acrylic', role: 'clear', name: 'water-type clear', lab: { l: 95, a: 0, b: 0 } },
  coats: 2,
  covers: 'all',
};
const planned = (over: readonly Layer[], kind: Decal['kind'] = 'printed') => {
  const own = part({ finish: 'bare', layers: [primer(), lacquer(), ...over], decals: [{ ...decal, kind }] });
  const facts: Facts = { ...shelf, pieces: [piece(own)] };
  return plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW), datesOf: [] });
};

describe('a home-printed decal', () => {
  it('is no ground for a lacquer clear, and the way on is said', () => {
    const { pieces, steps } = planned([clear]);
    expect(pieces[0].stopped).toContain('number 31');
    expect(pieces[0].stopped).toContain('Lay two water-type coats over it first');
    expect(steps.filter(({ coat, placed }) => coat?.role === 'clear' && placed)).toEqual([]);
  });
  it.each([
    ['water-type clear', [water]],
    ['lacquer clear over two water-type coats', [water, clear]],
  ])('bears %s, a day after it was laid', (_name, over) => {
    const { pieces, steps } = planned(over);
    expect(pieces[0].stopped).toBeUndefined();
    const laid = steps.find(({ acts }) => acts.includes('decal'))?.placed;
    const cleared = steps.find(({ coat }) => coat?.role === 'clear')?.placed;
    expect((cleared?.start ?? Number.NaN) - (laid?.end ?? Number.NaN)).toBeGreaterThanOrEqual(DAY - 0.01);
  });
  it('is gone round by whatever is scuffed before its clear', () => {
    const details = planned([water])
      .steps.filter(({ coat }) => coat?.role === 'clear')
      .map(({ detail }) => detail);
    expect(details[0]).toContain('round number 31 and never over it');
    expect(details[1]).not.toContain('number 31');
  });
  it('is another thing than a bought one, which a lacquer clear softens only', () => {
    expect(planned([clear], 'waterslide').pieces[0].stopped).toBeUndefined();
  });
});
