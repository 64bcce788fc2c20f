import { EMPTY_FACTS, readWorkshopText, shiftFile } from '#core/facts/index';
import { newWorkshop, starterShelf } from '#core/buying/index';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type Db, openDatabase } from './store/database.ts';
import { Store } from './store/store.ts';

/** What the person set (folder, port) cannot be used; the message says what to do. */
export class BadSetting extends Error {}

/** Opens the person's own workshop; a new one gets usual evenings and the starter shelf. */
export function openWorkshop(folder: string): { db: Db; store: Store } {
  const db = openDatabase(folder);
  const store = new Store(db);
  if (store.isEmpty) {
    const { workshop, places } = newWorkshop(Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC');
    store.replaceAll({ ...EMPTY_FACTS, workshop: [workshop], places, ...starterShelf() });
  }
  return { db, store };
}

/** Opens the demo, loading it from its file when the folder is new or `fresh`. @throws BadSetting on a folder that is not a demo's */
export function openDemo(folder: string, fresh: boolean, now: number): { db: Db; store: Store } {
  if (fresh && existsSync(join(folder, 'workshop.sqlite'))) {
    openOnlyDemo(folder).db.close();
    for (const end of ['', '-wal', '-shm']) rmSync(join(folder, `workshop.sqlite${end}`), { force: true });
  }
  const opened = openOnlyDemo(folder);
  if (opened.store.isEmpty) loadDemo(opened.store, now);
  return opened;
}

function openOnlyDemo(folder: string): { db: Db; store: Store } {
  const db = openDatabase(folder);
  const store = new Store(db);
  if (!store.isEmpty && !store.demo) {
    db.close();
    throw new BadSetting(`${folder} holds a workshop of your own, not a demo. Set ENAMELOS_DATA to another folder.`);
  }
  return { db, store };
}

function loadDemo(store: Store, now: number): void {
  const here = dirname(fileURLToPath(import.meta.url));
  const path = [join(here, '../demo/breakwater.json'), join(here, '../../demo/breakwater.json')].find((candidate) => existsSync(candidate));
  if (!path) throw new Error('demo/breakwater.json is missing.');
  const read = readWorkshopText(readFileSync(path, 'utf8'));
  if (!read.ok) throw new Error(`${read.problem.error} (${read.problem.at})`);
  store.replaceAll(shiftFile(read.value, now).facts);
  store.markDemo();
}
