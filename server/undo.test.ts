import { describe, expect, it } from 'vitest';
import { demoText, note, shop, testWorkshop } from './testWorkshop.ts';

/** Undo goes to the last state the person had, and back from a whole file in one step. */

const bench = testWorkshop();
const importDemo = async (change: (facts: Record<string, { id: string; name?: string }[]>) => void = () => undefined) => {
  const file = JSON.parse(demoText);
  change(file.facts);
  return (await bench.send('POST', '/api/import', { text: JSON.stringify(file), apply: true })).body;
};
const facts = () => bench.opened.store.snapshot().facts;
const revision = (key: string) => bench.opened.store.snapshot().revisions[key];
const undo = (key: string, of = revision(key)) => bench.send('POST', `/api/undo/${key}`, { revision: of });

describe('undo by its address', () => {
  it('never takes the workshop away', async () => {
    expect(await undo('workshop/workshop')).toMatchObject({ status: 422, body: { mend: expect.stringContaining('hours') } });
    await importDemo();
    const before = facts().workshop[0].name;
    expect(await undo('workshop/workshop')).toMatchObject({ status: 422, body: { at: 'facts.workshop.0.sprayPlaceId' } });
    expect(facts().workshop.map(({ name }) => name)).toEqual([before]);
  });
  it('does not remove a piece that came with an import, and says how to undo that', async () => {
    await importDemo();
    expect(await undo('pieces/tram')).toMatchObject({ status: 422, body: { mend: expect.stringContaining('import') } });
    expect(facts().pieces.some((piece) => piece.id === 'tram')).toBe(true);
  });
  it('brings a piece changed by an import back as the person had it', async () => {
    await importDemo();
    const mine = facts().pieces.find((piece) => piece.id === 'tram');
    await bench.send('PUT', '/api/facts/pieces/tram', { revision: revision('pieces/tram'), value: { ...mine, name: 'My tram' } });
    await importDemo();
    expect((await undo('pieces/tram')).status).toBe(200);
    expect(facts().pieces.find((piece) => piece.id === 'tram')?.name).toBe('My tram');
  });
  it('still takes back an edit, an adding and a removing', async () => {
    await bench.send('PUT', '/api/facts/shops/quay', { revision: 0, value: shop('Quay') });
    await bench.send('PUT', '/api/facts/shops/quay', { revision: 1, value: shop('Quay 2') });
    await undo('shops/quay');
    expect(facts().shops[0].name).toBe('Quay');
    await bench.send('DELETE', '/api/facts/shops/quay?revision=3');
    await undo('shops/quay', 4);
    expect(facts().shops[0].name).toBe('Quay');
    await bench.send('PUT', '/api/facts/shops/pier', { revision: 0, value: shop('Pier', 'pier') });
    await undo('shops/pier');
    expect(facts().shops.map((own) => own.id)).toEqual(['quay']);
  });
});

describe('an import', () => {
  it('is taken back by the copy made before it, and that too', async () => {
    await bench.send('PUT', '/api/facts/shops/mine', { revision: 0, value: shop('Mine', 'mine') });
    await bench.send('POST', '/api/events', { events: [note('a')] });
    const mine = facts();
    const { before } = await importDemo();
    expect(facts().pieces).toHaveLength(9);
    const restored = await bench.send('POST', `/api/copies/${before}/restore`);
    expect(facts()).toEqual(mine);
    await bench.send('POST', `/api/copies/${restored.body.before}/restore`);
    expect(facts().pieces).toHaveLength(9);
  });
  it('leaves alone what it does not change', async () => {
    await importDemo();
    const before = revision('pieces/tram');
    await importDemo(({ pieces }) => Object.assign(pieces.find((piece) => piece.id === 'crane') ?? {}, { name: 'Other crane' }));
    expect(revision('pieces/tram')).toBe(before);
    expect(facts().pieces.find((piece) => piece.id === 'crane')?.name).toBe('Other crane');
  });
});

describe('an entry of the log', () => {
  const done = (more: object) => ({
    id: 'd',
    at: '2026-12-01T19:00:00Z',
    kind: 'done',
    pieceId: 'tram',
    stepKeys: ['k'],
    on: [{ partId: 'body', zoneIds: [] }],
    ...more,
  });
  it('about what was never here is refused with its place, and nothing of its portion is taken', async () => {
    await importDemo();
    const count = facts().events.length;
    const refused = await bench.send('POST', '/api/events', { events: [note('fine'), done({ pieceId: 'no-such-piece' })] });
    expect(refused).toMatchObject({ status: 422, body: { at: 'events.1.pieceId', mend: expect.stringContaining('piece') } });
    expect(facts().events).toHaveLength(count);
    const coat = {
      layerId: 'l',
      name: 'red',
      family: 'alkyd-enamel',
      role: 'colour',
      lab: { l: 40, a: 50, b: 30 },
      hand: 'brush',
      filmUm: 20,
      placeId: 'nowhere',
    };
    expect((await bench.send('POST', '/api/events', { events: [done({ coat })] })).body.at).toBe('events.0.coat.placeId');
  });
  it('about a piece that was removed meanwhile is taken', async () => {
    await importDemo();
    await bench.send('DELETE', `/api/facts/pieces/vane?revision=${revision('pieces/vane')}`);
    expect((await bench.send('POST', '/api/events', { events: [done({ pieceId: 'vane' })] })).body.added).toBe(1);
  });
});

describe('copies', () => {
  it('are kept fourteen days and five changes long, each said with what is in it', async () => {
    const { copies } = bench.opened;
    for (let day = 1; day <= 17; day++) await copies.daily(`2026-11-${String(day).padStart(2, '0')}T08:00:00.000Z`);
    for (let minute = 10; minute < 17; minute++) await copies.before('import', `2026-11-20T08:${minute}:00.000Z`);
    const listed = (await bench.get('/api/copies')).body as { name: string; bytes: number; holds: object }[];
    expect(listed.filter(({ name }) => name.startsWith('daily'))).toHaveLength(14);
    expect(listed.filter(({ name }) => name.startsWith('before-import'))).toHaveLength(5);
    expect(listed.every(({ bytes }) => bytes > 10_000)).toBe(true);
    expect(listed[0].holds).toEqual({ pieces: 0, events: 0, pictures: 0 });
  });
  it('of one day are made once', async () => {
    const { copies, store } = bench.opened;
    await copies.daily('2026-11-01T08:00:00.000Z');
    store.append([{ id: 'later', at: '2026-12-01T19:00:00Z', kind: 'note', text: 'x' }]);
    await copies.daily('2026-11-01T22:00:00.000Z');
    expect(copies.list()).toMatchObject([{ holds: { events: 0 } }]);
  });
  it('that do not exist, or reach out of their folder, are no copies', async () => {
    for (const name of ['daily-2020-01-01.sqlite', '..%2Fworkshop.sqlite', 'x'])
      expect((await bench.send('POST', `/api/copies/${name}/restore`)).status).toBe(404);
  });
});
