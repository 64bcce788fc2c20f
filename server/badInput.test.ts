import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import type { FastifyInstance } from 'fastify';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Collection, Facts } from '#core/facts/index';
import { buildApp } from './app.ts';
import { type Opened, openWorkshop } from './workshopFolder.ts';

/** Whatever is sent that may not be: a place, what to do, and nothing changed. */

const host = { host: '127.0.0.1:4180' };
const demoText = readFileSync(new URL('../demo/breakwater.json', import.meta.url), 'utf8');
const demo = JSON.parse(demoText) as { facts: Facts };
let folder = '';
let opened: Opened;
let app: FastifyInstance;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'enamelos-bad-'));
  opened = openWorkshop(folder);
  app = await buildApp(opened);
  await app.inject({ method: 'POST', url: '/api/import', headers: host, payload: { text: demoText, apply: true } });
});
afterAll(async () => {
  await app.close();
  opened.close();
  rmSync(folder, { recursive: true, force: true });
});

const everything = () => JSON.stringify(opened.store.snapshot());
const put = async (collection: Collection, value: { id: string }) => {
  const revision = opened.store.snapshot().revisions[`${collection}/${value.id}`] ?? 0;
  const reply = await app.inject({
    method: 'PUT',
    url: `/api/facts/${collection}/${value.id}`,
    headers: host,
    payload: { revision, value },
  });
  return { status: reply.statusCode, body: reply.json() as { title?: string; at?: string; mend?: string } };
};
const one = <C extends Collection>(collection: C): Facts[C][number] => demo.facts[collection][0] as Facts[C][number];
const sheet = () => demo.facts.sheets[0];
const labelled = (label: object) => ({ ...sheet(), label: { ...sheet().label, ...label } });
const reading = (more: object) => ({
  id: 'shed',
  placeId: 'shed',
  at: '2026-12-01T19:00:00Z',
  airC: 15,
  rh: 60,
  from: 'typed',
  ...more,
});
const series = (more: object) => ({
  id: 'f',
  placeId: 'shed',
  from: 'forecast',
  start: '2026-12-01T19:00:00Z',
  tempC: [10, null, 12],
  rh: [60, null, 64],
  ...more,
});
const tram = () => demo.facts.pieces.find((piece) => piece.id === 'tram') as Facts['pieces'][number];
const withLayer = (layer: object) => {
  const [part, ...rest] = tram().parts;
  return { ...tram(), parts: [{ ...part, layers: [{ ...part.layers[0], ...layer }] }, ...rest] };
};

/** Collection, what is wrong with it, the value, the place that is named. */
const BAD: readonly (readonly [Collection, string, () => { id: string }, string])[] = [
  ['sheets', 'solids over 100 %', () => labelled({ solids: 1.4 }), 'label.solids'],
  ['sheets', 'a film of zero', () => labelled({ filmUm: 0 }), 'label.filmUm'],
  ['sheets', 'a window that closes before it opens', () => labelled({ coatFromMin: 60, coatUntilMin: 10 }), 'label.coatUntilMin'],
  ['sheets', 'a pot life shorter than the induction', () => labelled({ potLifeMin: 5, inductionMin: 30 }), 'label.potLifeMin'],
  ['sheets', 'a family nobody knows', () => ({ ...sheet(), family: 'moon-paint' }) as never, 'family'],
  ['sheets', 'minutes below nothing', () => labelled({ touchMin: -1 }), 'label.touchMin'],
  ['sheets', 'a field of its own', () => labelled({ smell: 'sweet' }), 'label'],
  ['products', 'a colour that is none', () => ({ ...one('products'), lab: { l: 140, a: 0, b: 0 } }), 'lab.l'],
  ['products', 'hiding nothing at all', () => ({ ...one('products'), share: 1 }), 'share'],
  ['products', 'a sheet that is not there', () => ({ ...one('products'), sheetId: 'none' }), 'sheetId'],
  ['cans', 'more left than it holds', () => ({ ...one('cans'), leftMl: 9999 }), '(whole)'],
  ['places', 'a place on the sun', () => ({ ...one('places'), meanC: 300 }), 'meanC'],
  ['readings', 'a sensor that jumps to 400 °C', () => reading({ airC: 400 }), 'airC'],
  ['readings', 'humidity of nothing', () => reading({ rh: 0 }), 'rh'],
  ['readings', 'no moment', () => reading({ at: 'noon' }), 'at'],
  ['airSeries', 'hours of two lengths', () => series({ rh: [60] }), '(whole)'],
  ['airSeries', 'wind of another length', () => series({ windMs: [1] }), '(whole)'],
  ['airSeries', 'a storm beyond storms', () => series({ windMs: [1, null, 400] }), 'windMs.2'],
  ['workshop', 'a jar larger than a can', () => ({ ...one('workshop'), touchUpMl: 4000 }), 'touchUpMl'],
  ['pieces', 'no coats', () => withLayer({ coats: 0 }), 'parts.0.layers.0.coats'],
  ['pieces', 'a hundred coats', () => withLayer({ coats: 100 }), 'parts.0.layers.0.coats'],
  [
    'pieces',
    'a picture of a part that is not there',
    () => ({
      ...tram(),
      pictures: [{ id: 'p', view: 'detail', when: 'after', at: '2026-12-01T19:00:00Z', partId: 'tail', width: 10, height: 10 }],
    }),
    'pictures.0.partId',
  ],
  ['pieces', 'a fan for an id', () => ({ ...tram(), id: 'a fan!' }), 'id'],
];

describe('a fact that may not be', () => {
  it.each(BAD)('%s: %s', async (collection, _why, value, at) => {
    const before = everything();
    const { status, body } = await put(collection, value());
    expect(status).toBe(422);
    expect(body.at?.endsWith(at), `${body.at} names ${at}`).toBe(true);
    expect(String(body.title).length).toBeGreaterThan(3);
    expect(String(body.mend).length).toBeGreaterThan(5);
    expect(everything()).toBe(before);
  });
  it('leaves every fact of the demo as good as it was', async () => {
    for (const collection of ['places', 'sheets', 'products', 'cans', 'pieces', 'workshop'] as const)
      for (const value of demo.facts[collection]) expect((await put(collection, value)).status).toBe(200);
  });
});

describe('a file that may not be', () => {
  const imported = async (text: string) => {
    const reply = await app.inject({ method: 'POST', url: '/api/import', headers: host, payload: { text, apply: true } });
    return { status: reply.statusCode, body: reply.json() as { at?: string; mend?: string } };
  };
  it('is refused wherever it is cut, and changes nothing', async () => {
    const before = everything();
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 0, max: demoText.length - 2 }), async (cut) => {
        const { status, body } = await imported(demoText.slice(0, cut));
        expect(status).toBe(422);
        expect(String(body.mend).length).toBeGreaterThan(5);
      }),
      { seed: 51, numRuns: 12 },
    );
    expect(everything()).toBe(before);
  });
  it('is refused for one wrong value anywhere in it, with its place', async () => {
    const before = everything();
    const spoil = async (change: (facts: Facts) => void, at: string) => {
      const copy = JSON.parse(demoText) as { facts: Facts };
      change(copy.facts);
      expect(await imported(JSON.stringify(copy))).toMatchObject({ status: 422, body: { at } });
    };
    await spoil((facts) => Object.assign(facts.cans[0], { leftMl: -1 }), 'facts.cans.0.leftMl');
    await spoil((facts) => Object.assign(facts.events[2], { at: 'yesterday' }), 'facts.events.2.at');
    await spoil((facts) => Object.assign(facts.pieces[1].parts[0], { material: 'moonstone' }), 'facts.pieces.1.parts.0.material');
    expect(everything()).toBe(before);
  });
});
