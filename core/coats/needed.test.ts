import type { Layer } from '#core/facts/index';
import { clear, enamel, lacquer, part, primer, shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { neverOptional, resolveLayer } from './index.ts';

const never = (layers: Layer[], layerId: string, more: Parameters<typeof part>[0] = {}) => {
  const own = part({ ...more, layers });
  return neverOptional(
    own,
    own.layers.map((one) => resolveLayer(one, shelf)),
    layerId,
  );
};
const stripe = lacquer(2, { id: 'stripe', covers: ['low'] } as Partial<Layer>);
const zones = [
  { id: 'all', name: 'Body' },
  { id: 'low', name: 'Sill' },
];

describe('what may be left out', () => {
  it('is a clear over a paint that is a finish by itself, and a primer', () => {
    expect(never([primer(), lacquer(), clear], 'clear')).toBeNull();
    expect(never([primer(), enamel()], 'primer')).toBeNull();
  });
  it('is never the only colour of a part or of a zone', () => {
    expect(never([primer(), lacquer()], 'colour')).toContain('only colour');
    expect(never([primer(), enamel()], 'enamel')).toContain('only colour');
    expect(never([primer(), lacquer(2, { covers: ['all'] }), stripe], 'stripe', { zones })).toContain('only colour');
    expect(never([primer(), lacquer(), stripe], 'stripe', { zones })).toBeNull();
  });
  it('is never a clear that the paint below needs', () => {
    const wanted: Layer = {
      id: 'base',
      wanted: { family: 'solvent-base', role: 'metallic', name: 'silver', lab: { l: 78, a: 0, b: 0 } },
      coats: 2,
      covers: 'all',
    };
    expect(never([primer(), wanted, clear], 'clear')).toContain('needs a clear');
    const candy: Layer = { ...wanted, id: 'candy', wanted: { family: 'candy', role: 'colour', name: 'red', lab: { l: 40, a: 60, b: 30 } } };
    expect(never([primer(), wanted, candy, clear], 'clear')).toContain('needs a clear');
    expect(never([primer(), wanted], 'nowhere')).toBeNull();
  });
});
