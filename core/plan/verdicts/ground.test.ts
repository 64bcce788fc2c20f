import { part, piece, planOf, steps } from '#core/invented/index';
import { planView } from '../view.ts';
import type { Part } from '#core/facts/index';
import { describe, expect, it } from 'vitest';

/** What a first coat lies on is called what it is, on every screen that names it. */

const ground = (more: Partial<Part>, events: Parameters<typeof planOf>[1] = []) => {
  const own = part({ material: 'steel', ...more });
  return planView(planOf(own, events)).pieces[0].grounds[own.id];
};

describe('what the first coat lies on', () => {
  it.each([
    [{ finish: 'bare' }, 'bare steel', 'keyed'],
    [{ finish: 'sound', oldPaint: 'baked-enamel', stripMethod: 'scuff' }, 'the baked enamel', 'kept, scuffed'],
    [{ finish: 'sound', oldPaint: 'unknown', stripMethod: 'scuff' }, 'the old paint', 'kept, scuffed'],
    [{ finish: 'flaking', stripMethod: 'gel' }, 'bare steel', 'once it is stripped'],
    [{ finish: 'sound', printed: true, layers: [] }, 'steel', 'stays printed'],
  ] as const)('of %o is %s, %s', (more, name, ready) => expect(ground(more as Partial<Part>)).toEqual({ name, ready }));
  it('is stripped once the log has it so, and not before', () => {
    const own = part({ material: 'steel', finish: 'flaking', stripMethod: 'gel' });
    expect(steps(planOf(own)).some(({ stage }) => stage.startsWith('strip'))).toBe(true);
    const cleaned = {
      id: 's',
      at: '2026-11-30T19:00:00Z',
      kind: 'stripped' as const,
      pieceId: piece(own).id,
      partIds: [own.id],
      method: 'gel' as const,
      outcome: 'clean' as const,
      application: 1,
      dwellMinutes: 60,
    };
    expect(ground({ finish: 'flaking', stripMethod: 'gel' }, [cleaned])).toEqual({ name: 'bare steel', ready: 'stripped, keyed' });
  });
});
