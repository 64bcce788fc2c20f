import { describe, expect, it } from 'vitest';
import { type Feature, FEATURES_COVERED, newPart } from '#core/facts/index';
import { coversOf, fineLineFor, tapesFor, usualCover } from './index.ts';

const part = (features: Feature[]) =>
  newPart({
    id: 'body',
    name: 'Body',
    material: 'zinc',
    faces: [{ id: 'f', zoneId: 'all', longMm: 100, shortMm: 40, count: 5, seen: true }],
    features,
  });
const posts = {
  fastenings: [
    { id: 'f', kind: 'tapped-post' as const, a: 'body', count: 2, note: '' },
    { id: 'g', kind: 'screw' as const, a: 'body', count: 4, note: '' },
    { id: 'h', kind: 'tapped-post' as const, a: 'other', count: 4, note: '' },
  ],
};

describe('what is covered before paint', () => {
  it('is what is near and must not take the coat, with minutes for all of it', () => {
    const lines = coversOf(
      part([
        { id: 'w', kind: 'windows', count: 12 },
        { id: 'a', kind: 'arches', count: 4 },
      ]),
      posts,
    );
    expect(lines.map(({ text, minutes }) => [text, minutes])).toEqual([
      ['12 window openings, taped from inside', 9],
      ['4 wheel arches, covered', 3],
      ['2 tapped posts, a rod or an old screw in each', 1],
    ]);
  });
  it('goes by what the person says of it', () => {
    const own = (more: Partial<Feature>) => coversOf(part([{ id: 'h', kind: 'hubs', count: 2, ...more }]), {});
    expect(own({})).toMatchObject([{ text: '2 hubs, plugged', minutes: 1, source: 'default' }]);
    expect(own({ cover: 'wrap' })).toMatchObject([{ text: '2 hubs, wrapped' }]);
    expect(own({ coverMinutes: 3 })).toMatchObject([{ minutes: 6, source: 'own' }]);
    expect(own({ cover: 'none' })).toEqual([]);
  });
  it('knows every kind, plugs hinges, and leaves what is only keyed by hand', () => {
    for (const kind of FEATURES_COVERED) expect(usualCover(kind)?.minutes).toBeGreaterThan(0);
    expect(usualCover('hinge')?.cover).toBe('plug');
    expect(coversOf(part([{ id: 'e', kind: 'edges', count: 1 }]), {})).toEqual([]);
  });
  it('wraps the clip that holds the part', () => {
    expect(coversOf({ ...part([]), hold: { by: 'clip' } }, {}).map(({ text }) => text)).toEqual([
      '1 holding clip, wrapped: it comes off clean',
    ]);
    expect(coversOf({ ...part([{ id: 'c', kind: 'clip', count: 2 }]), hold: { by: 'clip' } }, {})).toHaveLength(1);
    expect(coversOf({ ...part([]), hold: { by: 'rod' } }, {})).toEqual([]);
  });
  it('counts tapped posts once where the survey named them', () => {
    expect(coversOf(part([{ id: 't', kind: 'tapped-posts', count: 3 }]), posts).map(({ text }) => text)).toEqual([
      '3 tapped posts, a rod or an old screw in each',
    ]);
  });
});

describe('tape', () => {
  it('is as wide as lies smooth: eight times its width is the smallest radius', () => {
    expect(fineLineFor({ curve: 'straight' })).toBe(3);
    expect(fineLineFor({ curve: 'gentle' })).toBe(3);
    expect(fineLineFor({ curve: 'tight' })).toBe(2);
    expect(fineLineFor({ curve: 'double' })).toBe(1);
    expect(fineLineFor({ curve: 'tight', radiusMm: 30 })).toBe(3);
    expect(fineLineFor({ curve: 'gentle', radiusMm: 8 })).toBe(1);
    expect(fineLineFor({ curve: 'tight', radiusMm: 4 })).toBe(1);
  });
  it('is added up by width, and lines of no length take none', () => {
    const edges = [
      { mm: 300, curve: 'straight' as const },
      { mm: 0, curve: 'straight' as const },
      { mm: 90, curve: 'tight' as const },
      { mm: 40, curve: 'gentle' as const },
    ];
    expect(tapesFor(edges)).toEqual([
      { widthMm: 3, mm: 340 },
      { widthMm: 2, mm: 90 },
    ]);
    expect(tapesFor([])).toEqual([]);
  });
});
