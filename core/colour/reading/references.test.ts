import { AGEINGS, type Reference, REFERENCE_KINDS } from '#core/facts/index';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bestReference,
  besideWords,
  colourDifference,
  likeness,
  SHIFTS,
  shiftedBy,
  spotsApart,
  TOLERANCE_DELTA_E,
  trustOf,
  UNSURE_DELTA_E,
} from '../index.ts';

const reference = (more: Partial<Reference>): Reference => ({ id: 'r', kind: 'chip', where: 'on it', lab: { l: 50, a: 0, b: 0 }, ...more });
const lab = fc.record({
  l: fc.double({ min: 20, max: 80, noNaN: true }),
  a: fc.double({ min: 5, max: 30, noNaN: true }),
  b: fc.double({ min: 5, max: 30, noNaN: true }),
});

describe('a reference', () => {
  it('is good for what its kind tells: a photo with a card ±4, without ±8, paint that saw no light best', () => {
    expect(trustOf({ kind: 'photo-card' }).deltaE).toBe(UNSURE_DELTA_E.withCard);
    expect(trustOf({ kind: 'photo' }).deltaE).toBe(UNSURE_DELTA_E.without);
    for (const kind of REFERENCE_KINDS) expect(trustOf({ kind }).deltaE).toBeGreaterThanOrEqual(trustOf({ kind: 'hidden-spot' }).deltaE);
    expect(likeness(trustOf({ kind: 'hidden-spot', light: 'both' }).deltaE)).toBe('match');
    expect(likeness(trustOf({ kind: 'photo' }).deltaE)).toBe('other');
  });
  it('gains by a second light only what the eye compares', () => {
    for (const kind of REFERENCE_KINDS) {
      const [one, two] = [trustOf({ kind, light: 'lamp' }).deltaE, trustOf({ kind, light: 'both' }).deltaE];
      if (kind === 'photo' || kind === 'photo-card' || kind === 'code') expect(two).toBe(one);
      else expect(two).toBeLessThan(one);
    }
  });
  it('loses by every ageing, and says so', () => {
    for (const ageing of AGEINGS) {
      const own = trustOf({ kind: 'aged-spot', ageings: [ageing] });
      expect(own.deltaE).toBeGreaterThan(trustOf({ kind: 'aged-spot' }).deltaE);
      expect(own.because).toContain(ageing);
    }
    expect(trustOf({ kind: 'aged-spot', ageings: [...AGEINGS] }).deltaE).toBeGreaterThan(
      trustOf({ kind: 'aged-spot', ageings: ['faded'] }).deltaE,
    );
  });
  it('to go by is the surest that has been read', () => {
    const photo = reference({ id: 'photo', kind: 'photo' });
    const aged = reference({ id: 'aged', kind: 'aged-spot', ageings: ['faded'] });
    const { lab: _lab, ...unread } = reference({ id: 'hidden', kind: 'hidden-spot' });
    expect(bestReference([photo, aged, unread])?.id).toBe('aged');
    expect(bestReference([photo, aged, { ...unread, lab: { l: 1, a: 0, b: 0 } }])?.id).toBe('hidden');
    expect(bestReference([unread])).toBeUndefined();
    expect(bestReference([reference({ id: 'chip' }), reference({ id: 'good', kind: 'unfaded-example' })])?.id).toBe('good');
  });
});

describe('the spots of one piece', () => {
  const hidden = reference({ id: 'hidden', kind: 'hidden-spot', where: 'under the plate', lab: { l: 40, a: 30, b: 20 } });
  const lid = reference({ id: 'lid', kind: 'hidden-spot', where: 'inside the lid', lab: { l: 40.6, a: 30, b: 20 } });
  const faded = reference({ id: 'faded', kind: 'aged-spot', where: 'on the roof', lab: { l: 55, a: 22, b: 20 } });
  const { lab: _lab, ...unread } = reference({ id: 'unread' });
  it('say how far they are from each other, the farthest first, and whether that can be told', () => {
    const apart = spotsApart([hidden, lid, faded, unread]);
    expect(apart.map(({ one, other, told }) => [one.id, other.id, told])).toEqual([
      ['hidden', 'faded', true],
      ['lid', 'faded', true],
      ['hidden', 'lid', false],
    ]);
    expect(apart[0].deltaE).toBeCloseTo(colourDifference({ l: 40, a: 30, b: 20 }, { l: 55, a: 22, b: 20 }), 9);
    expect(apart[0].beside).toContain('darker');
  });
  it('are none where fewer than two were read', () => expect(spotsApart([hidden, unread])).toEqual([]));
});

describe('a step on purpose', () => {
  it('goes the way it says, and is small', () => {
    fc.assert(
      fc.property(lab, fc.constantFrom(...SHIFTS), (own, shift) => {
        const next = shiftedBy(own, shift);
        expect(besideWords(next, own)).toContain(shift);
        expect(colourDifference(next, own)).toBeLessThan(6);
      }),
      { seed: 5, numRuns: 200 },
    );
  });
  it('stops at black and at white', () => {
    expect(shiftedBy({ l: 1, a: 0, b: 0 }, 'darker').l).toBe(0);
    expect(shiftedBy({ l: 99, a: 0, b: 0 }, 'lighter').l).toBe(100);
  });
  it('is measured against a tolerance that widens', () => {
    expect(TOLERANCE_DELTA_E.exact).toBeLessThan(TOLERANCE_DELTA_E.near);
    expect(TOLERANCE_DELTA_E.near).toBe(2);
    expect(TOLERANCE_DELTA_E.family).toBe(5);
  });
});
