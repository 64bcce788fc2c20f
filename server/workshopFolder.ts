import { EMPTY_FACTS, shiftFile } from '#core/facts/index';
import { newWorkshop, starterShelf } from '#core/buying/index';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { openDatabase } from './store/database.ts';
import type { Db } from './store/db.ts';
import { BadSetting } from './badSetting.ts';
import { reencode } from './reencode.ts';
import { Pictures } from './store/pictures.ts';
import { Store } from './store/store.ts';
import { readWorkshopFile } from '#core/admission/index';

export type Opened = { readonly db: Db; readonly store: Store; readonly pictures: Pictures };

/** Opens the person's own workshop; a new one gets usual evenings and the starter shelf. */
export function openWorkshop(folder: string): Opened {
  const db = openDatabase(folder);
  const store = new Store(db);
  if (store.isEmpty) {
    const { workshop, places } = newWorkshop(Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC');
    store.replaceAll({ ...EMPTY_FACTS, workshop: [workshop], places, ...starterShelf() });
  }
  return { db, store, pictures: new Pictures(db) };
}

/** Opens the demo, loading it from its file when the folder is new or `fresh`. @throws BadSetting on a folder that is not a demo's */
export async function openDemo(folder: string, fresh: boolean, now: number): Promise<Opened> {
  if (fresh && existsSync(join(folder, 'workshop.sqlite'))) {
    openOnlyDemo(folder).db.close();
    for (const end of ['', '-wal', '-shm']) rmSync(join(folder, `workshop.sqlite${end}`), { force: true });
  }
  const opened = openOnlyDemo(folder);
  if (opened.store.isEmpty) await loadDemo(opened, now);
  return opened;
}

function openOnlyDemo(folder: string): Opened {
  const db = openDatabase(folder);
  const store = new Store(db);
  if (!store.isEmpty && !store.demo) {
    db.close();
    throw new BadSetting(`${folder} holds a workshop of your own, not a demo. Set ENAMELOS_DATA to another folder.`);
  }
  return { db, store, pictures: new Pictures(db) };
}

async function loadDemo({ store, pictures }: Opened, now: number): Promise<void> {
  const here = dirname(fileURLToPath(import.meta.url));
  const demo = [join(here, '../demo'), join(here, '../../demo')].find((folder) => existsSync(join(folder, 'breakwater.json')));
  if (!demo) throw new Error('demo/breakwater.json is missing.');
  const read = readWorkshopFile(readFileSync(join(demo, 'breakwater.json'), 'utf8'));
  if (!read.ok) throw new Error(`${read.problem.error} (${read.problem.at})`);
  const { facts } = shiftFile(read.value, now);
  for (const { id } of facts.pieces.flatMap((piece) => piece.pictures ?? []))
    pictures.put(await reencode(id, readFileSync(join(demo, 'pictures', `${id}.png`))));
  store.replaceAll(facts);
  store.markDemo();
}
