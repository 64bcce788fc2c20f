import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FastifyInstance } from 'fastify';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Facts, FORMAT, FORMAT_VERSION, type Layer, type Part, type Piece } from '#core/facts/index';
import { part, piece, shelf } from '#core/invented/index';
import { buildApp } from './app.ts';
import { type Opened, openWorkshop } from './workshopFolder.ts';

/** What is never done is refused by the server on every path, with its place and what to do; nothing is changed by it. */

const host = { host: '127.0.0.1:4180' };
let folder = '';
let opened: Opened;
let app: FastifyInstance;
const file = (facts: Facts) => JSON.stringify({ format: FORMAT, version: FORMAT_VERSION, writtenAt: '2026-12-01T19:00:00Z', facts });
const send = (text: string, apply: boolean) => app.inject({ method: 'POST', url: '/api/import', headers: host, payload: { text, apply } });

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'enamelos-admission-'));
  opened = openWorkshop(folder);
  app = await buildApp(opened);
  await send(file(shelf), true);
});
afterAll(async () => {
  await app.close();
  opened.close();
  rmSync(folder, { recursive: true, force: true });
});

const put = (value: Piece) => {
  const revision = opened.store.snapshot().revisions[`pieces/${value.id}`] ?? 0;
  return app.inject({ method: 'PUT', url: `/api/facts/pieces/${value.id}`, headers: host, payload: { revision, value } });
};
const wanted = (family: 'candy' | 'acrylic-lacquer' | 'texture', role: 'colour' | 'metallic', flatAfter: number): Layer => ({
  id: 'own',
  wanted: { family, role, name: 'own', lab: { l: 50, a: 20, b: 10 } },
  coats: 2,
  covers: 'all',
  flatAfter,
});
const mark = (mend: 'filler' | 'sand' | 'metal-prep' | 'rust-brush') => [
  { id: 'm', kind: 'crack' as const, severity: 'slight' as const, where: 'middle', mend },
];

const NEVER: readonly (readonly [string, Partial<Part>, string])[] = [
  ['filler on glazing', { material: 'clear', staysClear: true, marks: mark('filler') }, 'marks.0.mend'],
  ['paper on printing', { material: 'tinplate', printed: true, marks: mark('sand') }, 'marks.0.mend'],
  ['acid on magnesium', { material: 'magnesium', marks: mark('metal-prep') }, 'marks.0.mend'],
  ['derusting what does not rust', { material: 'wood', marks: mark('metal-prep') }, 'marks.0.mend'],
  ['dry brushing of paint that may hold lead', { material: 'steel', finish: 'flaking', marks: mark('rust-brush') }, 'marks.0.mend'],
  ['heat on old paint', { material: 'steel', finish: 'sound', stripMethod: 'heat' }, 'stripMethod'],
  ['caustic on aluminium', { material: 'aluminium', finish: 'sound', stripMethod: 'caustic' }, 'stripMethod'],
  ['gel on printing that stays', { material: 'tinplate', finish: 'sound', printed: true, stripMethod: 'gel' }, 'stripMethod'],
  ['flatting of a transparent red', { layers: [wanted('candy', 'colour', 1500)] }, 'layers.0.flatAfter'],
  ['flatting of a silver', { layers: [wanted('acrylic-lacquer', 'metallic', 1500)] }, 'layers.0.flatAfter'],
  ['flatting of a texture', { layers: [wanted('texture', 'colour', 800)] }, 'layers.0.flatAfter'],
];

describe.each(NEVER)('%s', (_name, more, place) => {
  const refused = piece(part(more), { leadExcluded: false });
  it('is refused at its own address, and nothing is kept of it', async () => {
    const before = JSON.stringify(opened.store.snapshot());
    const reply = await put(refused);
    expect([reply.statusCode, reply.json().at]).toEqual([422, expect.stringContaining(place)]);
    expect(reply.json().mend.length).toBeGreaterThan(10);
    expect(JSON.stringify(opened.store.snapshot())).toBe(before);
  });
  it('is refused in a file, before anything is replaced', async () => {
    const before = JSON.stringify(opened.store.snapshot());
    const reply = await send(file({ ...shelf, pieces: [refused] }), true);
    expect(reply.statusCode).toBe(422);
    expect(reply.json().at).toContain(place);
    expect(JSON.stringify(opened.store.snapshot())).toBe(before);
  });
});

describe('what may be done', () => {
  it.each<[string, Partial<Part>]>([
    ['gel on steel', { material: 'steel', finish: 'flaking', stripMethod: 'gel' }],
    ['filler on bare steel', { material: 'steel', finish: 'bare', marks: mark('filler') }],
    ['a flatted primer', { layers: [{ ...wanted('acrylic-lacquer', 'colour', 1000), id: 'flat' }] }],
  ])('%s is kept', async (_name, more) => expect((await put(piece(part(more)))).statusCode).toBe(200));
});
