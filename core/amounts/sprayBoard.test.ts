import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BoardItem, sprayBoard, sweepsMl, sweepsOf } from './index.ts';

/** Small parts sprayed side by side share their sweeps. */

const LACQUER = { filmUm: 12, solids: 0.1 };
const casting = (id: string): BoardItem => ({ id, faces: [{ longMm: 75, shortMm: 30, count: 5 }] });
const items = (count: number) => Array.from({ length: count }, (_, at) => casting(`c${at}`));

describe('a spray board', () => {
  it('of one part takes what the part takes by itself: the worked casting, 5.8 mL a coat', () => {
    const { mlTogether, mlApart, turns, sweepsTogether, sweepsApart } = sprayBoard(items(1), LACQUER, 'aerosol');
    expect(mlApart).toBeCloseTo(5.83, 2);
    expect([mlTogether, turns, sweepsTogether]).toEqual([mlApart, 5, sweepsApart]);
  });
  it('of six castings sweeps a row of them in one go, five turns', () => {
    const { rows, sweepsTogether, sweepsApart, mlTogether, mlApart, lengthMm } = sprayBoard(items(6), LACQUER, 'aerosol');
    expect(rows).toHaveLength(1);
    expect(lengthMm).toBe(6 * 75 + 5 * 15);
    expect([sweepsTogether, sweepsApart]).toEqual([10, 60]);
    // Two sweeps of 525 + 100 mm a turn at 300 mm/s and 1 mL/s; below that the film itself holds: 4.5 mL a casting.
    expect(mlTogether).toBeCloseTo(Math.max(5 * 2 * (625 / 300), 6 * 4.48), 1);
    expect(mlApart).toBeCloseTo(6 * 5.83, 1);
  });
  it('empties a can by the length of its sweeps, with what runs over at both ends', () => {
    const thin = { filmUm: 1, solids: 0.9 };
    const { mlTogether, heightMm, rows } = sprayBoard(items(6), thin, 'aerosol');
    expect(mlTogether).toBeCloseTo((5 * 2 * (525 + 2 * 50)) / 300, 9);
    expect(heightMm).toBe(30);
    const two = sprayBoard([...items(7), ...items(2)], thin, 'aerosol');
    expect([two.rows.length, two.heightMm]).toEqual([2, 30 + 15 + 30]);
    expect(rows[0].lengthMm).toBe(525);
  });
  it('lays the largest face of each first', () => {
    const faces = [
      { longMm: 20, shortMm: 10 },
      { longMm: 90, shortMm: 60 },
    ];
    expect(sprayBoard([{ id: 'a', faces }], LACQUER, 'gun').laid).toMatchObject([{ longMm: 90, shortMm: 60 }]);
  });
  it('begins another row where an arm ends, and puts the tallest first', () => {
    const mixed = [...items(8), { id: 'wall', faces: [{ longMm: 200, shortMm: 120 }] }];
    const { rows, laid } = sprayBoard(mixed, LACQUER, 'aerosol');
    expect(laid[0].id).toBe('wall');
    expect(rows.length).toBeGreaterThan(1);
    for (const { lengthMm } of rows) expect(lengthMm).toBeLessThanOrEqual(600);
    expect(sprayBoard([{ id: 'long', faces: [{ longMm: 900, shortMm: 50 }] }], LACQUER, 'aerosol').rows).toMatchObject([{ lengthMm: 900 }]);
  });
  it('of nothing is empty', () =>
    expect(sprayBoard([], LACQUER, 'gun')).toMatchObject({ rows: [], mlTogether: 0, sweepsApart: 0, lengthMm: 0 }));
});

const face = fc.record({
  longMm: fc.integer({ min: 5, max: 800 }),
  shortMm: fc.integer({ min: 3, max: 300 }),
  count: fc.integer({ min: 1, max: 4 }),
});
const hand = fc.constantFrom('aerosol' as const, 'airbrush' as const, 'gun' as const);

describe('any parts on a board', () => {
  const parts = fc.array(fc.array(face, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 12 });
  it('never take more than one by one, never less than their film, and lie apart within their rows', () => {
    fc.assert(
      fc.property(parts, hand, (faces, tool) => {
        const board = sprayBoard(
          faces.map((own, at) => ({ id: `p${at}`, faces: own })),
          LACQUER,
          tool,
        );
        expect(board.mlTogether).toBeLessThanOrEqual(board.mlApart + 1e-9);
        expect(board.laid).toHaveLength(faces.length);
        for (const [at, one] of board.laid.entries())
          for (const other of board.laid.slice(at + 1)) {
            const beside = one.x + one.longMm <= other.x || other.x + other.longMm <= one.x;
            const above = one.y + one.shortMm <= other.y || other.y + other.shortMm <= one.y;
            expect(beside || above).toBe(true);
          }
      }),
    );
  });
  it('count as many sweeps apart as the amounts of each do', () => {
    fc.assert(
      fc.property(parts, hand, (faces, tool) => {
        const { sweepsApart } = sprayBoard(
          faces.map((own, at) => ({ id: `p${at}`, faces: own })),
          LACQUER,
          tool,
        );
        expect(sweepsApart).toBe(faces.flat().reduce((sum, own) => sum + own.count * sweepsOf(own, tool), 0));
        expect(sweepsMl(faces.flat(), tool)).toBeGreaterThan(0);
      }),
    );
  });
});
