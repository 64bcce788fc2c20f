import { conditionsOf } from '#core/drying/index';
import type { Facts, Family, Part } from '#core/facts/index';
import { NOW, part, piece, primer, shelf, wanted } from '#core/invented/index';
import { plan, type PlannedStep } from '#core/plan/index';
import { sense } from '#core/verify/index';
import { describe, expect, it } from 'vitest';

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
    wanted('grey', 'acrylic-lacquer', 'colour'),
    wanted('first clear', ground, 'clear'),
    wanted('red', 'acrylic-lacquer', 'colour', { covers: ['stripe'] }),
    wanted('last clear', 'acrylic-lacquer', 'clear'),
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
