import type { Db } from './db.ts';

/** A picture as it is kept: JPEG, turned upright, without metadata. */
export type StoredPicture = { readonly id: string; readonly width: number; readonly height: number; readonly bytes: Buffer };

export function writePicture(db: Db, { id, width, height, bytes }: StoredPicture): void {
  db.prepare('INSERT OR REPLACE INTO picture (id, width, height, bytes) VALUES (?, ?, ?, ?)').run(id, width, height, bytes);
}

/** The images that facts name by id. An image stays when its fact is removed, so that undo brings both back. */
export class Pictures {
  readonly #db: Db;

  constructor(db: Db) {
    this.#db = db;
  }

  get(id: string): StoredPicture | undefined {
    return this.#db.prepare('SELECT id, width, height, bytes FROM picture WHERE id = ?').get(id) as StoredPicture | undefined;
  }

  /** Those of these ids that are here. */
  having(ids: readonly string[]): StoredPicture[] {
    return ids.flatMap((id) => this.get(id) ?? []);
  }
}
