import Database from 'better-sqlite3';
import { copyFileSync, existsSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DamagedFile } from '../badSetting.ts';
import { copiesFolder } from './copyNames.ts';
import type { Db } from './db.ts';
import { diskTroubleOf } from './diskTrouble.ts';
import { knownVersion, migrate } from './migrate.ts';
import { upgradeStored } from './upgradeStored.ts';

const FILE = 'workshop.sqlite';

export function workshopFile(folder: string): string {
  return join(folder, FILE);
}

/**
 * Opens the workshop's one file, brings it up to the newest migration, and makes every answered write durable.
 * @throws BadSetting for a folder or file that is none of ours, damaged or newer; nothing is changed then.
 * @throws DiskTrouble where the disk takes no write
 */
export function openDatabase(folder: string): Db {
  const path = workshopFile(folder);
  try {
    refuseEmpty(path);
    const db = new Database(path);
    return prepared(db, path, () => {
      db.pragma('journal_mode = WAL');
      // FULL: the write-ahead log is on the disk before a write is answered, so kill -9 loses nothing answered.
      db.pragma('synchronous = FULL');
      upgradeAll(db, path, folder);
      // One real write says at once whether the disk takes any.
      db.prepare("UPDATE meta SET value = value WHERE name = 'changes'").run();
    });
  } catch (error) {
    throw said(error, path);
  }
}

/** A file's contents in memory, brought up to date there: the file itself is left as it is. @throws BadSetting */
export function openForReading(path: string): InMemory {
  try {
    refuseEmpty(path);
    const { bytes, behind } = contentOf(path);
    const db = new Database(withoutWal(bytes));
    return { db: prepared(db, path, () => upgradeAll(db, path, null)), behind };
  } catch (error) {
    throw said(error, path);
  }
}

export type InMemory = {
  readonly db: Db;
  /** The latest writes are in the log beside the file, which could not be read without writing; they are not lost. */
  readonly behind: boolean;
};

function prepared(db: Db, path: string, work: () => void): Db {
  try {
    knownVersion(db, path);
    db.pragma('foreign_keys = ON');
    work();
    const health = db.pragma('quick_check(1)', { simple: true });
    if (health !== 'ok') throw damaged(path);
    return db;
  } catch (error) {
    db.close();
    throw error;
  }
}

function upgradeAll(db: Db, path: string, folder: string | null): void {
  migrate(db);
  upgradeStored(db, path, folder && copiesFolder(folder));
}

/** An empty file would be taken for a new workshop and written over: what it held may still be saved elsewhere. */
function refuseEmpty(path: string): void {
  if (existsSync(path) && statSync(path).size === 0)
    throw new DamagedFile(`${path} is empty: it was cut off. ${WAY_OUT} To begin anew instead, move that file away.`);
}

const WAY_OUT = 'Bring back a copy with bin/enamelos restore FILE; the copies lie in the folder "copies" beside it.';

function damaged(path: string): DamagedFile {
  return new DamagedFile(`${path} is damaged or no workshop of this program. Nothing was changed. ${WAY_OUT}`);
}

/** Everything answered, the write-ahead log included; that log needs a place to be worked in where the folder gives none. */
function contentOf(path: string): { readonly bytes: Buffer; readonly behind: boolean } {
  const whole = serialized(path) ?? serializedElsewhere(path);
  return whole ? { bytes: whole, behind: false } : { bytes: readFileSync(path), behind: hasLog(path) };
}

function hasLog(path: string): boolean {
  return existsSync(`${path}-wal`) && statSync(`${path}-wal`).size > 0;
}

function serialized(path: string): Buffer | null {
  const db = new Database(path, { readonly: true, fileMustExist: true });
  try {
    return db.serialize();
  } catch {
    return null;
  } finally {
    db.close();
  }
}

function serializedElsewhere(path: string): Buffer | null {
  if (!hasLog(path)) return null;
  const elsewhere = mkdtempSync(join(tmpdir(), 'enamelos-read-'));
  try {
    for (const end of ['', '-wal']) copyFileSync(`${path}${end}`, join(elsewhere, `${FILE}${end}`));
    return serialized(join(elsewhere, FILE));
  } catch {
    return null;
  } finally {
    rmSync(elsewhere, { recursive: true, force: true });
  }
}

/** A database in memory keeps no write-ahead log: bytes 18 and 19 of the header say so (SQLite file format, 1.3). */
function withoutWal(content: Buffer): Buffer {
  content[18] = 1;
  content[19] = 1;
  return content;
}

function said(error: unknown, path: string): unknown {
  const code = (error as { code?: unknown } | null)?.code;
  if (code === 'SQLITE_NOTADB' || String(code).startsWith('SQLITE_CORRUPT')) return damaged(path);
  return diskTroubleOf(error) ?? error;
}
