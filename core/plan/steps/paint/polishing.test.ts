import { conditionsOf } from '#core/drying/index';
import type { Facts, Layer, LogEvent, Part, Polish } from '#core/facts/index';
import { mendedPiece, sense, verifyPlan } from '#core/verify/index';
import { plan } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { clear, enamel, lacquer, NOW, part, piece, primer, shelf } from '#core/invented/testBench';

const PAPERS: Polish['papers'] = [1500, 2000];
const polished = (edges: boolean, more: Partial<Part> = {}) =>
  part({ zones: [{ id: 'all', name: 'All over', polish: { papers: PAPERS, edges } }], layers: [primer(), enamel(2)], ...more });

const planned = (facts: Facts) => {
  const conditions = conditionsOf(facts, NOW);
  const result = plan({ facts, now: NOW, conditions, datesOf: [] });
  return { steps: result.steps, broken: verifyPlan(result, facts, conditions), found: sense(result, facts, conditions) };
};
const of = (own: Part): Facts => ({ ...shelf, pieces: [piece(own, { leadExcluded: true })] });
const ends = (steps: ReturnType<typeof planned>['steps'], title: RegExp) => steps.find((step) => title.test(step.title))?.placed;

describe('a polish without clear', () => {
  it('is each paper and the compound, once the last coat is hard, before anything is fitted', () => {
    const { steps, broken, found } = planned(of(polished(false)));
    const titles = steps.filter(({ stage, grit, acts }) => (stage === 'flat' && (grit ?? 0) > 1000) || acts.includes('polish'));
    expect(titles.map(({ title }) => title.replace(/^(Flat|Polish) .* with/, '$1 with'))).toEqual([
      'Flat with P1500, wet',
      'Flat with P2000, wet',
      'Polish with compound',
    ]);
    const last = ends(steps, /^Coat 2 of 2, acrylic enamel/);
    const first = titles[0].placed;
    // An enamel is flatted days after it is dust-dry.
    expect((first?.start ?? 0) - (last?.end ?? 0)).toBeGreaterThan(2 * 24 * 60);
    expect(ends(steps, /^Check and photograph/)?.start).toBeGreaterThanOrEqual(titles[2].placed?.end ?? Number.POSITIVE_INFINITY);
    expect(titles.map(({ supplies }) => supplies.map(({ spec }) => spec))).toEqual([['P1500'], ['P2000'], ['fine compound']]);
    expect(titles[0].because).toContain('7.5 µm');
    expect([broken, found]).toEqual([[], []]);
  });

  it('of the edges too asks for more coats than lie there, and says so before the colour is sprayed', () => {
    const facts = of(polished(true));
    const [finding, ...others] = planned(facts).found;
    expect(others).toEqual([]);
    // 2 × 15 µm, 22.5 of them from the edges: 7.5 would stay of the 15 that should.
    expect(finding).toMatchObject({ rule: 'polished-through', chosenBy: 'person', layerId: 'enamel' });
    expect(finding.because).toContain('only 7.5 µm would stay');
    expect(finding.mend?.change).toEqual({ kind: 'more-coats', partId: 'body', layerId: 'enamel', coats: 3 });
    const mended = finding.mend?.change && { ...facts, pieces: [mendedPiece(facts.pieces[0], finding.mend.change)] };
    expect(mended && planned(mended).found).toEqual([]);
  });

  it('takes another paper later without counting it as done', () => {
    const facts = of(polished(false));
    const done = planned(facts).steps.find(({ grit }) => grit === 1500)?.keys ?? [];
    const events: LogEvent[] = [{ id: 'e', at: toIso(NOW), kind: 'done', pieceId: 'bell', stepKeys: [...done], on: [] }];
    const coarser = of(polished(false, { zones: [{ id: 'all', name: 'All over', polish: { papers: [1000, 1500, 2000], edges: false } }] }));
    const left = planned({ ...coarser, events }).steps.flatMap(({ grit }) => (grit && grit >= 1000 ? [grit] : []));
    expect(left).toEqual([1000, 2000]);
  });

  it('is left out on a film that never takes it, and polishes the clear where one lies on top', () => {
    const lab = { l: 70, a: 0, b: 0 };
    const metallic: Layer = {
      id: 'silver',
      wanted: { family: 'acrylic-lacquer', role: 'metallic', name: 'silver', lab },
      coats: 2,
      covers: 'all',
    };
    const none = planned(of(polished(false, { layers: [primer(), metallic] }))).steps;
    expect(none.filter(({ acts }) => acts.includes('polish'))).toEqual([]);
    const { steps } = planned(of(polished(false, { layers: [primer(), lacquer(), { ...clear, coats: 3 }] })));
    expect(steps.find(({ acts }) => acts.includes('polish'))?.title).toContain('clear');
  });
});
