import { conditionsOf } from '#core/drying/index';
import type { Facts, Family, Layer, Material, Part } from '#core/facts/index';
import { NOW, part, piece, shelf, wanted } from '#core/invented/index';
import { plan, tapingWays, whyNoHeat } from '#core/plan/index';
import { sense, verifyPlan } from '#core/verify/index';
import { describe, expect, it } from 'vitest';

const hot = (id: string, covers: string, more: Partial<Layer> = {}): Layer =>
  wanted(id, 'high-temperature', 'colour', { covers: [covers], ...more });
const stove = (material: Material = 'steel', layers: Layer[] = [hot('black', 'pipe'), hot('silver', 'body')]): Part =>
  part({
    material,
    finish: 'bare',
    serviceC: 250,
    zones: [
      { id: 'pipe', name: 'Pipe' },
      { id: 'body', name: 'Body' },
    ],
    edges: [{ a: 'pipe', b: 'body', mm: 90, curve: 'straight' }],
    faces: [
      { id: 'p', zoneId: 'pipe', longMm: 80, shortMm: 30, count: 1, seen: true },
      { id: 'b', zoneId: 'body', longMm: 120, shortMm: 90, count: 2, seen: true },
    ],
    layers,
  });
const oven = { longMm: 400, wideMm: 350, highMm: 300, mostC: 250 };
const facts = (own: Part, more: Partial<Facts['workshop'][number]> = { oven }): Facts => ({
  ...shelf,
  workshop: [{ ...shelf.workshop[0], ...more }],
  pieces: [piece(own)],
});
const planned = (known: Facts) => plan({ facts: known, now: NOW, conditions: conditionsOf(known, NOW), datesOf: [] });
const both = ['black', 'silver'];

describe('two colours that never take tape', () => {
  it('are named with every way on, and each of them has its dates', () => {
    const known = facts(stove());
    const asIs = planned(known);
    expect(asIs.pieces[0].stopped).toContain('can never be taped');
    expect(asIs.pieces[0].stacks.body.unordered).toEqual(both);
    const ways = tapingWays(known.pieces[0], known.pieces[0].parts[0], both, known);
    expect(ways.map(({ label }) => label)).toEqual([
      'black first, set by heat: 230 °C, 30 min',
      'silver first, set by heat: 230 °C, 30 min',
      'black by brush',
      'silver by brush',
    ]);
    for (const { label, layers } of ways) {
      const taken = facts(stove('steel', [...layers]));
      const result = planned(taken);
      const open = result.steps.filter(({ placed }) => placed === null);
      expect([label, result.pieces[0].stopped, open.map(({ title }) => title)]).toEqual([label, undefined, []]);
      expect(sense(result, taken, conditionsOf(taken, NOW)).map(({ because }) => because)).toEqual([]);
      expect(verifyPlan(result, taken, conditionsOf(taken, NOW))).toEqual([]);
    }
  });
  it('go on in turn once the first is set: coats, oven, tape, coats', () => {
    const known = facts(
      stove('steel', [hot('black', 'pipe'), hot('silver', 'body', { warm: { by: 'oven', surfaceC: 230, minutes: 30 } })]),
    );
    const own = planned(known).steps.filter(({ stage }) => ['coat', 'warm', 'mask'].includes(stage));
    const told = own.sort((a, b) => (a.placed?.start ?? 0) - (b.placed?.start ?? 0)).map(({ stage, coat }) => coat?.layerId ?? stage);
    expect(told.filter((what, index) => what !== told[index - 1])).toEqual(['silver', 'warm', 'mask', 'black']);
  });
  it.each([
    ['no oven', facts(stove(), {}), 'No oven is noted'],
    ['an oven that is not hot enough', facts(stove(), { oven: { ...oven, mostC: 120 } }), 'at most 120 °C'],
    ['zinc, which suffers', facts(stove('zinc')), 'At most 90 °C'],
  ])('cannot be set by heat with %s, and it is said why', (_what, known, why) => {
    const [own] = known.pieces;
    expect(whyNoHeat(own, own.parts[0], both, known)).toContain(why);
    expect(tapingWays(own, own.parts[0], both, known).map(({ label }) => label)).toEqual(['black by brush', 'silver by brush']);
  });
  it('warmed too little or under another paint are not set', () => {
    const warm = { by: 'oven' as const, surfaceC: 180, minutes: 60 };
    const mild = facts(stove('steel', [hot('black', 'pipe', { warm }), hot('silver', 'body')]));
    expect(planned(mild).pieces[0].stopped).toContain('can never be taped');
    const family: Family = 'acrylic-enamel';
    const other: Layer = { ...hot('cream', 'pipe'), wanted: { family, role: 'colour', name: 'cream', lab: { l: 85, a: 0, b: 8 } } };
    const mixed = facts(stove('steel', [other, hot('silver', 'body')]));
    expect(planned(mixed).pieces[0].stopped).toBeUndefined();
    expect(whyNoHeat(mixed.pieces[0], mixed.pieces[0].parts[0], ['cream', 'silver'], mixed)).toContain('At most 55 °C');
  });
});
