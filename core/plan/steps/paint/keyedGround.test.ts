import { conditionsOf } from '#core/drying/index';
import type { Facts, Family, Layer, Part } from '#core/facts/index';
import { NOW, part, piece, primer, shelf } from '#core/invented/index';
import { plan, type PlannedStep } from '#core/plan/index';
import { sense } from '#core/verify/index';
import { describe, expect, it } from 'vitest';

const paint = (id: string, family: Family, role: 'colour' | 'clear', covers: Layer['covers'], coats = 2): Layer => ({
  id,
  wanted: { family, role, name: id, lab: { l: role === 'clear' ? 95 : 60, a: 0, b: 0 } },
  coats,
  covers,
});
const ZONES: Pick<Part, 'zones' | 'edges' | 'faces'> = {
  zones: [
    { id: 'all', name: 'Body' },
    { id: 'stripe', name: 'Stripe' },
  ],
  edges: [{ a: 'all', b: 'stripe', mm: 120, curve: 'straight' }],
  faces: [
    { id: 'body', zoneId: 'all', longMm: 100, shortMm: 80, count: 1, seen: true },
    { id: 'band', zoneId: 'stripe', longMm: 100, shortMm: 10, count: 1, seen: true },
  ],
};
/** A colour, the first clear over it, a masked stripe on that, and a clear over all. */
const striped = (ground: Family) => {
  const layers = [
    primer(),
    paint('grey', 'acrylic-lacquer', 'colour', 'all'),
    paint('first clear', ground, 'clear', 'all'),
    paint('red', 'acrylic-lacquer', 'colour', ['stripe']),
    paint('last clear', 'acrylic-lacquer', 'clear', 'all'),
  ];
  const own = part({ ...ZONES, finish: 'bare', layers });
  const facts: Facts = { ...shelf, pieces: [piece(own)] };
  const conditions = conditionsOf(facts, NOW);
  const whole = plan({ facts, now: NOW, conditions, datesOf: [] });
  return { ...whole, findings: sense(whole, facts, conditions) };
};
const at = (step: PlannedStep | undefined) => step?.placed?.start ?? Number.NaN;

describe('a cleared ground under masked graphics', () => {
  it('is scuffed before the tape, all over, and never again beside the graphics', () => {
    const { steps, pieces, findings } = striped('urethane-2k');
    expect(pieces[0].stopped).toBeUndefined();
    const keyed = steps.filter(({ acts, title }) => acts.includes('scuff') && title.includes('first clear'));
    expect(keyed.map(({ title }) => title)).toEqual(['Scuff the first clear']);
    const mask = steps.find(({ stage }) => stage === 'mask');
    expect(at(keyed[0])).toBeLessThan(at(mask));
    expect(at(keyed[0])).toBeGreaterThan(at(steps.find(({ coat }) => coat?.name === 'first clear')) + 16 * 60);
    const later = steps.filter(({ coat }) => coat && ['red', 'last clear'].includes(coat.layerId));
    expect(later.map(({ placed }) => placed?.scuff)).toEqual([false, false, false, false]);
    expect(findings).toEqual([]);
  });
  it('takes no scuff where it stays open to paint', () => {
    const { steps } = striped('acrylic-lacquer');
    expect(steps.filter(({ acts }) => acts.includes('scuff'))).toEqual([]);
    expect(steps.some(({ stage }) => stage === 'mask')).toBe(true);
  });
});
