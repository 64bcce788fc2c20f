import { canUpgrade, type Facts, FORMAT_VERSION, upgraded, upgradedFact } from '#core/facts/index';
import { makeFolder } from '../paths.ts';
import { existsSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { BadSetting } from '../badSetting.ts';
import type { Db } from './db.ts';
import { factsVersion } from './migrate.ts';

/** Facts written by an earlier version are brought up to today's: a copy first, then everything in one transaction. */

type Stored = { readonly collection: string; readonly id: string; readonly revision: number; readonly body: string };

/**
 * `copies`: where the file as it was is kept first; null for a database in memory, which needs none.
 * @throws BadSetting for a workshop whose version nobody knows, which is left untouched
 */
export function upgradeStored(db: Db, path: string, copies: string | null): void {
  const version = storedVersion(db);
  if (version === FORMAT_VERSION) return;
  if (!canUpgrade(version)) throw new BadSetting(`${path} has facts of version ${version}, which this program does not know.`);
  if (copies !== null) keepCopy(db, copies, version);
  db.transaction(() => {
    upgradeFacts(db, version);
    upgradeRevisions(db, version);
    upgradeEvents(db, version);
    noteVersion(db);
  })();
}

/** The version of the facts in a database; one without a word is new, or from before versions were noted. */
function storedVersion(db: Db): number {
  const noted = factsVersion(db);
  if (noted !== null) return noted;
  const { facts } = db.prepare('SELECT count(*) AS facts FROM fact_revision').get() as { facts: number };
  if (facts > 0) return 1;
  noteVersion(db);
  return FORMAT_VERSION;
}

function noteVersion(db: Db): void {
  db.prepare("INSERT OR REPLACE INTO meta (name, value) VALUES ('facts_version', ?)").run(String(FORMAT_VERSION));
}

/** The whole file as it was; one made earlier is never overwritten. */
function keepCopy(db: Db, copies: string, version: number): void {
  makeFolder(copies);
  const path = join(copies, `before-upgrade-version${version}.sqlite`);
  if (existsSync(path)) return;
  rmSync(`${path}.partial`, { force: true });
  db.prepare('VACUUM INTO ?').run(`${path}.partial`);
  renameSync(`${path}.partial`, path);
}

function upgradeFacts(db: Db, version: number): void {
  const rows = db.prepare('SELECT collection, id, revision, body FROM fact ORDER BY collection, id').all() as Stored[];
  const facts: Record<string, { id: string }[]> = {};
  for (const row of rows) {
    facts[row.collection] ??= [];
    facts[row.collection].push(JSON.parse(row.body));
  }
  const known = new Map(rows.map((row) => [`${row.collection} ${row.id}`, row.revision]));
  const now = (upgraded({ version, facts: { ...facts, events: [] } }) as { facts: Facts }).facts;
  const write = db.prepare('INSERT OR REPLACE INTO fact (collection, id, revision, body) VALUES (?, ?, ?, ?)');
  const remember = db.prepare('INSERT OR REPLACE INTO fact_revision (collection, id, revision, body) VALUES (?, ?, ?, ?)');
  for (const [collection, list] of Object.entries(now)) {
    if (collection === 'events') continue;
    for (const fact of list as { id: string }[]) {
      const revision = known.get(`${collection} ${fact.id}`) ?? 1;
      write.run(collection, fact.id, revision, JSON.stringify(fact));
      remember.run(collection, fact.id, revision, JSON.stringify(fact));
    }
  }
}

/** Earlier states stay undoable: each is brought up by itself. */
function upgradeRevisions(db: Db, version: number): void {
  const rows = db
    .prepare(
      `SELECT r.collection, r.id, r.revision, r.body FROM fact_revision r
       LEFT JOIN fact f ON f.collection = r.collection AND f.id = r.id AND f.revision = r.revision
       WHERE r.body IS NOT NULL AND f.id IS NULL`,
    )
    .all() as Stored[];
  const remember = db.prepare('UPDATE fact_revision SET body = ? WHERE collection = ? AND id = ? AND revision = ?');
  for (const row of rows) {
    const fact = upgradedFact(row.collection, JSON.parse(row.body), version);
    remember.run(JSON.stringify(fact), row.collection, row.id, row.revision);
  }
}

function upgradeEvents(db: Db, version: number): void {
  const rows = db.prepare('SELECT position, body FROM event').all() as { position: number; body: string }[];
  const file = { version, facts: { events: rows.map((row) => JSON.parse(row.body)) } };
  const { events } = (upgraded(file) as { facts: { events: unknown[] } }).facts;
  const write = db.prepare('UPDATE event SET body = ? WHERE position = ?');
  for (const [index, row] of rows.entries()) write.run(JSON.stringify(events[index]), row.position);
}
