import { type Searchable, searchableEntry, searchableFact, searchWords } from '#core/log/index';
import { COLLECTION_NAMES, type Facts, type LogEvent } from '#core/facts/index';
import { formatMoney, formatQuantity, momentText, toMinute } from '#core/units/index';
import type { Db } from './db.ts';

/** The full-text index of a workshop as it stands, kept in memory: an entry is added to it, a changed fact makes it anew. */

export type Found = Searchable & {
  /** Title and body with what matched between two marks. */
  readonly shownTitle: string;
  readonly shownBody: string;
};

/** What matched stands between these. */
export const MATCH_MARKS = ['\uE000', '\uE001'] as const;

/** A title that matches counts for more than what stands below it. */
const WEIGHTS = '0, 0, 0, 0, 8, 1';

export class SearchIndex {
  readonly #db: Db;

  constructor(db: Db, facts: Facts) {
    this.#db = db;
    db.pragma('temp_store = MEMORY');
    db.exec(`DROP TABLE IF EXISTS temp.search;
      CREATE VIRTUAL TABLE temp.search USING fts5(
        kind UNINDEXED, id UNINDEXED, pieceId UNINDEXED, at UNINDEXED, title, body,
        tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3')`);
    db.transaction(() => {
      for (const collection of COLLECTION_NAMES) for (const fact of facts[collection]) this.#add(searchableFact(collection, fact, facts));
      this.addEvents(facts.events, facts);
    })();
  }

  addEvents(events: readonly LogEvent[], facts: Facts): void {
    const words = wordsOf(facts);
    this.#add(
      events.filter((event) => event.kind !== 'undo' && event.kind !== 'amend').map((event) => searchableEntry(event, facts, words)),
    );
  }

  /** The best matches: every word as the beginning of one; `kind` for one kind alone. */
  find(typed: string, most: number, kind?: Searchable['kind']): Found[] {
    const words = searchWords(typed);
    if (words.length === 0) return [];
    const [open, close] = MATCH_MARKS;
    return this.#db
      .prepare(
        `SELECT kind, id, pieceId, at, title, body,
                highlight(search, 4, '${open}', '${close}') AS shownTitle, snippet(search, 5, '${open}', '${close}', '…', 16) AS shownBody
         FROM temp.search WHERE search MATCH ? ${kind ? 'AND kind = ?' : ''}
         ORDER BY kind = 'entry', bm25(search, ${WEIGHTS}), at DESC LIMIT ?`,
      )
      .all(words.map((word) => `"${word}"*`).join(' '), ...(kind ? [kind] : []), most) as Found[];
  }

  #add(rows: readonly Searchable[]): void {
    const insert = this.#db.prepare('INSERT INTO temp.search (kind, id, pieceId, at, title, body) VALUES (?, ?, ?, ?, ?, ?)');
    for (const { kind, id, pieceId, at, title, body } of rows) insert.run(kind, id, pieceId, at, title, body);
  }
}

/** Moments by date, money and sizes as the workshop writes them. */
function wordsOf({ workshop: [workshop] }: Facts) {
  const { timeZone = 'UTC', currency = 'EUR' } = workshop ?? {};
  return {
    moment: (at: number) => momentText(at, toMinute('1970-01-01T00:00:00Z'), timeZone, workshop?.units.clock ?? 24),
    money: (minor: number) => formatMoney(minor, currency),
    volume: (ml: number) => formatQuantity(ml, workshop?.units.volume ?? 'mL'),
    temperature: (celsius: number) => formatQuantity(celsius, workshop?.units.temperature ?? 'C'),
  };
}
