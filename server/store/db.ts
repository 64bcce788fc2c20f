import type Database from 'better-sqlite3';

/** The workshop's one open file. */
export type Db = Database.Database;
