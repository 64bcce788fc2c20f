import { describe, expect, it } from 'vitest';
import { type Face, newPart, standingZones } from '#core/facts/index';
import { areaMm2 } from '#core/survey/index';
import { dividedPart, hiddenApart, laidFlat, seenAndHidden } from './index.ts';

const AT = '2026-11-01T10:00:00Z';
const side = (id: string, seen: boolean): Face => ({ id, zoneId: 'all', longMm: 400, shortMm: 290, count: 1, seen });
const panel = (faces: Face[]) => newPart({ id: 'front', name: 'Front', material: 'steel', faces });
const INSIDE = { id: 'inside', name: 'Hidden faces' };
const both = panel([side('out', true), side('in', false)]);

describe('hidden faces with a film of their own', () => {
  it('become a zone, and what was everything is called what is seen', () => {
    expect(seenAndHidden(both)?.id).toBe('all');
    const apart = hiddenApart(both, 'all', INSIDE);
    expect(standingZones(apart).map(({ name }) => name)).toEqual(['Seen faces', 'Hidden faces']);
    const { faces } = dividedPart(apart);
    for (const zoneId of ['all', 'inside']) expect(areaMm2(faces.filter((face) => face.zoneId === zoneId))).toBe(400 * 290);
    expect(seenAndHidden(apart)).toBeUndefined();
  });
  it('are none where all is seen, nor on a panel that is turned over: its back is a zone already, as large as they are', () => {
    expect(seenAndHidden(panel([side('out', true), side('other', true)]))).toBeUndefined();
    let made = 0;
    const turned = laidFlat(both, () => `made-${made++}`, AT);
    expect(seenAndHidden(turned)).toBeUndefined();
    expect(standingZones(turned).map(({ name }) => name)).toEqual(['Upper side', 'Back']);
    const { faces } = dividedPart(turned);
    for (const { id } of standingZones(turned)) expect(areaMm2(faces.filter((face) => face.zoneId === id))).toBe(400 * 290);
  });
});
