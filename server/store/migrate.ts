import { FORMAT_VERSION } from '#core/facts/index';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { BadSetting } from '../badSetting.ts';
import type { Db } from './db.ts';

/** Migrations are numbered .sql files; the ones not yet run go in order, each in its own transaction. */
export function migrate(db: Db): void {
  const folder = migrationsFolder();
  const done = tablesVersion(db);
  for (const file of migrations(folder)) {
    const number = Number(file.slice(0, 3));
    if (number <= done) continue;
    db.transaction(() => {
      db.exec(readFileSync(join(folder, file), 'utf8'));
      db.pragma(`user_version = ${number}`);
    })();
  }
}

/** Reads only. @throws BadSetting for a file of a later version, or of another program */
export function knownVersion(db: Db, path: string): void {
  const tables = tablesVersion(db);
  const newest = Number(migrations(migrationsFolder()).at(-1)?.slice(0, 3));
  const facts = tables > 0 && hasTable(db, 'meta') ? factsVersion(db) : null;
  if (tables > newest || (facts !== null && facts > FORMAT_VERSION))
    throw new BadSetting(
      `${path} was written by a later version of the program (tables ${tables}, facts of version ${facts ?? 'unknown'}; this one reads up to ${newest} and ${FORMAT_VERSION}). Nothing was changed: update the program.`,
    );
  const foreign = tables === 0 ? anyTable(db) : !hasTable(db, 'fact_revision') || !hasTable(db, 'meta');
  if (foreign)
    throw new BadSetting(
      `${path} is a database of another program. Nothing was changed: choose another file, or set ENAMELOS_DATA to another folder.`,
    );
}

/** The version of the facts a database says it holds; null where it does not say. */
export function factsVersion(db: Db): number | null {
  const noted = db.prepare("SELECT value FROM meta WHERE name = 'facts_version'").get() as { value: string } | undefined;
  return noted ? Number(noted.value) : null;
}

function tablesVersion(db: Db): number {
  return db.pragma('user_version', { simple: true }) as number;
}

function hasTable(db: Db, name: string): boolean {
  return db.prepare("SELECT 1 FROM sqlite_schema WHERE type = 'table' AND name = ?").get(name) !== undefined;
}

function anyTable(db: Db): boolean {
  return db.prepare('SELECT 1 FROM sqlite_schema LIMIT 1').get() !== undefined;
}

function migrations(folder: string): string[] {
  return readdirSync(folder)
    .filter((name) => /^\d{3}_.*\.sql$/.test(name))
    .sort();
}

/** Beside this source, or in the tree around a bundled server. */
function migrationsFolder(): string {
  const here = dirname(fileURLToPath(import.meta.url));
  const places = [join(here, 'migrations'), join(here, '../server/store/migrations')];
  const found = places.find((place) => existsSync(place));
  if (!found) throw new Error('The database migrations are missing beside the server.');
  return found;
}
