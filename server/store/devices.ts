import { createHash, randomBytes } from 'node:crypto';
import type { Db } from './db.ts';

export type Device = { readonly id: string; readonly name: string; readonly pairedAt: string };

/** Phones that were paired with this workshop, each with a secret of its own that can be taken from it again. */
export class Devices {
  readonly #db: Db;

  constructor(db: Db) {
    this.#db = db;
  }

  list(): Device[] {
    return this.#db.prepare('SELECT id, name, paired_at AS pairedAt FROM device ORDER BY paired_at').all() as Device[];
  }

  /** Returns the secret, which is nowhere kept. `stamp`: the moment, ISO. */
  add(name: string, stamp: string): string {
    const secret = randomBytes(32).toString('hex');
    this.#db
      .prepare('INSERT INTO device (id, name, hash, paired_at) VALUES (?, ?, ?, ?)')
      .run(randomBytes(8).toString('hex'), name, hashOf(secret), stamp);
    return secret;
  }

  /** The device that holds this secret, or null. */
  holding(secret: string | undefined): Device | null {
    if (!secret) return null;
    const row = this.#db.prepare('SELECT id, name, paired_at AS pairedAt FROM device WHERE hash = ?').get(hashOf(secret));
    return (row as Device | undefined) ?? null;
  }

  /** From now on the device is a stranger. Returns false where it was one. */
  revoke(id: string): boolean {
    return this.#db.prepare('DELETE FROM device WHERE id = ?').run(id).changes > 0;
  }
}

function hashOf(secret: string): string {
  return createHash('sha256').update(secret).digest('hex');
}
