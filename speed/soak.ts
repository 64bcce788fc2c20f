import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { buildApp } from '../server/app.ts';
import { Changes } from '../server/changes.ts';
import { openWorkshop } from '../server/workshopFolder.ts';

/** A server under writes, pictures, searches and tabs that come and go: `npm run soak -- MINUTES`. Memory at start and end. */

const minutes = Number(process.argv[2] ?? 60);
const folder = mkdtempSync(join(tmpdir(), 'enamelos-soak-'));
const opened = openWorkshop(folder);
const changes = new Changes();
const app = await buildApp({ ...opened, changes });
const url = await app.listen({ port: 0, host: '127.0.0.1' });
const picture = await sharp({ create: { width: 1200, height: 900, channels: 3, background: '#a8402f' } })
  .jpeg()
  .toBuffer();
const JSON_TYPE = { 'content-type': 'application/json' };

const megabytes = () => {
  globalThis.gc?.();
  const { rss, heapUsed } = process.memoryUsage();
  return `${Math.round(rss / 1e6)} MB in all, ${Math.round(heapUsed / 1e6)} MB heap`;
};

const writes = async (round: number) => {
  const events = [{ id: `soak-${round}`, at: '2026-12-01T19:00:00Z', kind: 'note', text: `Round ${round} of the soak` }];
  const logged = await fetch(`${url}/api/events`, { method: 'POST', headers: JSON_TYPE, body: JSON.stringify({ events }) });
  const { revisions } = (await (await fetch(`${url}/api/workshop`)).json()) as { revisions: Record<string, number> };
  const value = { id: 'quay', name: `Quay ${round}`, delivery: 0, leadDays: 1 };
  const body = JSON.stringify({ revision: revisions['shops/quay'] ?? 0, value });
  const put = await fetch(`${url}/api/facts/shops/quay`, { method: 'PUT', headers: JSON_TYPE, body });
  return logged.ok && put.ok;
};

/** A tab opens its stream, hears the first word and goes. */
const tab = async () => {
  const gone = new AbortController();
  const reply = await fetch(`${url}/api/changes`, { signal: gone.signal });
  await reply.body?.getReader().read();
  gone.abort();
};

const start = megabytes();
const end = Date.now() + minutes * 60_000;
let rounds = 0;
let failed = 0;
while (Date.now() < end) {
  rounds++;
  if (!(await writes(rounds))) failed++;
  await tab();
  if (rounds % 10 === 0) {
    const sent = await fetch(`${url}/api/pictures/soak-${rounds % 50}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/octet-stream' },
      body: new Uint8Array(picture),
    });
    if (!sent.ok) failed++;
    await fetch(`${url}/api/search?q=soak`);
  }
}
console.log(`${minutes} minutes, ${rounds} rounds, ${failed} failed. At the start ${start}; at the end ${megabytes()}.`);
await app.close();
opened.close();
rmSync(folder, { recursive: true, force: true });
