import { FORMAT_VERSION } from '#core/facts/index';
import Database from 'better-sqlite3';
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { BadSetting } from './badSetting.ts';
import { openDatabase } from './store/database.ts';
import { Store } from './store/store.ts';

/** A folder as version 1 left it. */
const frozen = new URL('./store/frozen/version1.sqlite', import.meta.url).pathname;
let folder = '';
const file = () => join(folder, 'workshop.sqlite');

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'enamelos-upgrade-'));
  cpSync(frozen, file());
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('a folder of version 1', () => {
  it('opens with everything in it, brought up to today', () => {
    const db = openDatabase(folder);
    const { facts, demo } = new Store(db).snapshot();
    db.close();
    expect(demo).toBe(true);
    expect(facts.pieces).toHaveLength(9);
    expect(facts.events).toHaveLength(113);
    expect(facts.stock.map((row) => row.spec)).toEqual(['P240', 'P400', 'P600', 'P800']);
    const crane = facts.pieces.find((piece) => piece.id === 'crane');
    expect(crane?.parcels.find((parcel) => parcel.id === 'hook')?.holds).toEqual({ partId: 'winch' });
  });

  it('is copied first, and brought up only once', () => {
    openDatabase(folder).close();
    const copy = join(folder, 'copies', 'before-upgrade-version1.sqlite');
    const before = new Database(copy, { readonly: true });
    expect(before.prepare("SELECT body FROM fact WHERE collection = 'workshop'").get()).toMatchObject({
      body: expect.stringContaining('grits'),
    });
    before.close();
    const bytes = readFileSync(copy);
    const db = openDatabase(folder);
    expect(db.prepare("SELECT value FROM meta WHERE name = 'facts_version'").get()).toEqual({ value: String(FORMAT_VERSION) });
    db.close();
    expect(readFileSync(copy).equals(bytes)).toBe(true);
  });

  it('still undoes what was changed before it', () => {
    const db = openDatabase(folder);
    const store = new Store(db);
    const { revisions } = store.snapshot();
    store.undo('pieces', 'crane', revisions['pieces/crane']);
    const crane = store.snapshot().facts.pieces.find((piece) => piece.id === 'crane');
    db.close();
    expect(crane?.name).not.toBe('Harbour crane toy');
    expect(crane?.parcels.find((parcel) => parcel.id === 'hook')?.holds).toEqual({ partId: 'winch' });
  });

  it('is left as it was when it cannot be brought up', () => {
    const db = new Database(file());
    db.prepare("UPDATE event SET body = '{ cut' WHERE position = 3").run();
    db.close();
    expect(() => openDatabase(folder)).toThrow();
    const after = new Database(file(), { readonly: true });
    expect(after.prepare("SELECT count(*) AS rows FROM fact WHERE collection = 'stock'").get()).toEqual({ rows: 0 });
    after.close();
  });
});

describe('a folder of version 2', () => {
  it('opens with its features counted, and undoes a name given before', () => {
    cpSync(new URL('./store/frozen/version2.sqlite', import.meta.url).pathname, file());
    const db = openDatabase(folder);
    const store = new Store(db);
    const { revisions, facts } = store.snapshot();
    const crane = facts.pieces.find((piece) => piece.id === 'crane');
    expect(crane?.name).toBe('Harbour crane, renamed');
    expect(crane?.parts[0].features?.[0]).toEqual({ id: 'edges', kind: 'edges', count: 1 });
    store.undo('pieces', 'crane', revisions['pieces/crane']);
    const before = store.snapshot().facts.pieces.find((piece) => piece.id === 'crane');
    db.close();
    expect(before?.name).toBe('Harbour crane');
    expect(before?.parts[0].features?.[0]).toEqual({ id: 'edges', kind: 'edges', count: 1 });
  });
});

describe('a folder of a later version', () => {
  it('is refused at the door, untouched, with its version', () => {
    openDatabase(folder).close();
    const db = new Database(file());
    db.prepare("UPDATE meta SET value = '99' WHERE name = 'facts_version'").run();
    db.close();
    expect(() => openDatabase(folder)).toThrow(BadSetting);
    expect(() => openDatabase(folder)).toThrow(/version 99/);
    expect(existsSync(join(folder, 'workshop.version-99.sqlite'))).toBe(false);
  });
  it('is refused by its tables too', () => {
    const db = new Database(file());
    db.pragma('user_version = 900');
    db.close();
    expect(() => openDatabase(folder)).toThrow(/later version/);
  });
});
