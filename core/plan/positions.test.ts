import { resolveLayer } from '#core/coats/index';
import { conditionsOf } from '#core/drying/index';
import type { Layer, LogEvent, Part } from '#core/facts/index';
import { at, clear, cut, enamel, lacquer, NOW, part, piece, planOf, type Planned, primer, shelf } from '#core/invented/index';
import { HOUR, toIso } from '#core/units/index';
import { verifyPlan } from '#core/verify/index';
import { dividedPart } from '#core/zones/index';
import { describe, expect, it } from 'vitest';

/** A part that lies while it is sprayed: its back first, turned once that bears a hand, then the side that is seen. */

const sheet = (more: Partial<Part> = {}): Part =>
  part({
    material: 'steel',
    finish: 'bare',
    faces: [
      { id: 'front', zoneId: 'all', longMm: 400, shortMm: 300, count: 1, seen: true },
      { id: 'rear', zoneId: 'all', longMm: 400, shortMm: 300, count: 1, seen: false },
    ],
    cuts: [cut('sides', 'all', 'flip')],
    layers: [primer(), lacquer()],
    ...more,
  });
const coats = (result: Planned) => result.steps.filter((step) => step.coat);
const sides = (result: Planned) => coats(result).map((step) => `${step.coat?.name} ${step.coat?.number} ${step.on[0].zoneIds[0]}`);
const named = (own: Layer) => resolveLayer(own, shelf).name;
const violations = (own: Part, result: Planned, events: LogEvent[] = []) => {
  const facts = { ...shelf, pieces: [piece(own)], events };
  return verifyPlan(result, facts, conditionsOf(facts, NOW));
};
const logged = (result: Planned, many: number): LogEvent[] =>
  coats(result)
    .slice(0, many)
    .map((step, index) => ({
      id: `logged-${index}`,
      at: toIso(NOW - 5 * HOUR + index * 20),
      kind: 'done',
      pieceId: 'bell',
      stepKeys: [...step.keys],
      on: step.on.map(({ partId, zoneIds }) => ({ partId, zoneIds: [...zoneIds] })),
      coat: {
        layerId: step.coat?.layerId ?? '',
        name: step.coat?.name ?? '',
        family: step.coat?.family ?? 'unknown',
        role: step.coat?.role ?? 'colour',
        lab: { l: 60, a: 0, b: 0 },
        hand: 'aerosol',
        filmUm: step.coat?.filmUm ?? 1,
        placeId: 'place-spray',
      },
    }));

describe('two sides, one after the other', () => {
  it('every layer goes on the back first, then on the side that is seen', () => {
    const result = planOf(sheet());
    const [p, c] = [named(primer()), named(lacquer())];
    expect(sides(result)).toEqual([
      ...[1, 2].map((number) => `${p} ${number} sides-other`),
      ...[1, 2].map((number) => `${p} ${number} sides-one`),
      ...[1, 2].map((number) => `${c} ${number} sides-other`),
      ...[1, 2].map((number) => `${c} ${number} sides-one`),
    ]);
    expect(new Set(coats(result).map((step) => step.id)).size).toBe(8);
    expect(violations(sheet(), result)).toEqual([]);
  });
  it.each([
    ['lacquer', [lacquer()], 0.4],
    ['enamel', [enamel()], 6],
  ] as const)('the %s bears a hand before the part is laid on it', (_, layers, hours) => {
    const result = planOf(sheet({ layers: [...layers] }));
    const turned = coats(result).findIndex((step) => step.on[0].zoneIds[0] === 'sides-one');
    expect(coats(result)[turned].detail).toMatch(/^turn it over/);
    expect(at(coats(result)[turned]) - (coats(result)[turned - 1].placed?.end ?? Number.NaN)).toBeGreaterThanOrEqual(hours * HOUR);
    expect(violations(sheet({ layers: [...layers] }), result)).toEqual([]);
  });
  it('takes as much paint as both sides together, and no mask between them', () => {
    const ml = (own: Part) => coats(planOf(own)).reduce((sum, step) => sum + (step.coat?.ml ?? 0), 0);
    expect(ml(sheet())).toBeCloseTo(ml(sheet({ cuts: [] })), 6);
    expect(planOf(sheet()).steps.filter((step) => step.stage === 'mask' || step.stage === 'unmask')).toEqual([]);
  });
  it('goes on where the log stops: the second coat of the back, then the turn', () => {
    const events = logged(planOf(sheet()), 1);
    const result = planOf(sheet(), events);
    expect(sides(result).slice(0, 2)).toEqual([`${named(primer())} 2 sides-other`, `${named(primer())} 1 sides-one`]);
    expect(sides(planOf(sheet(), logged(planOf(sheet()), 3)))[0]).toBe(`${named(primer())} 2 sides-one`);
  });
  it('is flatted and looked at once, when both sides are on', () => {
    const own = sheet({ layers: [primer({ flatAfter: 600 }), lacquer(), clear] });
    const result = planOf(own);
    const flats = result.steps.filter((step) => step.stage === 'flat');
    expect(flats).toHaveLength(1);
    expect([...flats[0].on[0].zoneIds].sort()).toEqual(['sides-one', 'sides-other']);
    expect(result.steps.flatMap((step) => step.inspects ?? []).map(({ what }) => what)).toEqual(['primer', 'colour', 'clear']);
    expect(violations(own, result)).toEqual([]);
  });
  it('a clear for the seen side alone still waits for the side it lies on', () => {
    const own = sheet({ layers: [enamel(), { ...clear, covers: ['sides-one'] }] });
    const result = planOf(own);
    expect(
      sides(result)
        .slice(-2)
        .every((text) => text.endsWith('sides-one')),
    ).toBe(true);
    expect(violations(own, result)).toEqual([]);
  });
  it('two colours keep their mask on each side', () => {
    const own = sheet({
      cuts: [cut('waist', 'all', 'line', { mm: 100 }), cut('up', 'waist-one', 'flip'), cut('down', 'waist-other', 'flip')],
      layers: [primer(), lacquer(2, { covers: ['waist-one'] }), { ...lacquer(), id: 'dark', covers: ['waist-other'] }],
    });
    const result = planOf(own);
    expect(result.steps.filter((step) => step.stage === 'mask').map((step) => step.on[0].zoneIds)).toHaveLength(2);
    expect(violations(own, result)).toEqual([]);
  });
});

describe('a part turned over', () => {
  it.each([
    [
      'seen and hidden faces',
      [
        { id: 'a', zoneId: 'all', longMm: 400, shortMm: 300, count: 1, seen: true },
        { id: 'b', zoneId: 'all', longMm: 400, shortMm: 200, count: 1, seen: false },
      ],
      [120_000, 80_000],
    ],
    ['two faces alike', [{ id: 'a', zoneId: 'all', longMm: 90, shortMm: 20, count: 2, seen: true }], [1800, 1800]],
    ['one closed face', [{ id: 'a', zoneId: 'all', longMm: 90, shortMm: 20, count: 1, seen: true }], [900, 900]],
  ] as const)('divides %s, areas adding up', (_, faces, areas) => {
    const own = dividedPart(sheet({ faces: faces.map((face) => ({ ...face })) }));
    const area = (zoneId: string) =>
      own.faces.filter((face) => face.zoneId === zoneId).reduce((sum, face) => sum + face.longMm * face.shortMm * face.count, 0);
    expect(['sides-one', 'sides-other'].map(area)).toEqual(areas);
    expect(own.edges).toEqual([]);
  });
});
