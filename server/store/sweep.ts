import {
  brokenReference,
  type Collection,
  COLLECTION_NAMES,
  COLLECTIONS,
  EMPTY_FACTS,
  eventSchema,
  type Facts,
  problemOf,
  type Workshop,
} from '#core/facts/index';
import { newWorkshop } from '#core/buying/index';
import type { z } from 'zod';
import type { Db } from './db.ts';
import { keepAside } from './setAside.ts';

/**
 * Sets aside what cannot be read, each with its reason, so that the rest opens: facts and entries that do not fit their
 * schema, then facts that point at what was set aside. A workshop without readable hours and places gets the usual ones.
 */
export function sweep(db: Db, timeZone: string): void {
  db.transaction(() => {
    const facts = sweptFacts(db);
    sweepEvents(db);
    mendWorkshop(db, facts, timeZone);
    sweepReferences(db, facts);
  })();
}

type Row = { readonly collection: Collection; readonly id: string; readonly body: string };
type Readable = Record<Collection, { id: string }[]>;

function sweptFacts(db: Db): Readable {
  const readable = Object.fromEntries(COLLECTION_NAMES.map((name) => [name, []])) as unknown as Readable;
  const rows = db.prepare('SELECT collection, id, body FROM fact ORDER BY collection, id').all() as Row[];
  for (const row of rows) {
    const read = readAs(row, (COLLECTIONS as Record<string, z.ZodType>)[row.collection]);
    if (read.why === null && (read.value as { id: string }).id === row.id) readable[row.collection].push(read.value as { id: string });
    else setFactAside(db, row, read.why ?? 'It stands under another id.');
  }
  return readable;
}

function readAs(
  { body }: { readonly body: string },
  schema: z.ZodType | undefined,
): { readonly value: unknown; readonly why: string | null } {
  if (!schema) return { value: null, why: 'No kind of fact has this name.' };
  try {
    const parsed = schema.safeParse(JSON.parse(body));
    if (parsed.success) return { value: parsed.data, why: null };
    const { error, at } = problemOf(parsed.error);
    return { value: null, why: `${error} (${at})` };
  } catch {
    return { value: null, why: 'It is no JSON.' };
  }
}

function setFactAside(db: Db, { collection, id, body }: Row, why: string): void {
  keepAside(db, { collection, id, body, why });
  db.prepare('DELETE FROM fact WHERE collection = ? AND id = ?').run(collection, id);
}

function sweepEvents(db: Db): void {
  const rows = db.prepare('SELECT position, id, body FROM event ORDER BY position').all() as {
    position: number;
    id: string;
    body: string;
  }[];
  for (const row of rows) {
    const { why } = readAs(row, eventSchema);
    if (why === null) continue;
    keepAside(db, { collection: 'events', id: row.id, body: row.body, why });
    db.prepare('DELETE FROM event WHERE position = ?').run(row.position);
  }
}

/** Hours and places are what every page stands on: the newest readable ones, or the usual. */
function mendWorkshop(db: Db, facts: Readable, timeZone: string): void {
  const missing = facts.workshop.length === 0;
  const somethingHere = COLLECTION_NAMES.some((name) => facts[name].length > 0) || asideCount(db) > 0;
  if (missing && !somethingHere) return;
  const usual = newWorkshop(timeZone);
  if (missing) putBack(db, facts, 'workshop', newestReadable(db) ?? { ...usual.workshop, started: true });
  const [workshop] = facts.workshop as Workshop[];
  const known = new Set(facts.places.map((place) => place.id));
  for (const id of new Set([workshop.sprayPlaceId, workshop.dryPlaceId]))
    if (!known.has(id)) putBack(db, facts, 'places', { ...usual.places[0], id });
}

function asideCount(db: Db): number {
  return (db.prepare('SELECT count(*) AS n FROM set_aside').get() as { n: number }).n;
}

function newestReadable(db: Db): Workshop | undefined {
  const rows = db
    .prepare("SELECT body FROM fact_revision WHERE collection = 'workshop' AND body IS NOT NULL ORDER BY revision DESC")
    .all() as { body: string }[];
  return rows.map((row) => readAs(row, COLLECTIONS.workshop)).find(({ why }) => why === null)?.value as Workshop | undefined;
}

function putBack(db: Db, facts: Readable, collection: Collection, fact: { id: string }): void {
  const body = JSON.stringify(fact);
  const { revision } = db
    .prepare('SELECT coalesce(max(revision), 0) + 1 AS revision FROM fact_revision WHERE collection = ? AND id = ?')
    .get(collection, fact.id) as { revision: number };
  db.prepare('INSERT INTO fact_revision (collection, id, revision, body) VALUES (?, ?, ?, ?)').run(collection, fact.id, revision, body);
  db.prepare('INSERT INTO fact (collection, id, revision, body) VALUES (?, ?, ?, ?)').run(collection, fact.id, revision, body);
  facts[collection].push(fact);
}

/** What points at something set aside goes with it, until everything that is left holds together. */
function sweepReferences(db: Db, facts: Readable): void {
  const whole = { ...EMPTY_FACTS, ...facts } as unknown as Facts;
  for (let problem = brokenReference(whole); problem; problem = brokenReference(whole)) {
    const [, collection, index] = problem.at.split('.') as [string, Collection, string];
    const [fact] = facts[collection].splice(Number(index), 1);
    const row = db.prepare('SELECT body FROM fact WHERE collection = ? AND id = ?').get(collection, fact.id) as { body: string };
    setFactAside(db, { collection, id: fact.id, body: row.body }, problem.error);
  }
}
