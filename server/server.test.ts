import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FastifyInstance } from 'fastify';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { bundle } from '../bin/bundle.ts';
import { buildApp } from './app.ts';
import { simulatedSensor } from './standins/thermoHygrometer.ts';
import { BadSetting } from './badSetting.ts';
import { openDemo, type Opened, openWorkshop } from './workshopFolder.ts';

const root = new URL('..', import.meta.url).pathname;
const host = { host: '127.0.0.1:4180' };
let folder = '';
let opened: Opened;
let app: FastifyInstance;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'enamelos-'));
  opened = openWorkshop(folder);
  app = await buildApp(opened);
});
afterEach(async () => {
  await app.close();
  opened.close();
  rmSync(folder, { recursive: true, force: true });
});

const get = async (url: string) => (await app.inject({ url, headers: host })).json();
const send = async (method: 'PUT' | 'POST' | 'DELETE', url: string, payload?: object) => {
  const reply = await app.inject({ method, url, headers: host, ...(payload ? { payload } : {}) });
  return { status: reply.statusCode, body: reply.json() };
};
const shop = (name: string) => ({ id: 'quay', name, delivery: 0, leadDays: 1 });
const note = (id: string, text = 'x') => ({ id, at: '2026-12-01T19:00:00Z', kind: 'note', text });

describe('facts over HTTP', () => {
  it('begins with a workshop to be set up and the starter shelf', async () => {
    const { facts, demo } = await get('/api/workshop');
    expect(demo).toBe(false);
    expect(facts.workshop[0].started).toBe(false);
    expect(facts.products.length).toBeGreaterThan(8);
  });
  it('writes, refuses a stale write, undoes against the newest, removes and brings back', async () => {
    expect(await send('PUT', '/api/facts/shops/quay', { revision: 0, value: shop('Quay') })).toEqual({
      status: 200,
      body: { revision: 1 },
    });
    expect((await send('PUT', '/api/facts/shops/quay', { revision: 1, value: shop('Quay 2') })).body.revision).toBe(2);
    const stale = await send('PUT', '/api/facts/shops/quay', { revision: 1, value: shop('Lost') });
    expect(stale).toMatchObject({ status: 409, body: { current: 2 } });
    expect((await send('POST', '/api/undo/shops/quay', { revision: 1 })).status).toBe(409);
    await send('POST', '/api/undo/shops/quay', { revision: 2 });
    expect((await get('/api/workshop')).facts.shops[0].name).toBe('Quay');
    const removed = await send('DELETE', '/api/facts/shops/quay?revision=3');
    expect((await get('/api/workshop')).facts.shops).toEqual([]);
    await send('POST', '/api/undo/shops/quay', removed.body);
    expect((await get('/api/workshop')).facts.shops[0].name).toBe('Quay');
  });
  it('takes a list of prices all or nothing', async () => {
    await send('PUT', '/api/facts/shops/quay', { revision: 0, value: shop('Quay') });
    const { facts } = await get('/api/workshop');
    const offer = (id: string, price: number) => ({
      id,
      shopId: 'quay',
      productId: facts.products[0].id,
      packMl: 400,
      price,
      seenOn: '2026-12-01',
    });
    const put = (...writes: [string, number, number][]) =>
      send('PUT', '/api/facts/offers', { writes: writes.map(([id, price, revision]) => ({ revision, value: offer(id, price) })) });
    expect(await put(['a', 700, 0], ['b', 800, 0])).toEqual({ status: 200, body: { written: 2 } });
    expect((await put(['a', 650, 1], ['b', -1, 1])).status).toBe(422);
    expect((await put(['a', 650, 1], ['b', 750, 0])).status).toBe(409);
    expect((await get('/api/workshop')).facts.offers.map(({ price }: { price: number }) => price)).toEqual([700, 800]);
    expect((await put(['a', 650, 1])).body).toEqual({ written: 1 });
  });
  it('takes a shelf as a table the same way, and nothing that is no table', async () => {
    const { facts } = await get('/api/workshop');
    const can = (id: string, more = {}) => ({
      id,
      productId: facts.products[0].id,
      packMl: 400,
      leftMl: 100,
      leftAt: '2026-12-01T19:00:00Z',
      opened: true,
      paid: 0,
      ...more,
    });
    const put = (collection: string, ...values: object[]) =>
      send('PUT', `/api/facts/${collection}`, { writes: values.map((value) => ({ revision: 0, value })) });
    expect(await put('cans', can('one'), can('two', { expires: '2027-01-01' }))).toEqual({ status: 200, body: { written: 2 } });
    expect((await put('cans', can('three'), can('four', { placeId: 'nowhere' }))).status).toBe(422);
    expect((await put('pieces', {})).status).toBe(422);
    expect((await get('/api/workshop')).facts.cans.map(({ id }: { id: string }) => id).sort()).toEqual(['one', 'two']);
  });
  it('says what the simulated shops ask today, and writes nothing of it', async () => {
    const before = await get('/api/workshop');
    const { shops, offers } = await get('/api/shops/prices?today=2026-12-01');
    expect([shops.length, offers.length > before.facts.products.length]).toEqual([3, true]);
    expect(await get('/api/workshop')).toEqual(before);
    expect(await get('/api/shops/prices?today=soon')).toMatchObject({ status: 422 });
  });
  it('refuses what does not fit, naming place and mend, and changes nothing', async () => {
    const before = await get('/api/workshop');
    const bad = await send('PUT', '/api/facts/shops/quay', { revision: 0, value: { ...shop('Quay'), delivery: -4 } });
    expect(bad).toMatchObject({ status: 422, body: { at: 'delivery', title: 'Money is not negative.' } });
    expect(
      (
        await send('PUT', '/api/facts/cans/c', {
          revision: 0,
          value: { id: 'c', productId: 'none', packMl: 400, leftMl: 1, leftAt: '2026-12-01T19:00:00Z', opened: true, paid: 0 },
        })
      ).status,
    ).toBe(422);
    const inUse = await send('DELETE', '/api/facts/sheets/starter-acrylic-lacquer-colour?revision=1');
    expect(inUse).toMatchObject({ status: 422 });
    expect(inUse.body.mend).toContain('still uses');
    expect((await send('PUT', '/api/facts/wishes/quay', { revision: 0, value: {} })).status).toBe(422);
    expect(await get('/api/workshop')).toEqual(before);
  });
  it('keeps the workshop itself', async () => {
    expect(await send('DELETE', '/api/facts/workshop/workshop?revision=1')).toMatchObject({ status: 422 });
    const demo = JSON.parse(readFileSync(join(root, 'demo/breakwater.json'), 'utf8'));
    demo.facts.workshop = [];
    expect(await send('POST', '/api/import', { text: JSON.stringify(demo), apply: true })).toMatchObject({
      status: 422,
      body: { at: 'facts.workshop' },
    });
  });
  it('takes an event once, however often it is sent', async () => {
    expect((await send('POST', '/api/events', { events: [note('a')] })).body.added).toBe(1);
    expect((await send('POST', '/api/events', { events: [note('a', 'other')] })).body.added).toBe(0);
    expect((await get('/api/workshop')).facts.events).toEqual([note('a')]);
    expect((await send('POST', '/api/events', { events: [{ id: 'b', kind: 'dance' }] })).status).toBe(422);
  });
  it('exports and imports the same workshop, all or nothing', async () => {
    const demo = readFileSync(join(root, 'demo/breakwater.json'), 'utf8');
    const look = await send('POST', '/api/import', { text: demo, apply: false });
    expect(look.body).toMatchObject({ applied: false, counts: { pieces: { now: 0, file: 9 } } });
    expect((await get('/api/workshop')).facts.pieces).toEqual([]);
    await send('POST', '/api/import', { text: demo, apply: true });
    const out = await get('/api/export');
    const sorted = (list: { id: string }[]) => [...list].sort((a, b) => a.id.localeCompare(b.id));
    for (const [name, list] of Object.entries(JSON.parse(demo).facts))
      expect(sorted(out.facts[name])).toEqual(sorted(list as { id: string }[]));
    const bad = await send('POST', '/api/import', { text: demo.slice(0, 900), apply: true });
    expect(bad).toMatchObject({ status: 422 });
    expect((await get('/api/workshop')).facts.pieces).toHaveLength(9);
  });
  it('answers only this machine and its own pages', async () => {
    expect((await app.inject({ url: '/api/workshop', headers: { host: 'evil.example' } })).statusCode).toBe(403);
    expect((await app.inject({ url: '/api/workshop', headers: { ...host, origin: 'http://evil.example' } })).statusCode).toBe(403);
    expect((await app.inject({ url: '/api/workshop', headers: { ...host, origin: 'http://127.0.0.1:4180' } })).statusCode).toBe(200);
    expect(Object.keys((await get('/api/openapi.json')).paths)).toContain('/api/events');
  });
});

describe('folders', () => {
  it('never takes a person’s own folder for a demo', async () => {
    opened.close();
    await expect(openDemo(folder, false, 0)).rejects.toThrow(BadSetting);
    await expect(openDemo(folder, true, 0)).rejects.toThrow(BadSetting);
    opened = openWorkshop(folder);
    expect(opened.db.prepare('SELECT count(*) AS n FROM fact').get()).not.toEqual({ n: 0 });
  });
  it('loads the demo once, shifted to now, and again when asked', async () => {
    const own = mkdtempSync(join(tmpdir(), 'enamelos-demo-'));
    const now = 30_000_000;
    const first = await openDemo(own, false, now);
    expect(first.store.snapshot().facts.workshop[0].extraFree[0].from).toBe(
      new Date((now - 20) * 60_000).toISOString().replace('.000', ''),
    );
    first.store.append([{ id: 'mine', at: '2026-12-01T19:00:00Z', kind: 'note', text: 'kept' }]);
    first.close();
    const again = await openDemo(own, false, now + 5);
    expect(again.store.snapshot().facts.events.some((event) => event.id === 'mine')).toBe(true);
    again.close();
    const fresh = await openDemo(own, true, now + 9);
    expect(fresh.store.snapshot().facts.events.some((event) => event.id === 'mine')).toBe(false);
    fresh.close();
    rmSync(own, { recursive: true, force: true });
  });
});

describe('the simulated sensor', () => {
  it('gives a believable day and can fall silent', () => {
    const place = { meanC: 16, swingC: 4, meanRh: 60 };
    const at = (hour: number) => simulatedSensor(place).read(new Date(2026, 11, 1, hour));
    expect((at(15)?.airC ?? 0) - (at(3)?.airC ?? 0)).toBeGreaterThan(5);
    expect(simulatedSensor(place, 'silent').read(new Date(0))).toBeNull();
  });
});

describe('a server killed right after it answered', () => {
  let built = '';
  beforeAll(async () => {
    built = mkdtempSync(join(root, 'dist-test-'));
    await bundle(built);
  });
  afterAll(() => rmSync(built, { recursive: true, force: true }));

  const start = (data: string) =>
    new Promise<{ child: ChildProcess; url: string }>((resolve, reject) => {
      const child = spawn('node', [join(built, 'server.js')], { cwd: root, env: { ...process.env, PORT: '0', ENAMELOS_DATA: data } });
      let said = '';
      child.stdout?.on('data', (chunk) => {
        said += chunk;
        const ready = /ready at (http:\S+)/.exec(said);
        if (ready) resolve({ child, url: ready[1] });
      });
      child.on('exit', (code) => reject(new Error(`server ended with ${code}: ${said}`)));
    });
  const ended = (child: ChildProcess) => new Promise<void>((resolve) => child.on('exit', () => resolve()));

  it('loses nothing, many times over', { timeout: 3_600_000 }, async () => {
    const data = mkdtempSync(join(tmpdir(), 'enamelos-kill-'));
    const answered: string[] = [];
    const rounds = process.env.PROOF ? 1000 : 8;
    for (let round = 0; round < rounds; round++) {
      const { child, url } = await start(data);
      const { facts } = await (await fetch(`${url}/api/workshop`)).json();
      expect(facts.events.map((event: { id: string }) => event.id)).toEqual(answered);
      for (let write = 0; write < 4; write++) {
        const id = `r${round}-${write}`;
        const reply = await fetch(`${url}/api/events`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ events: [note(id)] }),
        });
        if (reply.ok) answered.push(id);
      }
      const gone = ended(child);
      child.kill('SIGKILL');
      await gone;
    }
    expect(answered).toHaveLength(4 * rounds);
    const { child } = await start(data);
    const gone = new Promise<number | null>((resolve) => child.on('exit', resolve));
    child.kill('SIGTERM');
    expect(await gone).toBe(0);
    rmSync(data, { recursive: true, force: true });
  });
});
