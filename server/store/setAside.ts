import type { Db } from './db.ts';

/** What cannot be read is kept as it was found, with the reason, beside the facts. */
export type SetAside = { readonly collection: string; readonly id: string; readonly why: string; readonly body: string };

/** Kept once, however often the same comes in. */
export function keepAside(db: Db, { collection, id, body, why }: SetAside): void {
  const known = db.prepare('SELECT 1 FROM set_aside WHERE collection = ? AND id = ? AND body = ?').get(collection, id, body);
  if (!known) db.prepare('INSERT INTO set_aside (collection, id, body, why) VALUES (?, ?, ?, ?)').run(collection, id, body, why);
}

export function allSetAside(db: Db): SetAside[] {
  return db.prepare('SELECT collection, id, why, body FROM set_aside ORDER BY position').all() as SetAside[];
}
