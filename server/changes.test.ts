import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FastifyInstance } from 'fastify';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { type Facts, FORMAT, FORMAT_VERSION } from '#core/facts/index';
import { buildApp } from './app.ts';
import { Changes } from './changes.ts';
import { runSensors } from './sensors.ts';
import type { Store } from './store/store.ts';
import { type Opened, openWorkshop } from './workshopFolder.ts';
import { generatedFacts } from '#core/invented/index';

let folder = '';
let opened: Opened;
let store: Store;
let changes: Changes;
let app: FastifyInstance;
let url = '';

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'enamelos-changes-'));
  opened = openWorkshop(join(folder, 'data'));
  ({ store } = opened);
  changes = new Changes();
  const web = join(folder, 'web');
  mkdirSync(join(web, 'assets'), { recursive: true });
  writeFileSync(join(web, 'index.html'), '<!doctype html><title>page</title>');
  writeFileSync(join(web, 'assets', 'a.js'), 'export {};');
  app = await buildApp({ ...opened, changes, webFolder: web });
  url = await app.listen({ port: 0, host: '127.0.0.1' });
});
afterEach(async () => {
  await app.close();
  opened.close();
  rmSync(folder, { recursive: true, force: true });
});

const note = (id: string) => ({ id, at: '2026-12-01T19:00:00Z', kind: 'note' as const, text: id });
const post = (path: string, body: object) =>
  fetch(url + path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

describe('changes', () => {
  it('reach an open tab as they happen, and the stream ends with the server', async () => {
    const reply = await fetch(`${url}/api/changes`);
    expect(reply.headers.get('content-type')).toBe('text/event-stream');
    const reader = reply.body?.getReader();
    const next = async () => new TextDecoder().decode((await reader?.read())?.value);
    const first = Number((await next()).match(/data: (\d+)/)?.[1]);
    await post('/api/events', { events: [note('a')] });
    expect(Number((await next()).match(/data: (\d+)/)?.[1])).toBe(first + 1);
    await post('/api/events', { events: [note('a')] });
    await post('/api/events', { events: [note('b')] });
    expect(Number((await next()).match(/data: (\d+)/)?.[1])).toBe(first + 2);
    await app.close();
    expect((await reader?.read())?.done).toBe(true);
  });
});

describe('pages', () => {
  it('serves the single page at every address of its own, and problems elsewhere', async () => {
    const page = await fetch(`${url}/pieces/tram/coats`);
    expect([page.status, await page.text()]).toEqual([200, '<!doctype html><title>page</title>']);
    const asset = await fetch(`${url}/assets/a.js`);
    expect(asset.headers.get('cache-control')).toContain('immutable');
    const missing = await fetch(`${url}/api/nothing`);
    expect([missing.status, missing.headers.get('content-type')]).toEqual([404, 'application/problem+json; charset=utf-8']);
    expect((await missing.json()).mend.length).toBeGreaterThan(5);
  });
  it('sends the guarding headers', async () => {
    const { headers } = await fetch(`${url}/`);
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(policy).not.toContain('upgrade-insecure-requests');
    expect(headers.get('strict-transport-security')).toBeNull();
  });
  it('refuses a body that is too large or no JSON, with what to do', async () => {
    const large = await post('/api/events', { events: [{ ...note('x'), text: 'y'.repeat(6_000_000) }] });
    expect(large.status).toBe(413);
    const junk = await fetch(`${url}/api/events`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{' });
    expect(junk.status).toBe(400);
    expect((await junk.json()).mend.length).toBeGreaterThan(5);
    expect((await post('/api/events', { events: [] })).status).toBe(422);
  });
});

describe('sensors', () => {
  it('write one reading a place and tell the tabs; a failing one writes nothing', async () => {
    const { facts, revisions } = store.snapshot();
    store.put('places', facts.places[0].id, { ...facts.places[0], hasSensor: true }, revisions[`places/${facts.places[0].id}`]);
    let told = 0;
    changes.subscribe(() => {
      told++;
    });
    runSensors(store, changes, 'silent', 5)();
    expect(store.snapshot().facts.readings).toEqual([]);
    const wild = runSensors(store, changes, 'nonsense', 5);
    await new Promise((resolve) => setTimeout(resolve, 40));
    wild();
    expect(store.snapshot().facts.readings).toEqual([]);
    const stop = runSensors(store, changes, undefined, 5);
    await expect.poll(() => told, { timeout: 5000 }).toBeGreaterThan(1);
    stop();
    expect(store.snapshot().facts.readings).toHaveLength(1);
  });
});

describe('the open file', () => {
  const sorted = (facts: Facts) =>
    Object.fromEntries(Object.entries(facts).map(([name, list]) => [name, [...list].sort((a, b) => a.id.localeCompare(b.id))]));

  it('brings back every generated workshop as it was', async () => {
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 1, max: 10_000 }), fc.integer({ min: 0, max: 4 }), async (seed, pieces) => {
        const facts = generatedFacts(pieces, seed, 30_000_000);
        const file = { format: FORMAT, version: FORMAT_VERSION, writtenAt: '2026-12-01T19:00:00Z', facts };
        const reply = await post('/api/import', { text: JSON.stringify(file), apply: true });
        expect(reply.status).toBe(200);
        const out = await (await fetch(`${url}/api/export`)).json();
        expect(sorted(out.facts)).toEqual(sorted(JSON.parse(JSON.stringify(facts))));
      }),
      { seed: 10, numRuns: 12 },
    );
  });
});
