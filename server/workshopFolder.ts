import { EMPTY_FACTS, shiftFile } from '#core/facts/index';
import { newWorkshop, starterShelf } from '#core/buying/index';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { Copies } from './store/copies.ts';
import { openDatabase, openForReading, workshopFile } from './store/database.ts';
import type { Db } from './store/db.ts';
import { Devices } from './store/devices.ts';
import { diskTroubleOf } from './store/diskTrouble.ts';
import { lockFolder } from './store/lock.ts';
import { BadSetting } from './badSetting.ts';
import { makeFolder } from './paths.ts';
import { reencode } from './reencode.ts';
import { Pictures, type StoredPicture } from './store/pictures.ts';
import { Store } from './store/store.ts';
import { sweep } from './store/sweep.ts';
import { readWorkshopFile } from '#core/admission/index';

export type Opened = {
  readonly db: Db;
  readonly store: Store;
  readonly pictures: Pictures;
  readonly copies: Copies;
  readonly devices: Devices;
  /** Frees the file and the folder. */
  readonly close: () => void;
};

/** Opens the person's own workshop; a new one gets usual evenings and the starter shelf. @throws BadSetting */
export function openWorkshop(folder: string): Opened {
  const opened = openFolder(folder);
  const { store } = opened;
  if (store.isEmpty) {
    const { workshop, places } = newWorkshop(ownTimeZone());
    store.replaceAll({ ...EMPTY_FACTS, workshop: [workshop], places, ...starterShelf() });
  }
  return opened;
}

/**
 * Opens the demo, loading it from its file when the folder is new or `fresh`; what was there is copied first.
 * @throws BadSetting on a folder that is not a demo's
 */
export async function openDemo(folder: string, fresh: boolean, now: number): Promise<Opened> {
  if (fresh && existsSync(workshopFile(folder))) {
    const before = openOnlyDemo(folder);
    try {
      await before.copies.before('reset', new Date(now * 60_000).toISOString());
    } finally {
      before.close();
    }
    for (const end of ['', '-wal', '-shm']) rmSync(`${workshopFile(folder)}${end}`, { force: true });
  }
  const opened = openOnlyDemo(folder);
  if (opened.store.isEmpty) await loadDemo(opened, now);
  return opened;
}

function openOnlyDemo(folder: string): Opened {
  const opened = openFolder(folder);
  if (!opened.store.isEmpty && !opened.store.demo) {
    opened.close();
    throw new BadSetting(`${folder} holds a workshop of your own, not a demo. Set ENAMELOS_DATA to another folder.`);
  }
  return opened;
}

/** The folder for reading and writing, or, where the disk takes no write, what is in it for reading alone. */
function openFolder(folder: string): Opened {
  try {
    makeFolder(folder);
    const free = lockFolder(folder);
    return freeing(free, () => openedOf(openDatabase(folder), folder, null, free));
  } catch (error) {
    const trouble = diskTroubleOf(error);
    if (!trouble) throw error;
    if (!existsSync(workshopFile(folder)))
      throw new BadSetting(`${trouble.message} ${folder} cannot be made. Make room, or set ENAMELOS_DATA to another folder.`);
    const { db, behind } = openForReading(workshopFile(folder));
    const text = behind ? `${trouble.message} The latest entries are not lost, but show only when it takes writes again.` : trouble.message;
    return openedOf(db, folder, text, () => undefined);
  }
}

/** What cannot be opened is not left locked. */
function freeing<T>(free: () => void, work: () => T): T {
  try {
    return work();
  } catch (error) {
    free();
    throw error;
  }
}

function openedOf(db: Db, folder: string, trouble: string | null, free: () => void): Opened {
  freeing(
    () => db.close(),
    () => sweep(db, ownTimeZone()),
  );
  return {
    db,
    store: new Store(db, trouble),
    pictures: new Pictures(db),
    copies: new Copies(db, folder),
    devices: new Devices(db),
    close: () => {
      db.close();
      free();
    },
  };
}

function ownTimeZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
}

async function loadDemo({ store }: Opened, now: number): Promise<void> {
  const here = dirname(fileURLToPath(import.meta.url));
  const demo = [join(here, '../demo'), join(here, '../../demo')].find((folder) => existsSync(join(folder, 'breakwater.json')));
  if (!demo) throw new Error('demo/breakwater.json is missing.');
  const read = readWorkshopFile(readFileSync(join(demo, 'breakwater.json'), 'utf8'));
  if (!read.ok) throw new Error(`${read.problem.error} (${read.problem.at})`);
  const { facts } = shiftFile(read.value, now);
  const images: StoredPicture[] = [];
  for (const { id } of facts.pieces.flatMap((piece) => piece.pictures ?? []))
    images.push(await reencode(id, readFileSync(join(demo, 'pictures', `${id}.png`))));
  store.replaceAll(facts, images);
  store.markDemo();
}
