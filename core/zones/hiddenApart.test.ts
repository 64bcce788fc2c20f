import { describe, expect, it } from 'vitest';
import { type Face, newPart, standingZones } from '#core/facts/index';
import { areaMm2 } from '#core/survey/index';
import { dividedPart, hiddenApart, laidFlat } from './index.ts';

const AT = '2026-11-01T10:00:00Z';
const side = (id: string, seen: boolean): Face => ({ id, zoneId: 'all', longMm: 400, shortMm: 290, count: 1, seen });
const panel = (faces: Face[]) => newPart({ id: 'front', name: 'Front', material: 'steel', faces });
const ids = () => {
  let made = 0;
  return () => `made-${made++}`;
};
const INSIDE = { id: 'inside', name: 'Hidden faces' };

describe('hidden faces with a film of their own', () => {
  it('are the other side of a panel that was turned over: what is seen is one zone again, of its whole size', () => {
    const turned = laidFlat(panel([side('out', true), side('in', false)]), ids(), AT);
    expect(standingZones(turned).map(({ name }) => name)).toEqual(['Upper side', 'Back']);
    const apart = hiddenApart(turned, 'all', INSIDE, () => [], []);
    if ('refused' in apart) throw new Error(apart.refused);
    expect(standingZones(apart.part).map(({ name }) => name)).toEqual(['Seen faces', 'Hidden faces']);
    const { faces } = dividedPart(apart.part);
    for (const zoneId of ['all', 'inside']) expect(areaMm2(faces.filter((face) => face.zoneId === zoneId))).toBe(400 * 290);
  });
  it('leave a part as it is divided otherwise', () => {
    const apart = hiddenApart(panel([side('out', true), side('in', false)]), 'all', INSIDE, () => [], []);
    if ('refused' in apart) throw new Error(apart.refused);
    expect(apart.part.faces.map(({ zoneId }) => zoneId)).toEqual(['all', 'inside']);
  });
  it('stay where films differ on the two sides, and it is said why', () => {
    const turned = laidFlat(panel([side('out', true), side('in', false)]), ids(), AT);
    const [upper] = standingZones(turned);
    const apart = hiddenApart(turned, 'all', INSIDE, (zoneId) => (zoneId === upper.id ? ['primer'] : []), []);
    expect(apart).toEqual({ refused: expect.stringContaining('Different films lie on these zones') });
  });
});
