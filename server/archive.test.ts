import { mkdtempSync, rmSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, unzipSync, zipSync } from 'fflate';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { openWorkshop } from './workshopFolder.ts';
import { buildApp } from './app.ts';
import { demoText, host, testWorkshop } from './testWorkshop.ts';

/** The zip out and in again: identical, and nothing in it taken on trust. */

const bench = testWorkshop();
const ZIP = 'application/zip';
const photo = (width = 320, height = 240) =>
  sharp({ create: { width, height, channels: 3, background: '#a8402f', noise: { type: 'gaussian', mean: 128, sigma: 30 } } });
const importZip = (zip: Buffer | Uint8Array) => bench.send('POST', '/api/import-zip?apply=yes', Buffer.from(zip), ZIP);
const exportZip = async () => (await bench.app.inject({ url: '/api/export', headers: host })).rawPayload;
const named = (id: string) => {
  const file = JSON.parse(demoText);
  const piece = file.facts.pieces.find((own: { pictures?: unknown[] }) => !own.pictures?.length);
  piece.pictures = [{ id, view: 'front', when: 'before', at: '2026-12-01T19:00:00Z', width: 320, height: 240 }];
  return file;
};
const zipped = (files: Record<string, Uint8Array>) =>
  Buffer.from(zipSync(Object.fromEntries(Object.entries(files).map(([name, bytes]) => [name, new Uint8Array(bytes)]))));
const facts = () => bench.opened.store.snapshot().facts;

describe('export, import, export', () => {
  it('is identical to the byte, pictures too', async () => {
    const jpeg = await photo().jpeg().toBuffer();
    await importZip(zipped({ 'workshop.json': strToU8(JSON.stringify(named('a'))), 'pictures/a.jpg': jpeg }));
    const first = await exportZip();
    const folder = mkdtempSync(join(tmpdir(), 'enamelos-zip-'));
    const other = openWorkshop(folder);
    const app = await buildApp(other);
    await app.inject({ method: 'POST', url: '/api/import-zip?apply=yes', headers: { ...host, 'content-type': ZIP }, payload: first });
    const again = unzipSync(new Uint8Array((await app.inject({ url: '/api/export', headers: host })).rawPayload));
    const once = unzipSync(new Uint8Array(first));
    expect(Buffer.from(again['pictures/a.jpg']).equals(Buffer.from(once['pictures/a.jpg']))).toBe(true);
    const factsOf = (files: Record<string, Uint8Array>) => JSON.parse(Buffer.from(files['workshop.json']).toString()).facts;
    expect(factsOf(again)).toEqual(factsOf(once));
    await app.close();
    other.close();
    rmSync(folder, { recursive: true, force: true });
  });
  it.each<[string, () => Promise<Buffer>, boolean]>([
    ['with another picture put into it', () => photo(500, 400).jpeg().toBuffer(), false],
    [
      'with a place written into the picture',
      () =>
        photo()
          .withMetadata({ exif: { IFD3: { GPSLatitudeRef: 'N' } } })
          .jpeg()
          .toBuffer(),
      true,
    ],
    ['with a picture far too large', () => photo(2400, 300).jpeg().toBuffer(), true],
  ])('%s is encoded once more', async (_name, make, hashed) => {
    const bytes = await make();
    await importZip(zipped({ 'workshop.json': strToU8(JSON.stringify(named('a'))), 'pictures/a.jpg': await photo().jpeg().toBuffer() }));
    const files = unzipSync(new Uint8Array(await exportZip()));
    if (hashed) files['pictures.json'] = strToU8(JSON.stringify({ a: createHash('sha256').update(bytes).digest('hex') }));
    expect((await importZip(zipped({ ...files, 'pictures/a.jpg': new Uint8Array(bytes) }))).status).toBe(200);
    const kept = bench.opened.pictures.get('a');
    const seen = await sharp(kept?.bytes).metadata();
    expect([kept?.bytes.equals(bytes), seen.exif, Math.max(seen.width, seen.height) <= 1600]).toEqual([false, undefined, true]);
  });
});

describe('a zip that may not be', () => {
  const whole = async () =>
    zipped({ 'workshop.json': strToU8(JSON.stringify(named('a'))), 'pictures/a.jpg': new Uint8Array(await photo().jpeg().toBuffer()) });
  it('has a damaged picture: its checksum says so, and nothing is taken', async () => {
    const zip = Buffer.from(
      zipSync({
        'workshop.json': strToU8(JSON.stringify(named('a'))),
        'pictures/a.jpg': [new Uint8Array(await photo().jpeg().toBuffer()), { level: 0 }],
      }),
    );
    const at = zip.indexOf('pictures/a.jpg') + 200;
    zip[at] ^= 0xff;
    const refused = await importZip(zip);
    expect(refused).toMatchObject({ status: 422, body: { title: expect.stringContaining('checksum') } });
    expect(facts().pieces).toEqual([]);
  });
  it('says it is small and is not, or is too large before it is unpacked', async () => {
    const bomb = Buffer.from(zipSync({ 'workshop.json': strToU8('{}'), 'pictures/a.jpg': new Uint8Array(30_000_000) }));
    const central = bomb.lastIndexOf('pictures/a.jpg') - 46;
    bomb.writeUInt32LE(3_000_000_000, central + 24);
    expect((await importZip(bomb)).body.title).toContain('too large');
    bomb.writeUInt32LE(1000, central + 24);
    expect((await importZip(bomb)).status).toBe(422);
    expect(facts().pieces).toEqual([]);
  });
  it('holds a drawing that is a program, or a picture that ends in the middle', async () => {
    const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="40" height="40"><rect width="40" height="40"/></svg>');
    expect((await importZip(zipped({ 'workshop.json': strToU8(JSON.stringify(named('a'))), 'pictures/a.jpg': svg }))).status).toBe(422);
    expect((await bench.send('PUT', '/api/pictures/a', svg, 'image/svg+xml')).body.title).toContain('no picture');
    const cut = (await photo().jpeg().toBuffer()).subarray(0, 900);
    expect((await bench.send('PUT', '/api/pictures/a', cut, 'image/jpeg')).status).toBe(422);
  });
  it('is cut short anywhere', async () => {
    const zip = await whole();
    for (const part of [0.1, 0.5, 0.9, 0.99]) expect((await importZip(zip.subarray(0, Math.floor(zip.length * part)))).status).toBe(422);
  });
  it('keeps its pictures out where its facts are refused', async () => {
    const file = named('a');
    file.facts.cans[0].leftMl = -4;
    expect(
      (await importZip(zipped({ 'workshop.json': strToU8(JSON.stringify(file)), 'pictures/a.jpg': await photo().jpeg().toBuffer() })))
        .status,
    ).toBe(422);
    expect(bench.opened.pictures.get('a')).toBeUndefined();
  });
});
