import { type BroughtIn, refusedIn } from '#core/admission/index';
import {
  type Collection,
  COLLECTION_NAMES,
  COLLECTIONS,
  EMPTY_FACTS,
  type FactOf,
  type Facts,
  type LogEvent,
  problemOf,
} from '#core/facts/index';
import type { Db } from './db.ts';
import { DiskTrouble, diskTroubleOf } from './diskTrouble.ts';
import { unknownReference } from './knownReferences.ts';
import { type StoredPicture, writePicture } from './pictures.ts';
import { BadFact, StaleWrite, UnknownFact } from './refusals.ts';
import { type Cause, checkReferences, keepsWorkshop, type Revision, stateBefore } from './revisions.ts';
import { type Found, SearchIndex } from './search.ts';
import { allSetAside, keepAside, type SetAside } from './setAside.ts';

/** Facts keep revisions; a write names the revision it was made from. */

export type Revised<C extends Collection> = { readonly revision: number; readonly value: FactOf<C> };
export type Snapshot = {
  readonly facts: Facts;
  readonly revisions: Readonly<Record<string, number>>;
  readonly changes: number;
  readonly demo: boolean;
  /** How many facts and entries could not be read at the start. */
  readonly setAside: number;
  /** What the disk said to the latest write, where it said no. */
  readonly trouble?: string;
};

/** What is kept as a table: its rows come and go together. */
export const WRITTEN_TOGETHER = ['offers', 'goods', 'cans'] as const;

type Brought = Pick<BroughtIn, 'piece' | 'sheets' | 'products' | 'budgets' | 'events'>;
type Row = { readonly id: string; readonly revision: number; readonly body: string };

export class Store {
  readonly #db: Db;
  #trouble: string | null;
  readonly #readOnly: boolean;
  /** Made when something is looked for; null until then, and since a fact has changed. */
  #search: SearchIndex | null = null;

  /** `readOnlyFor`: why nothing may be written, where the disk takes no write. */
  constructor(db: Db, readOnlyFor: string | null = null) {
    this.#db = db;
    this.#trouble = readOnlyFor;
    this.#readOnly = readOnlyFor !== null;
  }

  get demo(): boolean {
    return this.#meta('demo') === 'yes';
  }

  markDemo(): void {
    this.#inOne(() => this.#db.prepare("INSERT OR REPLACE INTO meta (name, value) VALUES ('demo', 'yes')").run());
  }

  get isEmpty(): boolean {
    const { facts } = this.#db.prepare('SELECT (SELECT count(*) FROM fact) + (SELECT count(*) FROM event) AS facts').get() as {
      facts: number;
    };
    return facts === 0;
  }

  /** How many writes this workshop has seen. */
  get changes(): number {
    return Number(this.#meta('changes'));
  }

  snapshot(): Snapshot {
    return this.#db.transaction(() => {
      const revisions: Record<string, number> = {};
      for (const { collection, id, revision } of this.#rows()) revisions[`${collection}/${id}`] = revision;
      return { facts: { ...this.#facts(), events: this.events() }, revisions, ...this.#state() };
    })();
  }

  /**
   * The snapshot as JSON, put together from what is stored: a long log is not read and written anew for every page.
   * `phone`: it goes to a paired phone.
   */
  snapshotText(phone = false): string {
    return this.#db.transaction(() => {
      const bodies = Object.fromEntries(COLLECTION_NAMES.map((name) => [name, [] as string[]]));
      const revisions: Record<string, number> = {};
      for (const { collection, id, revision, body } of this.#rows()) {
        bodies[collection].push(body);
        revisions[`${collection}/${id}`] = revision;
      }
      const events = this.#db.prepare('SELECT body FROM event ORDER BY position').pluck().all() as string[];
      const lists = Object.entries({ ...bodies, events }).map(([name, list]) => `"${name}":[${list.join(',')}]`);
      return `{"facts":{${lists.join(',')}},"revisions":${JSON.stringify(revisions)},${JSON.stringify({ ...this.#state(), ...(phone ? { phone } : {}) }).slice(1)}`;
    })();
  }

  /** What a snapshot says besides the facts. */
  #state(): Omit<Snapshot, 'facts' | 'revisions'> {
    return {
      changes: this.changes,
      demo: this.demo,
      setAside: this.setAside().length,
      ...(this.#trouble === null ? {} : { trouble: this.#trouble }),
    };
  }

  events(): LogEvent[] {
    return (this.#db.prepare('SELECT body FROM event ORDER BY position').all() as { body: string }[]).map((row) => JSON.parse(row.body));
  }

  /** The best matches of what was typed; see SearchIndex. */
  find(typed: string, most: number, kind?: Found['kind']): Found[] {
    this.#search ??= new SearchIndex(this.#db, { ...this.#facts(), events: this.events() });
    return this.#search.find(typed, most, kind);
  }

  /** What could not be read when the workshop was opened, as it was found. */
  setAside(): SetAside[] {
    return allSetAside(this.#db);
  }

  /**
   * Writes a fact made from `revision` (0: new). @throws StaleWrite when another write came between,
   * BadFact when it does not fit its schema or points at nothing, DiskTrouble when the disk takes no write
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
    return this.#inOne(() => {
      const now = this.#current(collection, id)?.revision ?? 0;
      if (now !== revision) throw new StaleWrite(now);
      const next = this.#write(collection, id, JSON.stringify(fact));
      const facts = this.#facts();
      const refused = collection === 'pieces' ? refusedIn(fact as FactOf<'pieces'>, facts, 'piece') : null;
      if (refused) throw new BadFact(refused);
      checkReferences(facts);
      return { revision: next, value: fact };
    });
  }

  /** Writes many rows of a table, each made from its revision, all or nothing. @throws as {@link put} does */
  putTogether(
    collection: (typeof WRITTEN_TOGETHER)[number],
    writes: readonly { readonly value: unknown; readonly revision: number }[],
  ): number {
    return this.#inOne(() => {
      for (const [index, { value, revision }] of writes.entries()) {
        const parsed = COLLECTIONS[collection].safeParse(value);
        if (!parsed.success) {
          const problem = problemOf(parsed.error);
          throw new BadFact({ ...problem, at: `writes.${index}.${problem.at}` });
        }
        const now = this.#current(collection, parsed.data.id)?.revision ?? 0;
        if (now !== revision) throw new StaleWrite(now);
        this.#write(collection, parsed.data.id, JSON.stringify(parsed.data));
      }
      checkReferences(this.#facts());
      return writes.length;
    });
  }

  /** What a sensor or a forecast says: it takes the place of what it said before, which nobody would undo. */
  observe<C extends 'readings' | 'airSeries'>(collection: C, value: FactOf<C>): void {
    const fact = COLLECTIONS[collection].parse(value) as FactOf<C>;
    this.#inOne(() => {
      const revision = this.#write(collection, fact.id, JSON.stringify(fact));
      this.#db.prepare('DELETE FROM fact_revision WHERE collection = ? AND id = ? AND revision < ?').run(collection, fact.id, revision);
      checkReferences(this.#facts());
    });
  }

  /** Removes a fact; undo brings it back. */
  remove(collection: Collection, id: string, revision: number): number {
    if (collection === 'workshop') throw keepsWorkshop();
    return this.#inOne(() => {
      const current = this.#current(collection, id);
      if (!current) throw new UnknownFact('It is not there any more.');
      if (current.revision !== revision) throw new StaleWrite(current.revision);
      const next = this.#write(collection, id, null);
      checkReferences(this.#facts());
      return next;
    });
  }

  /** Writes the last state the person had before `revision` back, if `revision` is still the newest. */
  undo(collection: Collection, id: string, revision: number): number {
    return this.#inOne(() => {
      const [newest, ...earlier] = this.#revisions(collection, id);
      if (!newest) throw new UnknownFact('There is nothing to undo.');
      if (newest.revision !== revision) throw new StaleWrite(newest.revision);
      const next = this.#write(collection, id, stateBefore(newest, earlier, collection));
      checkReferences(this.#facts());
      return next;
    });
  }

  /**
   * Appends events; one whose id is known changes nothing and gets the first answer. Returns how many were new.
   * @throws BadFact for an entry about what was never here
   */
  append(events: readonly LogEvent[]): number {
    return this.#inOne(() => {
      for (const [index, event] of events.entries()) {
        const problem = unknownReference(event, (collection, id) => this.#newestRevision(collection, id) > 0);
        if (problem) throw new BadFact({ ...problem, at: `events.${index}.${problem.at}` });
      }
      const insert = this.#db.prepare('INSERT INTO event (id, at, body) VALUES (?, ?, ?) ON CONFLICT (id) DO NOTHING');
      const added = events.filter((event) => insert.run(event.id, event.at, JSON.stringify(event)).changes > 0);
      if (added.length > 0) this.#countChange();
      this.#search?.addEvents(added, this.#facts());
      return added.length;
    });
  }

  /** Replaces everything by the facts and pictures of a file, all or nothing. */
  replaceAll(facts: Facts, pictures: readonly StoredPicture[] = [], aside: readonly SetAside[] = []): void {
    this.#inOne(() => {
      for (const own of aside) keepAside(this.#db, own);
      this.#db.exec('DELETE FROM event');
      const now = new Map(this.#rows().map((row) => [`${row.collection}/${row.id}`, row]));
      for (const collection of COLLECTION_NAMES)
        for (const fact of facts[collection]) {
          const [key, body] = [`${collection}/${fact.id}`, JSON.stringify(fact)];
          if (now.get(key)?.body !== body) this.#write(collection, fact.id, body, 'import');
          now.delete(key);
        }
      for (const { collection, id } of now.values()) this.#write(collection, id, null, 'import');
      const insert = this.#db.prepare('INSERT INTO event (id, at, body) VALUES (?, ?, ?)');
      for (const event of facts.events) insert.run(event.id, event.at, JSON.stringify(event));
      for (const picture of pictures) writePicture(this.#db, picture);
      this.#countChange();
      this.#search = null;
    });
  }

  /** A piece of another workshop, with its paints, pictures and log, all or nothing. */
  bringIn({ piece, sheets, products, budgets, events }: Brought, pictures: readonly StoredPicture[]): void {
    this.#inOne(() => {
      for (const sheet of sheets) this.#write('sheets', sheet.id, JSON.stringify(sheet));
      for (const product of products) this.#write('products', product.id, JSON.stringify(product));
      this.#write('pieces', piece.id, JSON.stringify(piece));
      for (const budget of budgets) this.#write('budgets', budget.id, JSON.stringify(budget));
      checkReferences(this.#facts());
      const insert = this.#db.prepare('INSERT INTO event (id, at, body) VALUES (?, ?, ?)');
      for (const event of events) insert.run(event.id, event.at, JSON.stringify(event));
      for (const picture of pictures) writePicture(this.#db, picture);
    });
  }

  putPicture(picture: StoredPicture): void {
    this.#inOne(() => writePicture(this.#db, picture));
  }

  /** One transaction; what the disk refuses is remembered until it takes a write again. */
  #inOne<T>(work: () => T): T {
    if (this.#readOnly) throw new DiskTrouble(this.#trouble ?? '');
    try {
      const answer = this.#db.transaction(work).immediate();
      this.#trouble = null;
      return answer;
    } catch (error) {
      const trouble = diskTroubleOf(error);
      if (!trouble) throw error;
      this.#trouble = trouble.message;
      throw trouble;
    }
  }

  #rows(): (Row & { readonly collection: Collection })[] {
    return this.#db.prepare('SELECT collection, id, revision, body FROM fact ORDER BY collection, id').all() as (Row & {
      collection: Collection;
    })[];
  }

  /** Everything but the log. */
  #facts(): Facts {
    const facts: Record<string, unknown[]> = Object.fromEntries(COLLECTION_NAMES.map((name) => [name, []]));
    for (const row of this.#rows()) facts[row.collection].push(JSON.parse(row.body));
    return { ...EMPTY_FACTS, ...facts } as Facts;
  }

  #current(collection: Collection, id: string): Row | undefined {
    return this.#db.prepare('SELECT id, revision, body FROM fact WHERE collection = ? AND id = ?').get(collection, id) as Row | undefined;
  }

  /** Every state of a fact, the newest first. */
  #revisions(collection: Collection, id: string): Revision[] {
    return this.#db
      .prepare('SELECT revision, body, cause FROM fact_revision WHERE collection = ? AND id = ? ORDER BY revision DESC')
      .all(collection, id) as Revision[];
  }

  #newestRevision(collection: Collection, id: string): number {
    const row = this.#db
      .prepare('SELECT max(revision) AS newest FROM fact_revision WHERE collection = ? AND id = ?')
      .get(collection, id) as { newest: number | null };
    return row.newest ?? 0;
  }

  #write(collection: Collection, id: string, body: string | null, cause: Cause = 'edit'): number {
    this.#search = null;
    const revision = this.#newestRevision(collection, id) + 1;
    this.#db
      .prepare('INSERT INTO fact_revision (collection, id, revision, body, cause) VALUES (?, ?, ?, ?, ?)')
      .run(collection, id, revision, body, cause);
    if (body === null) this.#db.prepare('DELETE FROM fact WHERE collection = ? AND id = ?').run(collection, id);
    else
      this.#db
        .prepare('INSERT OR REPLACE INTO fact (collection, id, revision, body) VALUES (?, ?, ?, ?)')
        .run(collection, id, revision, body);
    this.#countChange();
    return revision;
  }

  #countChange(): void {
    this.#db.prepare("UPDATE meta SET value = CAST(value AS INTEGER) + 1 WHERE name = 'changes'").run();
  }

  #meta(name: string): string | undefined {
    return (this.#db.prepare('SELECT value FROM meta WHERE name = ?').get(name) as { value: string } | undefined)?.value;
  }
}
