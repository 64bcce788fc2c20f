import { spawn, spawnSync } from 'node:child_process';
import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bundle } from '../bin/bundle.ts';
import { BadSetting } from './badSetting.ts';
import { fileToRead, fileToWrite, makeFolder } from './paths.ts';
import { runForecasts, runSensors } from './sensors.ts';
import { openWorkshop } from './workshopFolder.ts';
import { demoText, note, shop, testWorkshop } from './testWorkshop.ts';

/** What may be wrong with the folder a workshop lies in: the disk, the file, a second program, a single fact. */

const root = new URL('..', import.meta.url).pathname;
const bench = testWorkshop();
const file = () => join(bench.folder, 'workshop.sqlite');
const closeAll = async () => {
  await bench.app.close();
  bench.opened.close();
};
const edited = (sql: string, ...values: unknown[]) => {
  const db = new Database(file());
  db.prepare(sql).run(...values);
  db.close();
};

describe('a full disk', () => {
  const fill = () => {
    const { db } = bench.opened;
    db.pragma(`max_page_count = ${db.pragma('page_count', { simple: true })}`);
  };
  const large = note('large', 'paint '.repeat(300));
  it('takes no write, says so in plain words, and keeps everything to be shown and exported', async () => {
    await bench.send('POST', '/api/import', { text: demoText, apply: true });
    fill();
    const events = Array.from({ length: 60 }, (_, index) => ({ ...large, id: `e${index}` }));
    const refused = await bench.send('POST', '/api/events', { events });
    expect(refused).toMatchObject({ status: 507, body: { title: 'The disk is full.', mend: expect.stringContaining('Make room') } });
    expect((await bench.get('/api/workshop')).body).toMatchObject({ trouble: 'The disk is full.' });
    expect((await bench.get('/api/export')).status).toBe(200);
    bench.opened.db.pragma('max_page_count = 100000');
    expect((await bench.send('POST', '/api/events', { events })).body.added).toBe(60);
    expect((await bench.get('/api/workshop')).body).not.toHaveProperty('trouble');
  });
  it('never brings the sensors or the forecast down', async () => {
    const { store } = bench.opened;
    const { facts, revisions } = store.snapshot();
    const [place] = facts.places;
    store.put('places', place.id, { ...place, heated: false, hasSensor: true }, revisions[`places/${place.id}`]);
    bench.opened.db.pragma('query_only = ON');
    const stops = [runForecasts(store, bench.changes, false, 5), runSensors(store, bench.changes, undefined, 5)];
    await expect.poll(() => store.snapshot().trouble, { timeout: 5000 }).toContain('read');
    bench.opened.db.pragma('query_only = OFF');
    await expect.poll(() => store.snapshot().facts.readings.length, { timeout: 5000 }).toBe(1);
    await expect.poll(() => store.snapshot().facts.airSeries.length, { timeout: 5000 }).toBe(1);
    for (const stop of stops) stop();
  });
});

describe('readings that come every five minutes', () => {
  it('do not pile up as revisions', async () => {
    const { store, db } = bench.opened;
    const { facts, revisions } = store.snapshot();
    const [place] = facts.places;
    store.put('places', place.id, { ...place, hasSensor: true }, revisions[`places/${place.id}`]);
    const stop = runSensors(store, bench.changes, undefined, 2);
    const before = store.changes;
    await expect.poll(() => store.changes - before, { timeout: 5000 }).toBeGreaterThan(5);
    stop();
    expect(db.prepare("SELECT count(*) AS n FROM fact_revision WHERE collection = 'readings'").get()).toEqual({ n: 1 });
  });
  it('and forecasts keep places with long names apart', () => {
    const { store } = bench.opened;
    const { facts } = store.snapshot();
    const long = 'place-with-a-very-long-name-that-goes-on-and-on-and-on-and-on';
    for (const end of ['-1', '-2']) store.put('places', long + end, { ...facts.places[0], id: long + end, heated: false }, 0);
    runForecasts(store, bench.changes, false)();
    expect(store.snapshot().facts.airSeries.filter((series) => series.placeId.startsWith(long))).toHaveLength(2);
  });
});

describe('a file that cannot be opened', () => {
  it.each<[string, () => void]>([
    ['an empty one', () => truncateSync(file(), 0)],
    ['one that is no database', () => writeFileSync(file(), 'a letter to a friend, long enough to fill a page of a file'.repeat(200))],
    ['one cut in the middle', () => truncateSync(file(), 8192)],
  ])('%s is left as it is, with a way out', async (_name, spoil) => {
    await closeAll();
    spoil();
    const bytes = readFileSync(file());
    expect(() => openWorkshop(bench.folder)).toThrow(BadSetting);
    expect(() => openWorkshop(bench.folder)).toThrow(/restore/);
    expect(readFileSync(file()).equals(bytes)).toBe(true);
  });
  it('a folder that is a file is said', async () => {
    expect(() => openWorkshop(file())).toThrow(/is a file, not a folder/);
  });
  it('a database of another program is not written to', async () => {
    await closeAll();
    rmSync(file());
    const db = new Database(file());
    db.exec('CREATE TABLE songs (name TEXT)');
    db.close();
    const bytes = readFileSync(file());
    expect(() => openWorkshop(bench.folder)).toThrow(/another program/);
    expect(readFileSync(file()).equals(bytes)).toBe(true);
  });
  it('and one of a later version keeps every byte', async () => {
    await closeAll();
    edited("UPDATE meta SET value = '99' WHERE name = 'facts_version'");
    const bytes = readFileSync(file());
    expect(() => openWorkshop(bench.folder)).toThrow(/later version.*99/);
    expect(readFileSync(file()).equals(bytes)).toBe(true);
  });
});

describe('one unreadable fact', () => {
  const spoilt = async (sql: string, ...values: unknown[]) => {
    await bench.send('POST', '/api/import', { text: demoText, apply: true });
    await bench.app.close();
    bench.opened.close();
    edited(sql, ...values);
    await bench.restart().catch(() => undefined);
    return (await bench.get('/api/workshop')).body as {
      setAside: number;
      facts: { pieces: unknown[]; events: unknown[]; cans: unknown[]; workshop: { name: string }[] };
    };
  };
  it('is set aside and shown, the rest opens', async () => {
    const { setAside, facts } = await spoilt("UPDATE fact SET body = '{\"id\":' WHERE collection = 'pieces' AND id = 'tram'");
    expect([setAside, facts.pieces.length]).toEqual([1, 8]);
    expect((await bench.get('/api/set-aside')).body).toEqual([{ collection: 'pieces', id: 'tram', why: 'It is no JSON.', body: '{"id":' }]);
  });
  it('takes what stands on it along', async () => {
    const before = JSON.parse(demoText).facts;
    const used = before.cans[0].productId;
    const { facts } = await spoilt("UPDATE fact SET body = json_set(body, '$.share', 7) WHERE collection = 'products' AND id = ?", used);
    expect(facts.cans.length).toBeLessThan(before.cans.length);
    expect((await bench.send('PUT', '/api/facts/shops/pier', { revision: 0, value: shop('Pier', 'pier') })).status).toBe(200);
  });
  it('of the log goes alone', async () => {
    const { setAside, facts } = await spoilt(
      "UPDATE event SET body = json_set(body, '$.kind', 'dance') WHERE position = (SELECT max(position) FROM event)",
    );
    expect([setAside, facts.events.length]).toEqual([1, JSON.parse(demoText).facts.events.length - 1]);
  });
  it('is set aside once more by a copy that has it, and no copy with it in fills the list', async () => {
    await bench.send('POST', '/api/import', { text: demoText, apply: true });
    const name = await bench.opened.copies.before('import', '2026-12-02T19:00:00Z');
    const copy = new Database(join(bench.folder, 'copies', name));
    copy.prepare("UPDATE fact SET body = 'x' WHERE collection = 'pieces' AND id = 'tram'").run();
    copy.prepare("UPDATE event SET body = 'x' WHERE position = 1").run();
    copy.close();
    for (let time = 0; time < 2; time++)
      expect((await bench.send('POST', `/api/copies/${name}/restore`)).body).toMatchObject({ setAside: 2 });
    expect((await bench.get('/api/workshop')).body).toMatchObject({ setAside: 2 });
    expect((await bench.get('/api/set-aside')).body).toContainEqual({ collection: 'pieces', id: 'tram', why: 'It is no JSON.', body: 'x' });
  });
  it('that is the workshop itself gives way to its last readable state', async () => {
    const { facts } = await spoilt("UPDATE fact SET body = 'x' WHERE collection = 'workshop'");
    expect(facts.workshop[0].name).toBe(JSON.parse(demoText).facts.workshop[0].name);
  });
});

describe('a second program on the same folder', () => {
  it('is refused until the first has ended', async () => {
    expect(() => openWorkshop(bench.folder)).toThrow(/open in another Enamelos/);
    await closeAll();
    openWorkshop(bench.folder).close();
  });
});

/** Root may write anywhere unless it lays that right down. */
const WITHOUT_RIGHTS = process.getuid?.() === 0 ? 'setpriv --bounding-set=-dac_override ' : '';

describe('the program as it is started', () => {
  let built = '';
  beforeAll(async () => {
    built = mkdtempSync(join(root, 'dist-test-'));
    await bundle(built);
  });
  afterAll(() => rmSync(built, { recursive: true, force: true }));

  const ready = (how = 'exec ') =>
    new Promise<{ url: string; said: string; end: (signal?: NodeJS.Signals) => Promise<void> }>((resolve, reject) => {
      const child = spawn('bash', ['-c', `${how}node ${join(built, 'server.js')}`], {
        cwd: root,
        env: { ...process.env, PORT: '0', ENAMELOS_DATA: bench.folder },
      });
      let said = '';
      const hear = (chunk: Buffer) => {
        said += chunk;
        const url = /ready at (http:\S+)/.exec(said)?.[1];
        const end = (signal: NodeJS.Signals = 'SIGTERM') =>
          new Promise<void>((done) => {
            child.once('exit', () => done());
            child.kill(signal);
          });
        if (url) resolve({ url, said, end });
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.on('exit', (code) => reject(new Error(`ended with ${code}: ${said}`)));
    });

  it.each<[string, () => string]>([
    // Nothing may grow: what a full disk is to a program.
    ['on a disk that takes no more', () => 'ulimit -f 0; exec '],
    [
      'in a folder that may only be read',
      () => {
        if (existsSync(`${file()}-shm`)) throw new Error('The workshop is still open.');
        chmodSync(bench.folder, 0o555);
        chmodSync(file(), 0o444);
        return `exec ${WITHOUT_RIGHTS}`;
      },
    ],
  ])('starts %s, shows, exports and refuses writes', async (_name, arranged) => {
    await bench.send('POST', '/api/import', { text: demoText, apply: true });
    await closeAll();
    const server = await ready(arranged());
    expect(server.said).toContain('reading and export only');
    const { facts, trouble } = await (await fetch(`${server.url}/api/workshop`)).json();
    expect(facts.pieces).toHaveLength(9);
    expect(trouble.length).toBeGreaterThan(10);
    expect((await fetch(`${server.url}/api/export`)).status).toBe(200);
    const refused = await fetch(`${server.url}/api/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events: [note('a')] }),
    });
    expect(refused.status).toBe(507);
    await server.end();
    chmodSync(bench.folder, 0o755);
  });

  it('shows what was answered before a kill, even where nothing may be written', async () => {
    await closeAll();
    const server = await ready();
    await fetch(`${server.url}/api/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events: [note('last')] }),
    });
    await server.end('SIGKILL');
    expect(existsSync(`${file()}-wal`)).toBe(true);
    rmSync(`${file()}-shm`);
    for (const end of ['', '-wal']) chmodSync(`${file()}${end}`, 0o444);
    chmodSync(bench.folder, 0o555);
    const reader = await ready(`exec ${WITHOUT_RIGHTS}`);
    const { facts } = await (await fetch(`${reader.url}/api/workshop`)).json();
    expect(facts.events.map((event: { id: string }) => event.id)).toEqual(['last']);
    await reader.end();
    chmodSync(bench.folder, 0o755);
  });

  it('answers a folder it cannot use with one sentence and no stack', () => {
    const inTheWay = join(bench.folder, 'a-file');
    writeFileSync(inTheWay, 'x');
    const run = spawnSync('node', [join(built, 'server.js')], {
      cwd: root,
      env: { ...process.env, PORT: '0', ENAMELOS_DATA: inTheWay },
      encoding: 'utf8',
    });
    expect(run.status).toBe(1);
    expect(run.stderr.trim().split('\n')).toEqual([expect.stringContaining('is a file, not a folder')]);
  });

  const cli = (data: string, ...args: string[]) => {
    const run = spawnSync('node', [join(built, 'cli.js'), ...args], {
      cwd: root,
      env: { ...process.env, ENAMELOS_DATA: data },
      encoding: 'utf8',
    });
    return { code: run.status, said: run.stderr };
  };

  it('is read while it runs, and not written over', async () => {
    await bench.send('POST', '/api/import', { text: demoText, apply: true });
    const out = join(bench.folder, 'out');
    mkdirSync(out);
    expect(cli(bench.folder, 'export', join(out, 'all.json'))).toMatchObject({ code: 0, said: expect.stringContaining('9 pieces') });
    expect(cli(bench.folder, 'backup', join(out, 'copies')).code).toBe(0);
    expect(cli(bench.folder, 'import', join(out, 'all.json'))).toMatchObject({
      code: 3,
      said: expect.stringContaining('another Enamelos'),
    });
    expect(cli(join(out, 'nowhere'), 'export', join(out, 'x.json'))).toMatchObject({
      code: 3,
      said: expect.stringContaining('no workshop'),
    });
    expect(cli(bench.folder, 'import', join(out, 'none.json')).code).toBe(2);
    const other = join(out, 'other');
    expect(cli(other, 'import', join(out, 'all.json')).code).toBe(0);
    const there = openWorkshop(other);
    expect(there.store.snapshot().facts.pieces).toEqual(bench.opened.store.snapshot().facts.pieces);
    there.close();
  });

  it('says of a path that leads nowhere what to name instead', async () => {
    await bench.send('POST', '/api/import', { text: demoText, apply: true });
    const out = join(bench.folder, 'out');
    mkdirSync(out);
    writeFileSync(join(out, 'a-file'), 'x');
    for (const [args, said] of [
      [['restore', join(out, 'none')], 'There is no file'],
      [['import', out], 'is a folder'],
      [['export', join(out, 'no', 'such', 'x.zip')], 'There is no folder'],
      [['backup', join(out, 'a-file')], 'is a file, not a folder'],
      [['plan', out], 'is a folder'],
    ] as const)
      expect([args[0], cli(bench.folder, ...args)]).toEqual([args[0], { code: 2, said: expect.stringContaining(said) }]);
  });
  it('makes no folder in a file, nor where none can be', () => {
    writeFileSync(join(bench.folder, 'a-file'), 'x');
    expect(() => makeFolder(join(bench.folder, 'a-file', 'x'))).toThrow(/is a file, not a folder/);
    expect(() => makeFolder('/proc/nowhere/x')).toThrow(/cannot be made/);
    expect(() => fileToRead(bench.folder)).toThrow(/is a folder/);
    expect(() => fileToWrite(bench.folder)).toThrow(/is a folder/);
    makeFolder(join(bench.folder, 'one', 'in', 'another'));
    expect(existsSync(join(bench.folder, 'one', 'in', 'another'))).toBe(true);
  });
  it('leaves nothing beside its copies', async () => {
    const copies = join(bench.folder, 'copies');
    const name = await bench.opened.copies.before('import', '2026-12-02T19:00:00Z');
    for (const end of ['.partial', '.partial-journal', '-wal', '-shm']) writeFileSync(join(copies, name + end), 'x');
    bench.opened.copies.clearRemains();
    await bench.opened.copies.daily('2026-12-02T19:00:00Z');
    bench.opened.copies.list();
    expect(readdirSync(copies).sort()).toEqual([name, 'daily-2026-12-02.sqlite'].sort());
    mkdirSync(join(copies, 'daily-2026-12-03.sqlite'));
    bench.opened.db.pragma('query_only = ON');
    await bench.opened.copies.before('restore', '2026-12-03T19:00:00Z').catch(() => undefined);
    expect(readdirSync(copies).filter((own) => own.includes('partial'))).toEqual([]);
  });
  it('brings a copy back where the file is damaged, and keeps the damaged one', async () => {
    await bench.send('POST', '/api/import', { text: demoText, apply: true });
    expect(cli(bench.folder, 'backup', join(bench.folder, 'out')).code).toBe(0);
    const [copy] = spawnSync('ls', [join(bench.folder, 'out')], { encoding: 'utf8' })
      .stdout.trim()
      .split('\n');
    await closeAll();
    writeFileSync(file(), 'scratched'.repeat(999));
    expect(cli(bench.folder, 'restore', join(bench.folder, 'out', copy))).toMatchObject({
      code: 0,
      said: expect.stringContaining('damaged file is kept'),
    });
    copyFileSync(join(bench.folder, 'out', copy), join(bench.folder, 'cut.sqlite'));
    truncateSync(join(bench.folder, 'cut.sqlite'), 10_000);
    expect(cli(bench.folder, 'restore', join(bench.folder, 'cut.sqlite')).code).toBe(3);
    const again = openWorkshop(bench.folder);
    expect(again.store.snapshot().facts.pieces).toHaveLength(9);
    again.close();
  });
});
