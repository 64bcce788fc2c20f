import { type DoneEvent, type Facts, type LogEvent, plain } from '#core/facts/index';
import { coat, cut, NOW, part, piece, shelf } from '#core/invented/index';
import { toIso } from '#core/units/index';
import { describe, expect, it } from 'vitest';
import { entriesOf, entryKind, entryText, filtered, searchableEntry, searchableFact, searchWords } from './index.ts';

const facts: Facts = { ...shelf, pieces: [piece(part({ id: 'hull', name: 'Hull' }), { id: 'boat', name: 'Tin boat' })] };
const words = {
  moment: (at: number) => toIso(at),
  money: (minor: number) => `${minor} c`,
  volume: (ml: number) => `${ml} mL`,
  temperature: (celsius: number) => `${celsius} °C`,
};
const at = toIso(NOW);
const about = { id: 'e', at, pieceId: 'boat' };
const laid = coat('red', 1, 60, 'acrylic-lacquer', 'colour', 18) as DoneEvent;

describe('an entry in words', () => {
  it.each<[LogEvent, string, string]>([
    [{ ...about, kind: 'wait', stepKeys: ['k'], until: at }, `Put off until ${at}`, 'Tin boat'],
    [{ ...about, kind: 'trouble', stepKeys: ['k'], partIds: ['hull'], sign: 'fish-eye' }, 'Trouble: fish eye', 'Tin boat, hull'],
    [{ ...about, kind: 'trouble', stepKeys: ['k'], partIds: ['gone'], sign: 'run' }, 'Trouble: run', 'Tin boat, a part since taken out'],
    [{ ...about, kind: 'dryness', partId: 'hull', zoneId: 'all', stage: 'coat', seen: 'tacky' }, 'Still tacky', 'Tin boat, hull'],
    [{ id: 'e', at, kind: 'note', text: 'M2 taps' }, 'M2 taps', ''],
    [
      { id: 'e', at, kind: 'bought', productId: shelf.products[0].id, packMl: 400, count: 2, paid: 900 },
      `Bought 2 × ${shelf.products[0].name}`,
      '900 c',
    ],
    [{ id: 'e', at, kind: 'counted', stockId: 'none', left: 3 }, 'Counted: 3 left', ''],
    [
      { ...about, kind: 'patch', partIds: ['hull'], method: 'gel', outcome: 'clean', dwellMinutes: 20 },
      `Test patch, ${plain('gel')}: came off clean`,
      'Tin boat, hull',
    ],
  ])('%o', (event, what, who) => {
    expect(entryText(event, facts, words)).toEqual({ what, who });
  });
  it('names the coat with its film', () => {
    expect(entryText(laid, facts, words).what).toMatch(/^Coat of .+, [\d.]+ µm$/);
  });
  it('names the zones of a coat that went on some of them only', () => {
    const cutHull = { ...shelf, pieces: [piece(part({ cuts: [cut('waist', 'all', 'line')] }), { id: 'boat', name: 'Tin boat' })] };
    const on = (...zoneIds: string[]) => entryText({ ...laid, pieceId: 'boat', on: [{ partId: 'body', zoneIds }] }, cutHull, words).who;
    expect(on('waist-other')).toBe('Tin boat, waist other');
    expect(on('waist-one', 'waist-other')).toBe('Tin boat');
    expect(on('all')).toBe('Tin boat');
  });
});

describe('the log narrowed', () => {
  const note = (id: string, minutesAgo: number, pieceId?: string): LogEvent => ({
    id,
    at: toIso(NOW - minutesAgo),
    kind: 'note',
    text: id,
    ...(pieceId ? { pieceId } : {}),
  });
  const entries = entriesOf([note('old', 5000), note('boat', 100, 'boat'), note('new', 5), laid]);
  const ids = (filter: Parameters<typeof filtered>[1]) => filtered(entries, filter).map(({ event }) => event.id);
  it('by piece, paint, kind, days and what was found, all together', () => {
    expect(ids({})).toEqual(['new', laid.id, 'boat', 'old']);
    expect(ids({ pieceId: 'boat' })).toContain('boat');
    expect(ids({ pieceId: 'boat' })).not.toContain('new');
    expect(ids({ kind: 'coat' })).toEqual([laid.id]);
    expect(ids({ kind: 'note', from: NOW - 100, until: NOW - 5 })).toEqual(['boat']);
    expect(ids({ kind: 'note', until: NOW - 4 })).toEqual(['new', 'boat', 'old']);
    expect(ids({ ids: new Set(['old']) })).toEqual(['old']);
    expect(ids({ ids: new Set(['old']), pieceId: 'boat' })).toEqual([]);
    expect(ids({ productId: 'starter-acrylic-lacquer-colour-product' })).toEqual([laid.id]);
    expect(ids({ productId: 'another' })).toEqual([]);
  });
  it('knows a coat from other work', () => {
    const { coat: _coat, ...bare } = laid;
    expect([entryKind(laid), entryKind(bare)]).toEqual(['coat', 'work']);
  });
});

describe('what is looked for', () => {
  it('is a piece, its parts and paints by what they are called and made of', () => {
    const rows = searchableFact('pieces', facts.pieces[0], facts);
    expect(rows.map(({ kind, title }) => [kind, title])).toEqual([
      ['piece', 'Tin boat'],
      ['part', 'Hull'],
    ]);
    expect(rows[1].body).toContain('Tin boat');
    expect(searchableFact('products', shelf.products[0], facts)[0]).toMatchObject({ kind: 'paint', title: shelf.products[0].name });
    const coded = { ...shelf.products[0], code: 'T 34' };
    expect(searchableFact('products', coded, facts)[0].body).toContain('T 34');
    expect(searchableFact('places', shelf.places[0], facts)).toEqual([]);
    expect(searchableEntry(laid, facts, words)).toMatchObject({ kind: 'entry', id: laid.id, title: expect.stringContaining('Coat of') });
  });
  it('is the first dozen words of what was typed, without its marks', () => {
    expect(searchWords('“Dunlin” lock-green, 2nd!')).toEqual(['Dunlin', 'lock', 'green', '2nd']);
    expect(searchWords('a '.repeat(40))).toHaveLength(12);
    expect(searchWords('"*()')).toEqual([]);
  });
});
