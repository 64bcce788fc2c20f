import { clocksOf, conditionsOf } from '#core/drying/index';
import { partSchema, pieceSchema } from '#core/facts/index';
import { lacquer, NOW, part, piece, primer, shelf } from '#core/invented/index';
import { describe, expect, it } from 'vitest';
import { type PlannedFilm, timesOf } from './films.ts';

const clocks = clocksOf(conditionsOf(shelf, NOW));
const placeId = shelf.workshop[0].dryPlaceId;

/** Lacquer on lacquer, a quarter of an hour apart: all of it dries together. */
function stack(depth: number): PlannedFilm {
  const ref = { step: String(depth) };
  return {
    family: 'acrylic-lacquer',
    role: 'colour',
    name: `lacquer ${depth}`,
    lab: { l: 60, a: 0, b: 0 },
    layerId: `l${depth}`,
    placeId,
    first: ref,
    last: ref,
    coats: 1,
    filmUm: 12,
    normalUm: 12,
    flatted: false,
    ...(depth > 1 ? { below: stack(depth - 1) } : {}),
  };
}
/** How often such a stack looks at the clock for its moments. */
function looks(depth: number): number {
  let looked = 0;
  timesOf(stack(depth), clocks, (step) => {
    looked++;
    return NOW + Number(step) * 15;
  });
  return looked;
}

describe('a piece of more coats than anybody lays', () => {
  const own = (parts: number, coats: number) =>
    pieceSchema.safeParse({
      ...piece(part({ finish: 'bare', layers: [] })),
      parts: Array.from({ length: parts }, (_, n) =>
        part({
          finish: 'bare',
          id: `p${n}`,
          zones: [{ id: `z${n}`, name: 'all over' }],
          faces: [{ id: 'f', longMm: 100, shortMm: 40, count: 1, seen: true, zoneId: `z${n}` }],
          layers: Array.from({ length: 10 }, (_, k) => lacquer(coats, { id: `l${n}-${k}` })),
        }),
      ),
    });
  it('is refused by name, and one of many parts is not', () => {
    expect(own(60, 12).error?.issues[0]).toMatchObject({ path: ['parts'], message: expect.stringContaining('7200 coats on one piece') });
    expect(own(60, 2).error?.issues).toBeUndefined();
  });
});

describe('a deep stack that dries together', () => {
  it('looks at each film once, however deep it is', () => {
    expect(looks(40) / looks(10)).toBeCloseTo(4, 0);
  });
  it('dries slower than the same coat by itself', () => {
    const alone = { ...stack(1), first: { step: '10' }, last: { step: '10' } };
    const tape = (film: PlannedFilm) => timesOf(film, clocks, (step) => NOW + Number(step) * 15).tape ?? Number.NaN;
    expect(tape(stack(10))).toBeGreaterThan(tape(alone));
  });
  it('has at most forty layers', () => {
    const own = (count: number) =>
      part({ finish: 'bare', layers: [primer(), ...Array.from({ length: count }, (_, n) => lacquer(1, { id: `l${n}` }))] });
    expect(partSchema.safeParse(own(39)).success).toBe(true);
    expect(partSchema.safeParse(own(41)).error?.issues[0].message).toContain('At most 40 layers');
  });
});
