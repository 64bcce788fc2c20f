import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  standingEvents,
  pieceSchema,
  canSchema,
  labelSchema,
  freeHoursSchema,
  readWorkshopText,
  shiftFile,
  type LogEvent,
  FORMAT_VERSION,
} from './index.ts';

const text = readFileSync(new URL('../../demo/breakwater.json', import.meta.url), 'utf8');
const problemOf = (input: string) => {
  const read = readWorkshopText(input);
  return read.ok ? null : read.problem;
};
const changed = (change: (file: { facts: Record<string, Record<string, unknown>[]>; version: number }) => void) => {
  const file = JSON.parse(text);
  change(file);
  return problemOf(JSON.stringify(file));
};

describe('a file moved to another day', () => {
  it('keeps money of this month in this month, at both ends of it, and moves the rest to the minute', () => {
    const read = readWorkshopText(text);
    if (!read.ok) throw new Error(read.problem.error);
    const [written] = read.value.facts.budgets.filter(({ month }) => month);
    expect(written.month).toBe(read.value.writtenAt.slice(0, 7));
    for (const moment of ['2026-11-30T23:59:00Z', '2027-01-01T00:00:00Z', '2028-02-29T12:00:00Z', '2025-12-31T08:00:00Z']) {
      const { facts, writtenAt } = shiftFile(read.value, Date.parse(moment) / 60_000);
      expect(facts.budgets.find(({ id }) => id === written.id)?.month).toBe(moment.slice(0, 7));
      expect(writtenAt).toBe(moment);
      expect(facts.events.every(({ at }) => at <= moment)).toBe(true);
    }
  });
});

describe('workshop file', () => {
  it('reads back what it wrote', () => {
    const read = readWorkshopText(text);
    expect(read.ok && JSON.parse(JSON.stringify(read.value))).toEqual(JSON.parse(text));
  });
  it('says what is wrong with junk, a cut file, a newer version and a stranger', () => {
    expect(problemOf('not json')?.mend).toContain('Export it again');
    expect(problemOf(text.slice(0, 5000))?.error).toContain('no readable');
    expect(problemOf('{"format":"other"}')?.at).toBe('format');
    expect(problemOf('null')?.at).toBe('format');
    expect(
      changed((file) => {
        file.version = FORMAT_VERSION + 1;
      })?.mend,
    ).toContain('Update');
  });
  it('names the place of a bad value', () => {
    expect(
      changed((file) => {
        (file.facts.cans[0] as { packMl: number }).packMl = 0;
      }),
    ).toMatchObject({ at: 'facts.cans.0.packMl', error: 'The volume must be above 0 mL.' });
    expect(
      changed((file) => {
        (file.facts.cans[0] as { productId: string }).productId = 'nowhere';
      }),
    ).toMatchObject({ at: 'facts.cans.0.productId' });
    expect(
      changed((file) => {
        file.facts.pieces[1].id = file.facts.pieces[0].id;
      })?.error,
    ).toContain('twice');
    expect(
      changed((file) => {
        (file.facts.workshop[0] as { dryPlaceId: string }).dryPlaceId = 'moon';
      })?.at,
    ).toContain('dryPlaceId');
    expect(
      changed((file) => {
        (file.facts.pieces[0] as Record<string, unknown>).colour = 'blue';
      })?.error,
    ).toContain('Unknown field');
  });
  it('refuses a file without a workshop', () => {
    expect(
      changed((file) => {
        file.facts.workshop = [];
      })?.at,
    ).toBe('facts.workshop');
  });
  it('refuses caustic on aluminium at its place', () => {
    const problem = changed((file) => {
      const plane = file.facts.pieces.find((piece) => piece.id === 'seaplane') as { parts: { stripMethod?: string }[] };
      plane.parts[0].stripMethod = 'caustic';
    });
    expect(problem).toMatchObject({ at: 'facts.pieces.5.parts.0.stripMethod' });
    expect(problem?.error).toContain('Caustic never');
  });
  it('survives any junk with a clear error', () => {
    fc.assert(
      fc.property(fc.string(), (junk) => (problemOf(junk)?.mend.length ?? 0) > 5),
      { seed: 6, numRuns: 200 },
    );
    fc.assert(
      fc.property(fc.json(), (junk) => (problemOf(junk)?.mend.length ?? 0) > 5),
      { seed: 7, numRuns: 200 },
    );
  });
});

describe('an entry put right', () => {
  const wash: LogEvent = {
    id: 'w',
    at: '2026-12-01T10:00:00Z',
    kind: 'done',
    pieceId: 'bell',
    stepKeys: ['bell.body.wash.-.1'],
    on: [{ partId: 'body', zoneIds: ['all'] }],
  };
  const amend = (id: string, at: string, more: object): LogEvent => ({
    id,
    at: `2026-12-01T${at}:00Z`,
    kind: 'amend',
    amends: 'w',
    to: wash.at,
    ...more,
  });
  it('counts with its last time and the last minutes said, whichever of them was said last', () => {
    const events = [
      wash,
      amend('a', '11:00', { minutes: 40 }),
      amend('b', '12:00', { minutes: 25 }),
      amend('c', '13:00', { to: '2026-12-01T09:00:00Z' }),
    ];
    expect(standingEvents(events)).toEqual([{ ...wash, at: '2026-12-01T09:00:00Z', minutes: 25 }]);
    const undone: LogEvent = { id: 'u', at: '2026-12-01T14:00:00Z', kind: 'undo', undoes: 'b' };
    expect(standingEvents([...events, undone])).toMatchObject([{ minutes: 40 }]);
  });
});

describe('what is missing or of another kind', () => {
  const without = (change: (file: { facts: Record<string, unknown> }) => void) =>
    changed((file) => change(file as unknown as { facts: Record<string, unknown> }));
  it.each<[string, (facts: Record<string, unknown>) => void, string, string]>([
    ['a list that is missing', (facts) => delete facts.pieces, 'It is missing', 'Add it: a list.'],
    ['a list that is none', (facts) => Object.assign(facts, { pieces: 'all' }), 'It is not a list', 'Give a list.'],
    ['an entry that is none', (facts) => Object.assign(facts, { shops: [7] }), 'It is not an object', 'Give an object.'],
  ])('%s is said in words, at its place', (_what, change, error, mend) => {
    const problem = without(({ facts }) => change(facts));
    expect([problem?.error, problem?.mend]).toEqual([error, mend]);
    expect(problem?.at).toMatch(/^facts\.(pieces|shops\.0)$/);
  });
});

describe('field rules', () => {
  const piece = JSON.parse(text).facts.pieces[0];
  const errorOf = (value: unknown) => pieceSchema.safeParse(value).error?.issues[0].message;
  it('speaks plainly about sizes, names and faces', () => {
    expect(errorOf({ ...piece, longestMm: -5 })).toContain('at least 0.1 mm');
    expect(errorOf({ ...piece, longestMm: 90_000 })).toContain('Check the unit');
    expect(errorOf({ ...piece, name: 'x'.repeat(200) })).toContain('80 characters');
    expect(errorOf({ ...piece, parts: [{ ...piece.parts[1], faces: [] }] })).toContain('at least one face');
    expect(errorOf({ ...piece, name: 'עגלה 🚋' })).toBeUndefined();
  });
  it('refuses parts that belong to one another in a circle, and takes a chain', () => {
    const within = (links: readonly (string | undefined)[]) => {
      const own = JSON.parse(text).facts.pieces[0];
      const [, part] = own.parts;
      const parts = links.map((to, index) => ({ ...part, id: `p${index}`, pegs: [], within: to }));
      const { fastenings: _f, parcels: _p, pictures: _i, bags: _b, fitOrder: _o, references: _r, targets: _t, ...rest } = own;
      return pieceSchema.safeParse({ ...rest, parcels: [], parts });
    };
    expect(within([undefined, 'p0', 'p1']).error).toBeUndefined();
    expect(within(['p1', 'p0']).success).toBe(false);
    expect(within(['p2', 'p0', 'p1']).success).toBe(false);
    expect(within([undefined, 'p2', 'p1']).success).toBe(false);
    expect(within(['p0']).success).toBe(false);
  });
  it('refuses windows that close before they open and cans that hold too much', () => {
    expect(labelSchema.safeParse({ coatFromMin: 60, coatUntilMin: 20 }).error?.issues[0].message).toContain('closes before it opens');
    expect(labelSchema.safeParse({ solids: 1.4 }).success).toBe(false);
    expect(freeHoursSchema.safeParse({ weekday: 1, from: '22:00', to: '19:00' }).success).toBe(false);
    expect(
      canSchema.safeParse({ id: 'a', productId: 'b', packMl: 400, leftMl: 500, leftAt: '2026-12-01T19:00:00Z', opened: true, paid: 1 })
        .error?.issues[0].message,
    ).toContain('More is left');
  });
});

describe('the standing log', () => {
  const note = (id: string, at: string): LogEvent => ({ id, at: `2026-12-01T${at}:00Z`, kind: 'note', text: id });
  it('leaves out what was undone, and brings back what was redone', () => {
    const a = note('a', '10:00');
    const undo: LogEvent = { id: 'u', at: '2026-12-01T11:00:00Z', kind: 'undo', undoes: 'a' };
    const redo: LogEvent = { id: 'r', at: '2026-12-01T12:00:00Z', kind: 'undo', undoes: 'u' };
    expect(standingEvents([a, undo])).toEqual([]);
    expect(standingEvents([a, undo, redo])).toEqual([a]);
    expect(standingEvents([note('b', '12:00'), a]).map((event) => event.id)).toEqual(['a', 'b']);
  });
});
