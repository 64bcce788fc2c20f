import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Cut,
  type CutNumbers,
  cutSchema,
  EMPTY_FACTS,
  type Facts,
  type LogEvent,
  newPart,
  newPiece,
  type Part,
  partSchema,
  standingZones,
} from '#core/facts/index';
import { cut } from '#core/invented/index';
import { areaMm2 } from '#core/survey/index';
import { cutRefused, dividedFacts, dividedPart, facesToPaint, firstRefused, merged, schematic, shapeOf } from './index.ts';

const AT = '2026-11-01T10:00:00Z';
const body = (more: Partial<Part> = {}) =>
  newPart({
    id: 'body',
    name: 'Body',
    material: 'zinc',
    faces: [{ id: 'f', zoneId: 'all', longMm: 120, shortMm: 48, count: 5, seen: true }],
    ...more,
  });
const pieceOf = (id: string, part: Part) =>
  newPiece({ id, name: id, looksLike: 'cast-body', longestMm: 120, createdAt: AT, parts: [part] });
const areaOf = (part: Part, zoneId: string) => areaMm2(dividedPart(part).faces.filter((face) => face.zoneId === zoneId));
const edgesOf = (part: Part) => Object.fromEntries(dividedPart(part).edges.map(({ a, b, mm }) => [`${a}|${b}`, Math.round(mm)]));

describe('dividing a zone', () => {
  it('by a line at a height: the band below is as high as said, all round', () => {
    const part = body({ cuts: [cut('waist', 'all', 'line', { mm: 18 })] });
    expect(areaOf(part, 'waist-other')).toBeCloseTo(18 * 336, 6);
    const band = dividedPart(part).faces.filter((face) => face.zoneId === 'waist-other');
    expect(band.map(({ longMm, shortMm }) => [longMm, shortMm])).toEqual([
      [120, 18],
      [120, 18],
      [48, 18],
      [48, 18],
    ]);
    expect(edgesOf(part)).toEqual({ 'waist-one|waist-other': 336 });
    expect(dividedPart(part).edges[0].runs).toBe('18 mm above the lower edge');
  });
  it('by a stripe: above, stripe and below, two lines', () => {
    const part = body({ cuts: [cut('band', 'all', 'stripe', { mm: 4, fromMm: 18 })] });
    expect(areaOf(part, 'band-stripe')).toBeCloseTo(4 * 336, 6);
    expect(areaOf(part, 'band-below')).toBeCloseTo(18 * 336, 6);
    // Overspray reaches over a band of 4 mm: above and below are covered for each other, without tape.
    expect(edgesOf(part)).toEqual({ 'band-above|band-stripe': 336, 'band-stripe|band-below': 336, 'band-above|band-below': 0 });
    expect(dividedPart(part).edges.map(({ runs }) => runs)).toEqual([
      '22 mm above the lower edge',
      '18 mm above the lower edge',
      undefined,
    ]);
    const apart = { ...part, edges: [{ a: 'band-below', b: 'band-above', mm: 0, curve: 'straight' as const }] };
    expect(Object.keys(edgesOf(apart))).toHaveLength(2);
  });
  it('again and again: neighbours stay on the side they were on', () => {
    const part = body({ cuts: [cut('roof', 'all', 'line', { mm: 36 }), cut('waist', 'roof-other', 'line', { mm: 18 })] });
    expect(standingZones(part).map((zone) => zone.id)).toEqual(['roof-one', 'waist-one', 'waist-other']);
    expect(edgesOf(part)).toMatchObject({ 'roof-one|waist-one': 336, 'waist-one|waist-other': 336 });
  });
  it('by ends, each keeping its length of the lines it crosses', () => {
    const part = body({ cuts: [cut('waist', 'all', 'line', { mm: 18 }), cut('nose', 'waist-other', 'ends', { mm: 30 })] });
    expect(edgesOf(part)).toEqual({ 'waist-one|nose-one': 252, 'waist-one|nose-other': 84, 'nose-one|nose-other': 72 });
  });
  it('by inside and outside, told by what is seen', () => {
    const faces = [
      { id: 'out', zoneId: 'all', longMm: 100, shortMm: 40, count: 5, seen: true },
      { id: 'in', zoneId: 'all', longMm: 100, shortMm: 30, count: 4, seen: false },
    ];
    const part = body({ faces, cuts: [cut('hull', 'all', 'inside')] });
    expect(areaOf(part, 'hull-one')).toBe(20_000);
    expect(areaOf(part, 'hull-other')).toBe(12_000);
  });
  it('by shapes: twelve stars lie in the rest, which surrounds them', () => {
    const part = body({ cuts: [cut('stars', 'all', 'shapes', { shape: 'star', count: 12, longMm: 8 })] });
    expect(areaOf(part, 'stars-other')).toBeCloseTo(12 * shapeOf('star', 8).areaMm2, 6);
    expect(dividedPart(part).edges).toMatchObject([{ a: 'stars-one', b: 'stars-other', curve: 'tight' }]);
  });
  it('by a rim, which takes the neighbours over', () => {
    const disc = newPart({
      id: 'wheel',
      name: 'Wheel',
      material: 'zinc',
      faces: [{ id: 'f', zoneId: 'all', longMm: 30, shortMm: 30, count: 2, seen: true }],
      cuts: [cut('rim', 'all', 'rim', { mm: 2 })],
    });
    expect(areaOf(disc, 'rim-other')).toBeCloseTo(2 * 4 * 30 * 2, 6);
    expect(edgesOf(disc)).toEqual({ 'rim-one|rim-other': 240 });
  });
  it('by what was traced on a picture with one known length', () => {
    const trace = {
      pictureId: 'p',
      tall: 0.5,
      outline: [
        [0.2, 0.2],
        [0.6, 0.2],
        [0.6, 0.6],
        [0.2, 0.6],
      ] as [number, number][],
      known: { from: [0, 0] as [number, number], to: [1, 0] as [number, number], mm: 100 },
    };
    const part = body({ cuts: [{ ...cut('door', 'all', 'trace'), trace }] });
    // 40 mm wide, and 0.4 of a height that is half the width: 20 mm.
    expect(areaOf(part, 'door-other')).toBeCloseTo(40 * 20, 6);
    expect(edgesOf(part)['door-one|door-other']).toBe(120);
  });
  it('keeps what a person says of a line, and lets zones not meet', () => {
    const cuts = [cut('waist', 'all', 'line', { mm: 18 }), cut('nose', 'waist-other', 'ends')];
    const part = body({
      cuts,
      edges: [
        { a: 'waist-one', b: 'nose-one', mm: 0, curve: 'straight' },
        { a: 'nose-other', b: 'waist-one', mm: 190, curve: 'gentle', runs: 'along the rib' },
      ],
    });
    expect(dividedPart(part).edges).toMatchObject([
      { a: 'waist-one', b: 'nose-other', mm: 190, curve: 'gentle', runs: 'along the rib' },
      { a: 'nose-one', b: 'nose-other' },
    ]);
  });
});

describe('shapes', () => {
  it.each([
    ['round', Math.PI * 100, Math.PI * 20, 20],
    ['diamond', 200, 4 * Math.hypot(10, 10), 20],
    ['number', 128, 80, 12],
    ['badge', 256, 62, 16],
  ] as const)('of 20 mm: %s', (shape, area, outline, short) => {
    const own = shapeOf(shape, 20);
    expect([own.longMm, own.shortMm]).toEqual([20, short]);
    expect(own.areaMm2).toBeCloseTo(area, 9);
    expect(own.outlineMm).toBeCloseTo(outline, 9);
  });
  it('of five points have ten sides to the inner corners where they cross', () => {
    // Known figures of the star of radius 1: area 1.1226, side 0.7265.
    expect(shapeOf('star', 2).areaMm2).toBeCloseTo(1.1226, 4);
    expect(shapeOf('star', 2).outlineMm).toBeCloseTo(7.265, 3);
  });
  it('of a large radius run gentle, of a small one tight', () => {
    expect([shapeOf('round', 100).curve, shapeOf('round', 99).curve]).toEqual(['gentle', 'tight']);
  });
  it('that are features go by their kind: hubs are round, arches half round, grilles rectangles', () => {
    const outlineOf = (feature: 'hubs' | 'arches' | 'grille') => {
      const own = body({ cuts: [cut('f', 'all', 'feature', { feature, count: 1, longMm: 20, shortMm: 10 })] });
      return Math.round(edgesOf(own)['f-one|f-other'] ?? 0);
    };
    expect([outlineOf('hubs'), outlineOf('arches'), outlineOf('grille')]).toEqual([63, 31, 60]);
  });
});

describe('what a coat is sprayed over', () => {
  const part = body({ cuts: [cut('waist', 'all', 'stripe', { mm: 2, fromMm: 18 }), cut('nose', 'waist-above', 'ends')] });
  const faces = (ids: string[]) => facesToPaint(dividedPart(part), ids);
  const everywhere = standingZones(part).map((zone) => zone.id);
  it('is the whole part, as if it had never been cut, where the coat goes all over', () => {
    expect(faces(everywhere)).toEqual(facesToPaint(body(), ['all']));
  });
  it('is what was cut, where it covers all of that, and each stretch by itself elsewhere', () => {
    const above = faces(['nose-one', 'nose-other']);
    expect(above).toHaveLength(1);
    expect(above[0]).toMatchObject({ longMm: 120, count: 5 });
    expect(faces(['nose-one', 'waist-stripe']).length).toBeGreaterThan(1);
  });
});

describe('what cannot be divided so', () => {
  it.each([
    ['a stripe wider than its part', cut('x', 'all', 'stripe', { mm: 60 }), /only 48 mm high/],
    ['a stripe over the top', cut('x', 'all', 'stripe', { mm: 10, fromMm: 45 }), /over the top/],
    ['a stripe on the lower edge', cut('x', 'all', 'stripe', { mm: 10, fromMm: 0 }), /Nothing would be left below/],
    ['a panel larger than its zone', cut('x', 'all', 'panel', { longMm: 400, shortMm: 20 }), /longer than/],
    ['more stars than there is room for', cut('x', 'all', 'shapes', { shape: 'star', count: 500, longMm: 40 }), /Together they are larger/],
    ['a rim that takes all of it', cut('x', 'all', 'rim', { mm: 90 }), /takes all/],
    ['a zone that is gone', cut('x', 'ghost', 'line'), /not there any more/],
  ])('%s', (_name, own, why) => expect(cutRefused(body(), own)).toMatch(why));

  it('is found in a file too, by its place', () => {
    expect(firstRefused(body({ cuts: [cut('a', 'all', 'line'), cut('b', 'a-one', 'stripe', { mm: 40 })] }))).toMatchObject({ place: 1 });
  });
  it('is refused by the schema where numbers are missing, or a known length has none', () => {
    const message = (own: object) => cutSchema.safeParse({ ...cut('x', 'all', 'trace'), ...own }).error?.issues[0].message;
    expect(cutSchema.safeParse(cut('x', 'all', 'stripe')).error?.issues[0].message).toContain('how wide');
    expect(cutSchema.safeParse(cut('x', 'all', 'line', { share: 1 })).success).toBe(false);
    const known = { from: [0.2, 0.2], to: [0.2, 0.2], mm: 40 };
    expect(
      message({
        trace: {
          pictureId: 'p',
          tall: 1,
          outline: [
            [0, 0],
            [1, 0],
            [1, 1],
          ],
          known,
        },
      }),
    ).toContain('no length on the picture');
  });
  it('a part refuses a cut of a zone that is divided already, and a zone made twice', () => {
    const twice = body({ cuts: [cut('a', 'all', 'line'), cut('b', 'all', 'line')] });
    expect(partSchema.safeParse(twice).error?.issues[0].message).toContain('divided already');
    const same = body({ cuts: [cut('a', 'all', 'line'), { ...cut('a', 'a-one', 'line'), id: 'b' }] });
    expect(partSchema.safeParse(same).error?.issues[0].message).toContain('already');
  });
});

const HOWS: readonly (readonly [Cut['how'], (unit: number) => CutNumbers])[] = [
  ['line', (unit) => ({ mm: 1 + unit * 10 })],
  ['line', (unit) => ({ share: 0.1 + unit * 0.8 })],
  ['stripe', (unit) => ({ mm: 1 + unit * 4 })],
  ['ends', (unit) => ({ share: 0.1 + unit * 0.8 })],
  ['sides', () => ({})],
  ['inside', (unit) => ({ share: 0.1 + unit * 0.8 })],
  ['panel', (unit) => ({ longMm: 4 + unit * 8, shortMm: 3 })],
  ['rim', (unit) => ({ mm: 0.3 + unit })],
  ['shapes', (unit) => ({ shape: 'star', count: 3, longMm: 2 + unit * 3 })],
  ['feature', (unit) => ({ feature: 'windows', count: 2, longMm: 3 + unit * 3, shortMm: 2 })],
];
const anyCuts = fc.array(fc.tuple(fc.nat(9), fc.nat(20), fc.double({ min: 0, max: 1, noNaN: true })), { minLength: 1, maxLength: 6 });

/** A part divided as often as its sizes allow. */
function cutBy(choices: readonly (readonly [number, number, number])[]): Part {
  let part = body();
  for (const [index, [how, of, unit]] of choices.entries()) {
    const zones = standingZones(part);
    const own = cut(`c${index}`, zones[of % zones.length].id, HOWS[how][0], HOWS[how][1](unit));
    if (cutRefused(part, own) === null) part = { ...part, cuts: [...(part.cuts ?? []), own] };
  }
  return part;
}

describe('however a part is divided', () => {
  it('areas add up to those measured, every zone has one, and every line joins two zones that stand', () => {
    fc.assert(
      fc.property(anyCuts, (choices) => {
        const part = cutBy(choices);
        const divided = dividedPart(part);
        expect(areaMm2(divided.faces)).toBeCloseTo(areaMm2(part.faces), 4);
        const ids = divided.zones.map((zone) => zone.id);
        for (const id of ids) expect(areaOf(part, id)).toBeGreaterThan(0);
        for (const { a, b, mm } of divided.edges) {
          expect(ids).toContain(a);
          expect(ids).toContain(b);
          expect(a).not.toBe(b);
          expect(mm).toBeGreaterThanOrEqual(0);
        }
        expect(partSchema.safeParse(part).success).toBe(true);
      }),
      { seed: 21, numRuns: process.env.PROOF ? 2000 : 200 },
    );
  });
  it('it can be drawn: every zone at least once, inside the frame, wide enough to press', () => {
    fc.assert(
      fc.property(anyCuts, (choices) => {
        const part = cutBy(choices);
        const drawn = schematic(part, (id) => areaOf(part, id));
        for (const zone of standingZones(part)) expect(drawn.some(({ zoneId }) => zoneId === zone.id)).toBe(true);
        for (const { x, y, wide, tall } of drawn) {
          for (const low of [x, y]) expect(low).toBeGreaterThanOrEqual(0);
          for (const end of [x + wide, y + tall]) expect(end).toBeLessThanOrEqual(1 + 1e-9);
          expect(Math.min(wide, tall)).toBeGreaterThan(0);
        }
      }),
      { seed: 22, numRuns: process.env.PROOF ? 2000 : 100 },
    );
  });
  it('what was laid before lies on every zone it became, dividing, renaming or merging notwithstanding', () => {
    const laid = (part: Part) => {
      const coat = (id: string, zoneIds: string[]): LogEvent =>
        ({ id, at: AT, kind: 'done', pieceId: 'tram', stepKeys: [id], on: [{ partId: 'body', zoneIds }] }) as LogEvent;
      const facts: Facts = {
        ...EMPTY_FACTS,
        pieces: [pieceOf('tram', part)],
        events: [coat('primer', ['all'])],
      };
      return dividedFacts(facts).events.flatMap((event) => (event.kind === 'done' ? event.on[0].zoneIds : []));
    };
    fc.assert(
      fc.property(anyCuts, (choices) => {
        const part = cutBy(choices);
        expect([...laid(part)].sort()).toEqual(
          standingZones(part)
            .map((zone) => zone.id)
            .sort(),
        );
        const last = part.cuts?.at(-1);
        if (!last) return;
        const together = merged(part, last.id, () => ['primer'], []);
        if ('refused' in together) throw new Error(together.refused);
        expect(laid(together.part)).toContain(last.of);
      }),
      { seed: 23, numRuns: process.env.PROOF ? 1000 : 100 },
    );
  });
});

describe('putting together', () => {
  const part = body({ cuts: [cut('waist', 'all', 'line', { mm: 18 })] });
  it('is refused where different films lie, or a layer wants one of them alone', () => {
    expect(merged(part, 'waist', (id) => [id], [])).toEqual({ refused: expect.stringContaining('Different films') });
    const layer = {
      id: 'l',
      wanted: { family: 'acrylic-lacquer' as const, role: 'colour' as const, name: 'red', lab: { l: 40, a: 50, b: 30 } },
      coats: 2,
      covers: ['waist-one'],
    };
    expect(merged({ ...part, layers: [layer] }, 'waist', () => [], [])).toEqual({
      refused: expect.stringContaining('A layer goes on one'),
    });
    const both = { ...layer, covers: ['waist-one', 'waist-other'] };
    expect(merged({ ...part, layers: [both] }, 'waist', () => [], [])).toMatchObject({ part: { cuts: [], layers: [{ covers: ['all'] }] } });
  });
  it('keeps the cut where the log names its zones, so that the films stay where they are', () => {
    const event = {
      id: 'e',
      at: AT,
      kind: 'done',
      pieceId: 'p',
      stepKeys: ['k'],
      on: [{ partId: 'body', zoneIds: ['waist-one'] }],
    } as LogEvent;
    const together = merged(part, 'waist', () => ['same'], [event]);
    if ('refused' in together) throw new Error(together.refused);
    expect(together.part.cuts).toMatchObject([{ id: 'waist', merged: true }]);
    expect(standingZones(together.part).map((zone) => zone.id)).toEqual(['all']);
    const facts: Facts = { ...EMPTY_FACTS, pieces: [pieceOf('p', together.part)], events: [event] };
    expect(dividedFacts(facts).events[0]).toMatchObject({ on: [{ zoneIds: ['all'] }] });
    expect(partSchema.safeParse({ ...together.part, cuts: [...(together.part.cuts ?? []), cut('again', 'all', 'line')] }).success).toBe(
      true,
    );
  });
  it('is refused while its zones are divided further', () => {
    const deeper = { ...part, cuts: [...(part.cuts ?? []), cut('nose', 'waist-one', 'ends')] };
    expect(merged(deeper, 'waist', () => [], [])).toEqual({ refused: expect.stringContaining('divided further') });
  });
});
