import { describe, expect, it } from 'vitest';
import { demoText, note, testWorkshop } from './testWorkshop.ts';

/** Words looked for in everything a workshop holds. */

const bench = testWorkshop();
type Row = { kind: string; id: string; title: string; shownTitle: string; shownBody: string };
const find = async (q: string, more = '') => (await bench.get(`/api/search?q=${encodeURIComponent(q)}${more}`)).body as Row[];
const importDemo = () => bench.send('POST', '/api/import', { text: demoText, apply: true });

describe('a search', () => {
  it('finds a piece before its parts, paints and entries, and shows what matched', async () => {
    await importDemo();
    const found = await find('tram');
    expect(found[0]).toMatchObject({ kind: 'piece', id: 'tram', shownTitle: expect.stringContaining('\uE000Tram\uE001') });
    expect(found.findIndex(({ kind }) => kind === 'entry')).toBeGreaterThan(0);
  });
  it('takes beginnings of words, in any order and case, with or without their accents', async () => {
    await importDemo();
    expect((await find('GREEN lo')).map(({ title }) => title)).toContain('Dunlin lock green');
    await bench.send('POST', '/api/events', { events: [note('n', 'Crème for the café sign')] });
    expect((await find('cafe creme')).map(({ id }) => id)).toEqual(['n']);
  });
  it('hears of a new entry, a new name and a removal at once', async () => {
    await importDemo();
    expect(await find('zanzibar')).toEqual([]);
    await bench.send('POST', '/api/events', { events: [note('n', 'Zanzibar red, three drops')] });
    expect(await find('zanz')).toHaveLength(1);
    const { facts, revisions } = bench.opened.store.snapshot();
    const vane = facts.pieces.find((piece) => piece.id === 'vane');
    await bench.send('PUT', '/api/facts/pieces/vane', { revision: revisions['pieces/vane'], value: { ...vane, name: 'Zanzibar clipper' } });
    expect((await find('zanzibar')).map(({ kind }) => kind)).toEqual(expect.arrayContaining(['piece', 'part', 'entry']));
    await bench.send('DELETE', `/api/facts/pieces/vane?revision=${revisions['pieces/vane'] + 1}`);
    expect((await find('clipper')).filter(({ kind }) => kind === 'piece')).toEqual([]);
  });
  it('of one kind alone is just that, as many as asked', async () => {
    await importDemo();
    expect(new Set((await find('green', '&kind=entry')).map(({ kind }) => kind))).toEqual(new Set(['entry']));
    expect(await find('coat', '&kind=entry&most=3')).toHaveLength(3);
  });
  it.each(['', ' ', '"', '"""', '*', "' OR 1=1 --", 'NEAR(a b)', 'a AND', '(', '-', 'col:x', '日本', 'a\u0000b'])(
    'for %j is answered',
    async (q) => {
      await importDemo();
      expect(await find(q)).toBeInstanceOf(Array);
    },
  );
  it('of one letter and of ten thousand characters is answered', async () => {
    await importDemo();
    expect((await find('t')).length).toBeGreaterThan(3);
    expect(await find('x'.repeat(10_000))).toEqual([]);
    expect(await find('green '.repeat(1700))).not.toEqual([]);
    expect((await bench.get('/api/search?q=a&most=90000')).status).toBe(422);
  });
});
