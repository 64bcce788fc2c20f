import { polishWhyNot } from '#core/coats/index';
import { conditionsOf } from '#core/drying/index';
import type { Facts, LogEvent, Part, Piece } from '#core/facts/index';
import { clear, coat, enamel, lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { plan } from '#core/plan/index';
import { historyOf } from './films/index.ts';
import { sense } from '#core/verify/index';
import { DAY } from '#core/units/index';
import { describe, expect, it } from 'vitest';

/** Rules that hold one by one and met badly in whole jobs: found by the sceptic among thousands that were invented. */

const planned = (parts: readonly Part[], events: readonly LogEvent[] = [], more: Partial<Piece> = {}) => {
  const facts: Facts = { ...shelf, pieces: [piece(parts[0], { parts: [...parts], ...more })], events: [...events] };
  const conditions = conditionsOf(facts, NOW);
  const result = plan({ facts, now: NOW, conditions, datesOf: [] });
  return { ...result, found: sense(result, facts, conditions).map(({ rule }) => rule) };
};

describe('rules that meet in a whole job', () => {
  it('sand magnesium wet and by itself, beside a part of another metal that is sanded dry', () => {
    const shell = part({ finish: 'bare' });
    const lower = part({ id: 'lower', name: 'Lower', finish: 'bare', material: 'magnesium', pegs: [2] });
    const { steps, found } = planned([shell, lower], [], { leadExcluded: true });
    const sanded = steps.filter(({ stage }) => stage === 'prep').map(({ on, acts }) => [on.map(({ partId }) => partId), acts]);
    expect(sanded).toContainEqual([['lower'], ['wet-sand']]);
    expect(sanded).toContainEqual([['body'], ['dry-sand']]);
    expect(found).toEqual([]);
  });
  it('polish no film on which a decal lies open, whichever colour it was told to follow', () => {
    const zones = ['upper', 'lower'].map((id) => ({ id, name: id }));
    const red = { ...enamel(2), id: 'red', covers: ['upper'] };
    const blue = { ...enamel(2), id: 'blue', covers: ['lower'] };
    const decal = { id: 'n', name: 'Number', zoneId: 'upper', kind: 'waterslide' as const, count: 1, spare: false, longMm: 9, shortMm: 5 };
    const faces = zones.map(({ id }) => ({ id, zoneId: id, longMm: 90, shortMm: 40, count: 1, seen: true }));
    const own = (layers: Part['layers'], after: string) => part({ zones, faces, layers, decals: [{ ...decal, after }] });
    for (const after of ['red', 'blue'])
      expect([after, polishWhyNot(own([primer(), red, blue], after), 'upper', shelf)]).toEqual([
        after,
        expect.stringContaining('lies open'),
      ]);
    expect(polishWhyNot(own([primer(), red, blue, clear], 'blue'), 'upper', shelf)).toBeNull();
    expect(polishWhyNot(own([primer(), red, blue], 'blue'), 'lower', shelf)).toBeNull();
  });
  it('scrape no old glue off beside a coat of today, though its layer has coats to come', () => {
    const body = part({ finish: 'bare', layers: [enamel(3)] });
    const tasks = [{ id: 'glue', kind: 'old-glue' as const, name: 'Scrape the old glue off', partIds: ['body'], minutes: 10 }];
    const { steps, found } = planned([body], [coat('enamel', 1, 30, 'acrylic-enamel', 'colour', 15)], { tasks });
    const scraped = steps.find(({ title }) => title === 'Scrape the old glue off');
    expect(scraped?.placed?.start ?? 0).toBeGreaterThan(NOW + 2 * DAY);
    expect(found).toEqual([]);
  });
  it('lay a coat once that was entered twice, at the later of the two moments', () => {
    const body = part({ finish: 'bare', layers: [lacquer(2)] });
    const twice = [coat('colour', 1, 9000, 'acrylic-lacquer', 'colour', 12), coat('colour', 1, 2000, 'acrylic-lacquer', 'colour', 12)];
    const laid = twice.map((event, index) => ({ ...event, id: `twice-${index}` }));
    const { steps } = planned([body], laid);
    expect(steps.flatMap((step) => (step.coat ? [step.coat.number] : []))).toEqual([2]);
    expect(
      historyOf({ ...shelf, pieces: [piece(body)], events: laid })
        .coatsOn('bell', 'body', 'all')
        .map(({ at }) => NOW - at),
    ).toEqual([2000]);
  });
  it('dust what stays on wood, and put neither water nor spirit on it', () => {
    const face = part({ id: 'face', name: 'Face', material: 'wood', layers: [], pegs: [2] });
    const { steps } = planned([part({ finish: 'bare' }), { ...face, staysClear: true }]);
    const cleaned = steps.find(({ stage, on }) => stage === 'wash' && on.some(({ partId }) => partId === 'face'));
    expect([cleaned?.title, cleaned?.acts]).toEqual([expect.stringMatching(/^Dust the .*, nothing else$/), ['handle']]);
  });
});
