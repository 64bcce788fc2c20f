import { execFile } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { join } from 'node:path';
import { promisify } from 'node:util';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import { checkRows, planJson } from '#core/ask/index';
import { entriesOf, entryText } from '#core/log/index';
import { plan, planView } from '#core/plan/index';
import { toMinute } from '#core/units/index';
import { demoText, host, note, testWorkshop } from './testWorkshop.ts';

/** Requests as no page would send them. */

const WORDS = { moment: String, money: String, volume: String, temperature: String };

const bench = testWorkshop();
const importText = (text: string) => bench.send('POST', '/api/import', { text, apply: true });

describe('a request', () => {
  it('may write the host in capitals, and an origin as well', async () => {
    for (const headers of [{ host: 'LOCALHOST:4180' }, { host: 'LocalHost:4180', origin: 'http://localhost:4180' }])
      expect((await bench.app.inject({ url: '/api/workshop', headers })).statusCode).toBe(200);
    expect((await bench.app.inject({ url: '/api/workshop', headers: { host: 'LOCALHOST.evil.example' } })).statusCode).toBe(403);
    expect((await bench.app.inject({ url: '/api/workshop', headers: { ...host, origin: 'null' } })).statusCode).toBe(403);
  });
  it('that changes something comes from no page of elsewhere, even where the browser names no origin', async () => {
    const sent = (method: 'POST' | 'PUT' | 'DELETE', url: string, from: string) =>
      bench.app.inject({ method, url, headers: { ...host, 'sec-fetch-site': from, 'content-type': 'application/json' }, payload: '{}' });
    for (const [method, url] of [
      ['POST', '/api/events'],
      ['POST', '/api/import'],
      ['PUT', '/api/facts/cans/x'],
      ['DELETE', '/api/facts/cans/x?revision=1'],
      ['POST', '/api/phone/open'],
    ] as const)
      for (const from of ['cross-site', 'same-site', 'nonsense'])
        expect([url, (await sent(method, url, from)).statusCode]).toEqual([url, 403]);
    for (const from of ['same-origin', 'none']) expect((await sent('POST', '/api/events', from)).statusCode).toBe(422);
    const link = await bench.app.inject({ url: '/api/workshop', headers: { ...host, 'sec-fetch-site': 'cross-site' } });
    expect(link.statusCode).toBe(200);
  });
  it('to an address nobody can read gets an answer like any other', async () => {
    for (const url of ['/%', '/api/pictures/%E0%A4%A', '/api/%zz']) {
      const reply = await bench.app.inject({ url, headers: host });
      expect([reply.statusCode, reply.headers['content-type']]).toEqual([400, expect.stringContaining('problem+json')]);
    }
  });
  it('may begin its JSON with a byte-order mark, as may a file', async () => {
    const reply = await bench.app.inject({
      method: 'POST',
      url: '/api/events',
      headers: { ...host, 'content-type': 'application/json' },
      payload: `\uFEFF${JSON.stringify({ events: [note('a')] })}`,
    });
    expect(reply.json()).toEqual({ added: 1 });
    expect((await importText(`\uFEFF${demoText}`)).status).toBe(200);
  });
  it('too large for its address is told that address’s own limit, and hears the answer', async () => {
    const url = await bench.app.listen({ port: 0, host: '127.0.0.1' });
    const answer = (path: string, type: string, megabytes: number) =>
      new Promise<{ status?: number; body: string }>((resolve, reject) => {
        const sent = request(url + path, { method: 'POST', headers: { 'content-type': type } }, (reply) => {
          let body = '';
          reply.on('data', (chunk) => {
            body += chunk;
          });
          reply.on('end', () => resolve({ status: reply.statusCode, body }));
        });
        sent.on('error', reject);
        for (let part = 0; part < megabytes; part++) sent.write(Buffer.alloc(1_000_000, 'x'));
        sent.end();
      });
    const facts = await answer('/api/events', 'application/json', 24);
    expect([facts.status, facts.body]).toEqual([413, expect.stringContaining('at most 5 MB')]);
    const file = await answer('/api/import', 'application/json', 24);
    expect([file.status, file.body]).toEqual([413, expect.stringContaining('at most 20 MB')]);
  });
});

describe('the page of addresses', () => {
  it('opens without the network, with examples that work as they stand', async () => {
    const url = await bench.app.listen({ port: 0, host: '127.0.0.1' });
    const page = await (await fetch(`${url}/api/docs/`)).text();
    expect(page).not.toMatch(/(src|href)="(https?:)?\/\//);
    for (const [, path] of page.matchAll(/(?:src|href)="\.?\/?([^"]+)"/g))
      expect([path, (await fetch(`${url}/api/docs/${path.replace(/^api\/docs\//, '').replace(/^\.\//, '')}`)).status]).toEqual([path, 200]);
    const { info } = await (await fetch(`${url}/api/openapi.json`)).json();
    const bodies = [...String(info.description).matchAll(/-d '(.+)'/g)].map(([, body]) => body);
    expect(bodies).toHaveLength(2);
    const send = (method: string, path: string, body: string) =>
      fetch(url + path, { method, headers: { 'content-type': 'application/json' }, body });
    expect((await send('POST', '/api/events', bodies[0])).status).toBe(200);
    expect((await send('PUT', '/api/facts/readings/place-spray', bodies[1])).status).toBe(200);
  });
  it('is joined by a script that sends a sensor’s file into a place', async () => {
    const url = await bench.app.listen({ port: 0, host: '127.0.0.1' });
    const file = join(bench.folder, 'sensor.csv');
    writeFileSync(file, '2026-12-01T18:55:00Z,18.1,56\n2026-12-01T19:00:00Z,18.5,55\n');
    const script = new URL('../docs/sendSensor.mjs', import.meta.url).pathname;
    const run = (place: string) => promisify(execFile)('node', [script, file, place, url]);
    expect((await run('place-spray')).stdout).toContain('18.5');
    expect(bench.opened.store.snapshot().facts.readings).toMatchObject([{ airC: 18.5, rh: 55, from: 'sensor' }]);
    await run('place-spray');
    await expect(run('nowhere')).rejects.toThrow(/nowhere/);
  });
});

describe('a file that is accepted', () => {
  const spoilt = (change: (facts: ReturnType<typeof JSON.parse>) => void) => {
    const file = JSON.parse(demoText);
    change(file.facts);
    return JSON.stringify(file);
  };
  it.each<[string, string, string]>([
    ['a place named after what every object has', '"shed"', '"constructor"'],
    ['one named after its prototype', '"shed"', '"__proto__"'],
    ['a date of year 0', '2026-', '0000-'],
    ['a date of another age', '2026-', '9999-'],
  ])('holds no %s', async (_name, from, to) => {
    expect(await importText(demoText.replaceAll(from, to))).toMatchObject({ status: 422, body: { mend: expect.any(String) } });
  });
  it('can be planned whatever is in it', { timeout: 3_600_000 }, async () => {
    let accepted = 0;
    await fc.assert(
      fc.asyncProperty(
        fc.nat(),
        fc.nat(),
        fc.constantFrom<unknown>(null, 0, -1, 1e9, '', 'x', 'constructor', [], {}, '1970-01-01T00:00:00Z'),
        async (which, at, value) => {
          const text = spoilt((facts) => mutate(facts, which, at, value));
          if ((await importText(text)).status !== 200) return;
          accepted++;
          const { facts } = bench.opened.store.snapshot();
          const now = toMinute(JSON.parse(demoText).writtenAt);
          const whole = plan({ facts, now, conditions: conditionsOf(facts, now) });
          expect(planView(whole).steps).toBeInstanceOf(Array);
          expect(
            planJson(
              whole,
              facts,
              checkRows(whole, facts, () => []),
            ).pieces,
          ).toHaveLength(facts.pieces.length);
          for (const { event } of entriesOf(facts.events)) expect(entryText(event, facts, WORDS).what.length).toBeGreaterThan(0);
        },
      ),
      { seed: 9, numRuns: process.env.PROOF ? 10_000 : 120 },
    );
    expect(accepted).toBeGreaterThan(5);
  });
  it('may speak of places and pieces that are gone', async () => {
    const text = spoilt((facts) => {
      facts.pieces = facts.pieces.filter((piece: { id: string }) => piece.id !== 'vane');
      for (const event of facts.events) if (event.coat) event.coat.placeId = 'gone';
    });
    expect((await importText(text)).status).toBe(200);
    const { facts } = bench.opened.store.snapshot();
    const now = toMinute(JSON.parse(demoText).writtenAt);
    expect(plan({ facts, now, conditions: conditionsOf(facts, now) }).steps.length).toBeGreaterThan(20);
  });
});

/** One leaf of the facts, anywhere, becomes another value. */
function mutate(facts: Record<string, unknown>, which: number, at: number, value: unknown): void {
  const leaves: { holder: Record<string, unknown>; key: string }[] = [];
  const walk = (holder: Record<string, unknown>) => {
    for (const [key, inner] of Object.entries(holder)) {
      leaves.push({ holder, key });
      if (inner && typeof inner === 'object') walk(inner as Record<string, unknown>);
    }
  };
  walk(facts);
  const { holder, key } = leaves[(which * 7919 + at) % leaves.length];
  const old = holder[key];
  if (at % 3 === 0 && typeof old === 'number') holder[key] = old * ((at % 7) - 2);
  else if (at % 3 === 1 && Array.isArray(holder)) (holder as unknown[]).splice(Number(key), 1);
  else if (at % 3 === 2 && !Array.isArray(holder)) delete holder[key];
  else holder[key] = value;
}
