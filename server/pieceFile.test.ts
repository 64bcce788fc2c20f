import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { conditionsOf } from '#core/drying/index';
import { plan } from '#core/plan/index';
import { toMinute } from '#core/units/index';
import { openDemo } from './workshopFolder.ts';
import { buildApp } from './app.ts';
import { demoText, host, testWorkshop } from './testWorkshop.ts';

/** One piece, out of the demo and into another workshop. */

const bench = testWorkshop();
const now = toMinute(JSON.parse(demoText).writtenAt);
const demoPiece = async (id: string) => {
  const folder = mkdtempSync(join(tmpdir(), 'enamelos-piece-'));
  const demo = await openDemo(folder, false, now);
  const app = await buildApp(demo);
  const reply = await app.inject({ url: `/api/pieces/${id}/export`, headers: host });
  await app.close();
  demo.close();
  rmSync(folder, { recursive: true, force: true });
  return { bytes: reply.rawPayload, zip: String(reply.headers['content-type']).includes('zip') };
};
const bringIn = ({ bytes, zip }: { bytes: Buffer; zip: boolean }, apply = true) =>
  zip
    ? bench.send('POST', `/api/import-zip?apply=${apply ? 'yes' : 'no'}`, bytes, 'application/zip')
    : bench.send('POST', '/api/import', { text: bytes.toString(), apply });
const facts = () => bench.opened.store.snapshot().facts;

describe('a piece by itself', () => {
  it('says what it brings before it comes, and is planned here as it was there', async () => {
    const file = await demoPiece('roller');
    const looked = await bringIn(file, false);
    expect(looked.body).toMatchObject({
      applied: false,
      piece: { name: expect.stringContaining('oller'), matched: [], otherCurrency: null },
    });
    expect(looked.body.piece.brought.length).toBeGreaterThan(1);
    expect(looked.body.piece.entries).toBeGreaterThan(2);
    expect(facts().pieces).toEqual([]);
    const { body } = await bringIn(file);
    const [piece] = facts().pieces;
    expect([piece.id, piece.id === 'roller']).toEqual([body.piece.id, false]);
    const here = plan({ facts: facts(), now, conditions: conditionsOf(facts(), now) });
    const there = JSON.parse(demoText).facts;
    const before = plan({ facts: there, now, conditions: conditionsOf(there, now) });
    // A paint nobody has used here yet is tried on scrap first.
    const titles = (result: typeof here, id: string) =>
      result.steps.filter((step) => step.pieceId === id && !step.title.startsWith('Try ')).map((step) => step.title);
    expect(titles(here, piece.id)).toEqual(titles(before, 'roller'));
  });
  it('comes a second time as another, in the paints that are here by now', async () => {
    const file = await demoPiece('roller');
    await bringIn(file);
    const products = facts().products.length;
    const { body } = await bringIn(file);
    expect(body.piece).toMatchObject({ brought: [], matched: expect.arrayContaining([expect.any(String)]) });
    expect([facts().pieces.length, facts().products.length]).toEqual([2, products]);
    expect(new Set(facts().events.map((event) => event.id)).size).toBe(facts().events.length);
    const pegs = facts().pieces.flatMap((piece) => piece.parts.flatMap((part) => part.pegs));
    expect(new Set(pegs).size).toBe(pegs.length);
  });
  it('brings its pictures under names of their own, pins and all', async () => {
    const file = await demoPiece('crane');
    expect(file.zip).toBe(true);
    await bringIn(file);
    await bringIn(file);
    const [one, two] = facts().pieces;
    const ids = [...(one.pictures ?? []), ...(two.pictures ?? [])].map((picture) => picture.id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const id of ids) expect(bench.opened.pictures.get(id)?.width).toBeGreaterThan(10);
    for (const piece of [one, two])
      for (const pin of piece.parts.flatMap((part) => (part.marks ?? []).flatMap((mark) => mark.pin ?? [])))
        expect((piece.pictures ?? []).map((picture) => picture.id)).toContain(pin.pictureId);
  });
  it('is undone by removing it', async () => {
    const { body } = await bringIn(await demoPiece('roller'));
    expect((await bench.send('POST', `/api/undo/pieces/${body.piece.id}`, { revision: 1 })).status).toBe(200);
    expect(facts().pieces).toEqual([]);
  });
  it('that is not here, cut, newer or without its paint is refused with what to do', async () => {
    expect((await bench.app.inject({ url: '/api/pieces/none/export', headers: host })).statusCode).toBe(404);
    const text = (await demoPiece('roller')).bytes.toString();
    const changed = (change: (file: ReturnType<typeof JSON.parse>) => void) => {
      const file = JSON.parse(text);
      change(file);
      return JSON.stringify(file);
    };
    for (const bad of [
      text.slice(0, 400),
      changed((file) => Object.assign(file, { version: file.version + 1 })),
      changed((file) => Object.assign(file.facts, { products: [] })),
      changed((file) => Object.assign(file.facts, { pieces: [] })),
      changed((file) => Object.assign(file.facts, { sheets: [] })),
    ]) {
      const refused = await bench.send('POST', '/api/import', { text: bad, apply: true });
      expect(refused).toMatchObject({ status: 422, body: { mend: expect.stringMatching(/.{10}/) } });
    }
    expect(facts().pieces).toEqual([]);
  });
});
