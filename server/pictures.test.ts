import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FastifyInstance } from 'fastify';
import { strToU8, zipSync } from 'fflate';
import sharp from 'sharp';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { newPart, newPiece } from '#core/facts/index';
import { buildApp } from './app.ts';
import { openWorkshop, type Opened } from './workshopFolder.ts';

const host = { host: '127.0.0.1:4180' };
let folder = '';
let opened: Opened;
let app: FastifyInstance;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'enamelos-pictures-'));
  opened = openWorkshop(folder);
  app = await buildApp(opened);
});
afterEach(async () => {
  await app.close();
  opened.close();
  rmSync(folder, { recursive: true, force: true });
});

const put = (id: string, payload: Buffer) =>
  app.inject({ method: 'PUT', url: `/api/pictures/${id}`, headers: { ...host, 'content-type': 'application/octet-stream' }, payload });
const importZip = (payload: Buffer, apply: 'yes' | 'no' = 'yes') =>
  app.inject({ method: 'POST', url: `/api/import-zip?apply=${apply}`, headers: { ...host, 'content-type': 'application/zip' }, payload });
/** A phone's picture: held sideways, with a place in its metadata. */
const photo = (width = 300, height = 200) =>
  sharp({ create: { width, height, channels: 3, background: '#a8402f' } })
    .withMetadata({ orientation: 6, exif: { IFD3: { GPSLatitudeRef: 'N' } } })
    .jpeg()
    .toBuffer();
const hull = newPart({
  id: 'hull',
  name: 'Hull',
  material: 'steel',
  finish: 'flaking',
  faces: [{ id: 'f', zoneId: 'all', longMm: 200, shortMm: 60, count: 5, seen: true }],
});
const piece = (pictures: string[]) =>
  newPiece({
    id: 'ferry',
    name: 'Ferry',
    looksLike: 'pressed-toy',
    longestMm: 200,
    createdAt: '2026-12-01T19:00:00Z',
    leadExcluded: true,
    pictures: pictures.map((id) => ({ id, view: 'front', when: 'before', at: '2026-12-01T19:00:00Z', width: 200, height: 300 })),
    parts: [hull],
  });
const save = (value: object) =>
  app.inject({ method: 'PUT', url: '/api/facts/pieces/ferry', headers: host, payload: { revision: 0, value } });

describe('pictures', () => {
  it('are turned upright, made small and freed of metadata', async () => {
    const sent = await put('a', await photo(4000, 1000));
    expect(sent.json()).toEqual({ width: 400, height: 1600 });
    const back = await app.inject({ url: '/api/pictures/a', headers: host });
    const seen = await sharp(back.rawPayload).metadata();
    expect(seen).toMatchObject({ format: 'jpeg', width: 400, height: 1600 });
    expect(seen.exif).toBeUndefined();
    expect(seen.orientation ?? 1).toBe(1);
  });
  it('that are none are refused, and one that is not here is said', async () => {
    const refused = await put('a', Buffer.from('no picture at all'));
    expect(refused.statusCode).toBe(422);
    expect(refused.json().title).toContain('no picture');
    expect((await put('a', Buffer.alloc(0))).statusCode).toBe(422);
    expect((await app.inject({ url: '/api/pictures/gone', headers: host })).statusCode).toBe(404);
    expect((await put('..%2Fup', await photo())).statusCode).toBe(422);
  });
  it('travel in a zip and come back', async () => {
    await put('a', await photo());
    expect((await save(piece(['a']))).statusCode).toBe(200);
    const exported = await app.inject({ url: '/api/export', headers: host });
    expect(exported.headers['content-type']).toContain('application/zip');
    const facts = (await app.inject({ url: '/api/workshop', headers: host })).json().facts;
    const other = openWorkshop(join(folder, 'other'));
    const there = await buildApp(other);
    const looked = await there.inject({
      method: 'POST',
      url: '/api/import-zip?apply=no',
      headers: { ...host, 'content-type': 'application/zip' },
      payload: exported.rawPayload,
    });
    expect(looked.json().counts.pictures).toEqual({ now: 0, file: 1 });
    expect(other.pictures.get('a')).toBeUndefined();
    await there.inject({
      method: 'POST',
      url: '/api/import-zip?apply=yes',
      headers: { ...host, 'content-type': 'application/zip' },
      payload: exported.rawPayload,
    });
    expect((await there.inject({ url: '/api/workshop', headers: host })).json().facts).toEqual(facts);
    expect(other.pictures.get('a')?.width).toBe(200);
    await there.close();
    other.close();
  });
  it('in a zip that is cut, empty or holds something else change nothing', async () => {
    await save(piece([]));
    const whole = Buffer.from(zipSync({ 'workshop.json': strToU8('{}'), 'pictures/a.jpg': strToU8('no picture') }));
    for (const bad of [whole, whole.subarray(0, 40), Buffer.from('x'), Buffer.from(zipSync({ 'a.txt': strToU8('x') }))]) {
      const answer = await importZip(bad);
      expect(answer.statusCode).toBe(422);
      expect(answer.json().mend).toBeTruthy();
    }
    expect((await app.inject({ url: '/api/workshop', headers: host })).json().facts.pieces.length).toBe(1);
  });
});

describe('a strip method that is never used', () => {
  it('is refused when written and when imported, with its place', async () => {
    const caustic = piece([]);
    const bad = { ...caustic, parts: [{ ...caustic.parts[0], alsoMaterial: 'aluminium', stripMethod: 'caustic', iKnow: ['caustic'] }] };
    const written = await save(bad);
    expect(written.statusCode).toBe(422);
    expect(written.json().at).toBe('piece.parts.0.stripMethod');
    const { facts } = (await app.inject({ url: '/api/workshop', headers: host })).json();
    const text = JSON.stringify({
      format: 'enamelos-workshop',
      version: 1,
      writtenAt: '2026-12-01T19:00:00Z',
      facts: { ...facts, pieces: [bad] },
    });
    const imported = await app.inject({ method: 'POST', url: '/api/import', headers: host, payload: { text, apply: true } });
    expect(imported.statusCode).toBe(422);
    expect(imported.json().at).toBe('facts.pieces.0.parts.0.stripMethod');
  });
  it('and only ruins the part travels with its “I know”', async () => {
    const plastic = { ...piece([]).parts[0], material: 'abs' as const, stripMethod: 'gel' as const };
    expect((await save({ ...piece([]), parts: [plastic] })).statusCode).toBe(422);
    expect((await save({ ...piece([]), parts: [{ ...plastic, iKnow: ['gel'] }] })).statusCode).toBe(200);
  });
});
