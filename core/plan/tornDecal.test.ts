import type { Decal, Piece } from '#core/facts/index';
import { clear, lacquer, NOW, part, piece, planOf, primer } from '#core/invented/index';
import { decalTorn, tornDecalOf } from '#core/plan/index';
import { DAY } from '#core/units/index';
import { describe, expect, it } from 'vitest';

const decal = (id: string, spare: boolean): Decal => ({
  id,
  name: `number ${id}`,
  zoneId: 'all',
  after: 'colour',
  kind: 'waterslide',
  count: 1,
  spare,
  longMm: 20,
  shortMm: 8,
});
const cab = part({ finish: 'bare', layers: [primer(), lacquer(), clear], decals: [decal('left', false), decal('right', true)] });
const tyres = { id: 'tyres', name: 'Tyres', price: 960, leadDays: 21, orderedAt: '2026-12-01', arrived: false };
const print = { id: 'print', name: 'Numbers', price: 400, leadDays: 6, orderedAt: '2026-11-20', arrived: true };
const own: Piece = piece(cab, { parcels: [tyres, print] });
const order = { id: 'again', today: '2026-12-01', days: 6 };
const planned = (at: Piece) => planOf(at.parts[0], [], at);
const stepFor = (id: string) => {
  const step = planned(own).steps.find(({ keys }) => keys[0].includes(`.decal.${id}.`));
  if (!step) throw new Error(`No step for ${id}.`);
  return step;
};

describe('a decal that tears', () => {
  it('is laid again from its own spare, which is then used up', () => {
    const torn = tornDecalOf(stepFor('right'), own);
    if (!torn) throw new Error('It is a decal.');
    const { changed, said } = decalTorn(own, torn, order);
    expect(changed.parts[0].decals?.map(({ spare }) => spare)).toEqual([false, false]);
    expect(changed.parcels).toBe(own.parcels);
    expect(said).toContain('its spare is laid');
  });
  it('is not served by the spare of the other side: another is sent for, and the clear waits for it', () => {
    const torn = tornDecalOf(stepFor('left'), own);
    if (!torn) throw new Error('It is a decal.');
    expect(torn).toMatchObject({ otherSpare: 'number right', usualDays: 6 });
    const { changed, said } = decalTorn(own, torn, order);
    expect(said).toContain('another comes in 6 days');
    expect(changed.parcels.at(-1)).toMatchObject({ leadDays: 6, holds: { partId: 'body', stage: 'decal' } });
    const cleared = (at: Piece) => planned(at).steps.find(({ coat }) => coat?.role === 'clear')?.placed?.start ?? Number.NaN;
    expect(cleared(changed)).toBeGreaterThan(NOW + 6 * DAY);
    expect(cleared(changed)).toBeGreaterThan(cleared(own));
  });
  it('is asked of no other step', () => {
    const { steps } = planned(own);
    expect(steps.filter((step) => tornDecalOf(step, own)).map(({ stage }) => stage)).toEqual(['decal', 'decal']);
  });
});
