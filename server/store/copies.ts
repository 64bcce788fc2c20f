import type { Facts } from '#core/facts/index';
import Database from 'better-sqlite3';
import { existsSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { beforeName, type Change, copiesFolder, dailyName } from './copyNames.ts';
import { openForReading } from './database.ts';
import type { Db } from './db.ts';
import { makeFolder } from '../paths.ts';
import { knownVersion } from './migrate.ts';
import type { StoredPicture } from './pictures.ts';
import { UnknownFact } from './refusals.ts';
import type { SetAside } from './setAside.ts';
import { Store } from './store.ts';
import { sweep } from './sweep.ts';

export type Copy = {
  readonly name: string;
  /** ISO moment it was made. */
  readonly at: string;
  readonly bytes: number;
  /** What is in it; null where it cannot be read. */
  readonly holds: { readonly pieces: number; readonly events: number; readonly pictures: number } | null;
};
export type Contents = { readonly facts: Facts; readonly pictures: readonly StoredPicture[] };
/** What a database holds, and what could not be read in it, as it was found. */
export type Read = Contents & { readonly aside: readonly SetAside[] };

const DAILY_KEPT = 14;
const BEFORE_KEPT = 5;
const REMAINS = /^(daily|before)-[A-Za-z0-9-]+\.sqlite(\.partial(-journal|-wal|-shm)?|-journal|-wal|-shm)$/;
const NAME = /^(daily|before)-[A-Za-z0-9-]+\.sqlite$/;

/** Copies of the whole workshop beside it, made by the database's own online backup: writes go on meanwhile. */
export class Copies {
  readonly #db: Db;
  readonly #folder: string;

  constructor(db: Db, folder: string) {
    this.#db = db;
    this.#folder = copiesFolder(folder);
  }

  /** Halves of copies that a power cut has left. */
  clearRemains(): void {
    if (!existsSync(this.#folder)) return;
    for (const name of readdirSync(this.#folder)) if (REMAINS.test(name)) rmSync(join(this.#folder, name), { force: true });
  }

  /** Once a day; `stamp` is the moment as ISO text. */
  async daily(stamp: string): Promise<void> {
    const name = dailyName(stamp);
    if (existsSync(join(this.#folder, name))) return;
    await this.#make(name);
    this.#prune('daily', DAILY_KEPT);
  }

  /** Before everything is changed at once. Returns the copy's name. */
  async before(change: Change, stamp: string): Promise<string> {
    const name = beforeName(change, stamp);
    await this.#make(name);
    this.#prune('before', BEFORE_KEPT);
    return name;
  }

  /** All copies, the newest first. */
  list(): Copy[] {
    return this.#names()
      .map((name) => {
        const { mtime, size } = statSync(join(this.#folder, name));
        return { name, at: mtime.toISOString(), bytes: size, holds: holdsOf(join(this.#folder, name)) };
      })
      .sort((a, b) => (a.at < b.at ? 1 : -1));
  }

  /** What a copy holds, brought up to date. @throws UnknownFact for a name that is none, BadSetting for a damaged one */
  read(name: string): Read {
    if (!this.#names().includes(name)) throw new UnknownFact('There is no copy of this name.');
    return contentsOf(join(this.#folder, name));
  }

  async #make(name: string): Promise<void> {
    makeFolder(this.#folder);
    await backUp(this.#db, join(this.#folder, name));
  }

  #names(): string[] {
    return existsSync(this.#folder) ? readdirSync(this.#folder).filter((name) => NAME.test(name)) : [];
  }

  #prune(kind: 'daily' | 'before', kept: number): void {
    const old = this.list()
      .filter(({ name }) => name.startsWith(kind))
      .slice(kept);
    for (const { name } of old) rmSync(join(this.#folder, name), { force: true });
  }
}

/** A copy of a workshop file that may be in use. @throws BadSetting for a file that is none of this program */
export async function copyFile(from: string, to: string): Promise<void> {
  const db = new Database(from, { readonly: true, fileMustExist: true });
  try {
    knownVersion(db, from);
    await backUp(db, to);
  } finally {
    db.close();
  }
}

/** A copy cut off by a power cut never stands under a copy's name. */
async function backUp(db: Db, path: string): Promise<void> {
  try {
    await db.backup(`${path}.partial`);
    standAlone(`${path}.partial`);
    renameSync(`${path}.partial`, path);
  } finally {
    for (const end of ['', '-journal', '-wal', '-shm']) rmSync(`${path}.partial${end}`, { force: true });
  }
}

/** One file with nothing beside it, to be carried anywhere. */
function standAlone(path: string): void {
  const db = new Database(path);
  db.pragma('journal_mode = DELETE');
  db.close();
}

/** Everything in a database file of this program, whatever its version. @throws BadSetting */
export function contentsOf(path: string): Read {
  const { db } = openForReading(path);
  try {
    sweep(db, 'UTC');
    const pictures = db.prepare('SELECT id, width, height, bytes FROM picture').all() as StoredPicture[];
    const store = new Store(db);
    return { facts: store.snapshot().facts, pictures, aside: store.setAside() };
  } finally {
    db.close();
  }
}

function holdsOf(path: string): Copy['holds'] {
  try {
    const db = new Database(path, { readonly: true });
    try {
      return db
        .prepare(
          `SELECT (SELECT count(*) FROM fact WHERE collection = 'pieces') AS pieces, (SELECT count(*) FROM event) AS events,
                  (SELECT count(*) FROM picture) AS pictures`,
        )
        .get() as Copy['holds'];
    } finally {
      db.close();
    }
  } catch {
    return null;
  }
}
