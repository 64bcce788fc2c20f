import Database from 'better-sqlite3';
import { existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { BadSetting } from '../badSetting.ts';
import type { Db } from './db.ts';
import { upgradeStored } from './upgradeStored.ts';

/** Opens the workshop's one file, brings it up to the newest migration, and makes every answered write durable. */
export function openDatabase(folder: string): Db {
  mkdirSync(folder, { recursive: true });
  const db = new Database(join(folder, 'workshop.sqlite'));
  db.pragma('journal_mode = WAL');
  // FULL: the write-ahead log is on the disk before a write is answered, so kill -9 loses nothing answered.
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  migrate(db, folder);
  upgradeStored(db, folder);
  return db;
}

/** Migrations are numbered .sql files; the ones not yet run go in order, each in its own transaction. */
function migrate(db: Db, workshop: string): void {
  const folder = migrationsFolder();
  const done = db.pragma('user_version', { simple: true }) as number;
  const files = readdirSync(folder)
    .filter((name) => /^\d{3}_.*\.sql$/.test(name))
    .sort();
  const newest = Number(files.at(-1)?.slice(0, 3));
  if (done > newest)
    throw new BadSetting(`${workshop} was written by a later version of the program. Nothing was changed: update the program.`);
  for (const file of files) {
    const number = Number(file.slice(0, 3));
    if (number <= done) continue;
    db.transaction(() => {
      db.exec(readFileSync(join(folder, file), 'utf8'));
      db.pragma(`user_version = ${number}`);
    })();
  }
}

/** Beside this source, or in the tree around a bundled server. */
function migrationsFolder(): string {
  const here = dirname(fileURLToPath(import.meta.url));
  const places = [join(here, 'migrations'), join(here, '../server/store/migrations')];
  const found = places.find((place) => existsSync(place));
  if (!found) throw new Error('The database migrations are missing beside the server.');
  return found;
}
