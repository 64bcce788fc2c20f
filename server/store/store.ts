import { refusedIn } from '#core/admission/index';
import {
  brokenReference,
  type Collection,
  COLLECTION_NAMES,
  COLLECTIONS,
  EMPTY_FACTS,
  type FactOf,
  type Facts,
  type LogEvent,
  type Problem,
  problemOf,
} from '#core/facts/index';
import type { Db } from './db.ts';

/** All SQL lives here. Facts keep revisions; a write names the revision it was made from. */

export type Revised<C extends Collection> = { readonly revision: number; readonly value: FactOf<C> };
export type Snapshot = {
  readonly facts: Facts;
  readonly revisions: Readonly<Record<string, number>>;
  readonly changes: number;
  readonly demo: boolean;
};

export class StaleWrite extends Error {
  readonly current: number;
  constructor(current: number) {
    super('Another tab has changed this meanwhile.');
    this.current = current;
  }
}
export class UnknownFact extends Error {}
export class BadFact extends Error {
  readonly problem: Problem;
  constructor(problem: Problem) {
    super(problem.error);
    this.problem = problem;
  }
}

type Row = { readonly id: string; readonly revision: number; readonly body: string };

export class Store {
  readonly #db: Db;

  constructor(db: Db) {
    this.#db = db;
  }

  get demo(): boolean {
    return this.#meta('demo') === 'yes';
  }

  markDemo(): void {
    this.#db.prepare("INSERT OR REPLACE INTO meta (name, value) VALUES ('demo', 'yes')").run();
  }

  get isEmpty(): boolean {
    const { facts } = this.#db.prepare('SELECT (SELECT count(*) FROM fact) + (SELECT count(*) FROM event) AS facts').get() as {
      facts: number;
    };
    return facts === 0;
  }

  snapshot(): Snapshot {
    return this.#db.transaction(() => {
      const facts: Record<string, unknown[]> = Object.fromEntries(COLLECTION_NAMES.map((name) => [name, []]));
      const revisions: Record<string, number> = {};
      const rows = this.#db.prepare('SELECT collection, id, revision, body FROM fact ORDER BY collection, id').all() as (Row & {
        collection: Collection;
      })[];
      for (const row of rows) {
        facts[row.collection].push(JSON.parse(row.body));
        revisions[`${row.collection}/${row.id}`] = row.revision;
      }
      const events = this.events();
      return { facts: { ...EMPTY_FACTS, ...facts, events } as Facts, revisions, changes: Number(this.#meta('changes')), demo: this.demo };
    })();
  }

  events(): LogEvent[] {
    return (this.#db.prepare('SELECT body FROM event ORDER BY position').all() as { body: string }[]).map((row) => JSON.parse(row.body));
  }

  /**
   * Writes a fact made from `revision` (0: new). @throws StaleWrite when another write came between,
   * BadFact when it does not fit its schema or points at nothing
   */
  put<C extends Collection>(collection: C, id: string, value: unknown, revision: number): Revised<C> {
    const parsed = COLLECTIONS[collection].safeParse(value);
    if (!parsed.success) throw new BadFact(problemOf(parsed.error));
    const fact = parsed.data as FactOf<C>;
    if (fact.id !== id)
      throw new BadFact({
        error: 'The id in the address is another than in the fact.',
        at: 'id',
        mend: 'Send the fact to its own address.',
      });
    return this.#db.transaction(() => {
      const now = this.#current(collection, id)?.revision ?? 0;
      if (now !== revision) throw new StaleWrite(now);
      const next = this.#write(collection, id, JSON.stringify(fact));
      const { facts } = this.snapshot();
      const refused = collection === 'pieces' ? refusedIn(fact as FactOf<'pieces'>, facts, 'piece') : null;
      if (refused) throw new BadFact(refused);
      this.#checkReferences();
      return { revision: next, value: fact };
    })();
  }

  /** Removes a fact; undo brings it back. */
  remove(collection: Collection, id: string, revision: number): number {
    if (collection === 'workshop') {
      throw new BadFact({
        error: 'The workshop itself cannot be removed.',
        at: 'workshop',
        mend: 'Change its hours and places instead, or import another file.',
      });
    }
    return this.#db.transaction(() => {
      const current = this.#current(collection, id);
      if (!current) throw new UnknownFact('It is not there any more.');
      if (current.revision !== revision) throw new StaleWrite(current.revision);
      const next = this.#write(collection, id, null);
      this.#checkReferences();
      return next;
    })();
  }

  /** Writes the state before `revision` back, if `revision` is still the newest. */
  undo(collection: Collection, id: string, revision: number): number {
    return this.#db.transaction(() => {
      const newest = this.#newestRevision(collection, id);
      if (newest === 0) throw new UnknownFact('There is nothing to undo.');
      if (newest !== revision) throw new StaleWrite(newest);
      const before = this.#db
        .prepare('SELECT body FROM fact_revision WHERE collection = ? AND id = ? AND revision = ?')
        .get(collection, id, revision - 1) as { body: string | null } | undefined;
      const next = this.#write(collection, id, before?.body ?? null);
      this.#checkReferences();
      return next;
    })();
  }

  /** Appends events; one whose id is known changes nothing and gets the first answer. Returns how many were new. */
  append(events: readonly LogEvent[]): number {
    return this.#db.transaction(() => {
      const insert = this.#db.prepare('INSERT INTO event (id, at, body) VALUES (?, ?, ?) ON CONFLICT (id) DO NOTHING');
      const added = events.reduce((sum, event) => sum + insert.run(event.id, event.at, JSON.stringify(event)).changes, 0);
      if (added > 0) this.#countChange();
      return added;
    })();
  }

  /** Replaces everything by the facts of a file, all or nothing. */
  replaceAll(facts: Facts): void {
    this.#db.transaction(() => {
      this.#db.exec('DELETE FROM event');
      for (const { collection, id } of this.#db.prepare('SELECT collection, id FROM fact').all() as {
        collection: Collection;
        id: string;
      }[])
        this.#write(collection, id, null);
      for (const collection of COLLECTION_NAMES)
        for (const fact of facts[collection]) this.#write(collection, fact.id, JSON.stringify(fact));
      const insert = this.#db.prepare('INSERT INTO event (id, at, body) VALUES (?, ?, ?)');
      for (const event of facts.events) insert.run(event.id, event.at, JSON.stringify(event));
      this.#countChange();
    })();
  }

  #current(collection: Collection, id: string): Row | undefined {
    return this.#db.prepare('SELECT id, revision, body FROM fact WHERE collection = ? AND id = ?').get(collection, id) as Row | undefined;
  }

  #newestRevision(collection: Collection, id: string): number {
    const row = this.#db
      .prepare('SELECT max(revision) AS newest FROM fact_revision WHERE collection = ? AND id = ?')
      .get(collection, id) as { newest: number | null };
    return row.newest ?? 0;
  }

  #write(collection: Collection, id: string, body: string | null): number {
    const revision = this.#newestRevision(collection, id) + 1;
    this.#db.prepare('INSERT INTO fact_revision (collection, id, revision, body) VALUES (?, ?, ?, ?)').run(collection, id, revision, body);
    if (body === null) this.#db.prepare('DELETE FROM fact WHERE collection = ? AND id = ?').run(collection, id);
    else
      this.#db
        .prepare('INSERT OR REPLACE INTO fact (collection, id, revision, body) VALUES (?, ?, ?, ?)')
        .run(collection, id, revision, body);
    this.#countChange();
    return revision;
  }

  #checkReferences(): void {
    const problem = brokenReference(this.snapshot().facts);
    if (problem) throw new BadFact({ ...problem, mend: 'Something still uses it: change that first.' });
  }

  #countChange(): void {
    this.#db.prepare("UPDATE meta SET value = CAST(value AS INTEGER) + 1 WHERE name = 'changes'").run();
  }

  #meta(name: string): string | undefined {
    return (this.#db.prepare('SELECT value FROM meta WHERE name = ?').get(name) as { value: string } | undefined)?.value;
  }
}
