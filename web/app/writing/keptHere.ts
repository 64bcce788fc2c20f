import { eventSchema, type LogEvent } from '#core/facts/index';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Snapshot } from '../../api/answers.ts';
import type { KeptEdit, Refused } from './outbox.ts';

/** What this browser keeps for all its tabs: entries still to be sent, those refused, and the workshop as last seen. */

interface Kept extends DBSchema {
  /** One row an entry; `position` keeps their order. */
  waiting: { key: number; value: { position?: number; id: string; event: unknown }; indexes: { id: string } };
  /** Changes of facts still to be sent, in their order. */
  edits: { key: number; value: KeptEdit & { position?: number }; indexes: { id: string } };
  refused: { key: string; value: Refused & { raw?: string } };
  seen: { key: 'workshop'; value: Snapshot };
}

/** Where the list lived before; what is found there is taken over once. */
const EARLIER_KEY = 'enamelos-outbox';

let opened: Promise<IDBPDatabase<Kept> | null> | undefined;
function database(): Promise<IDBPDatabase<Kept> | null> {
  opened ??= Promise.race([open(), tooLong()]).catch(() => null);
  return opened;
}

/** An older page in another tab may hold the database as it was: nothing waits for that, this page keeps for itself. */
const OPENS_WITHIN_MS = 4000;

function tooLong(): Promise<null> {
  return new Promise((resolve) => setTimeout(() => resolve(null), OPENS_WITHIN_MS));
}

async function open(): Promise<IDBPDatabase<Kept>> {
  const db = await openDB<Kept>('enamelos', 2, {
    upgrade(older, version) {
      if (version < 1) {
        older.createObjectStore('waiting', { keyPath: 'position', autoIncrement: true }).createIndex('id', 'id', { unique: true });
        older.createObjectStore('refused', { keyPath: 'id' });
        older.createObjectStore('seen');
      }
      older.createObjectStore('edits', { keyPath: 'position', autoIncrement: true }).createIndex('id', 'id', { unique: true });
    },
    // A tab of the program as it was before lets go of the older database, so that this one opens.
    blocking(_now, _next, event) {
      (event.target as IDBDatabase).close();
      opened = undefined;
    },
  });
  await takeOver(db);
  return db;
}

/** Entries of this page alone, where the browser keeps nothing, or nothing more. */
let onlyHere: LogEvent[] = [];
let editsOnlyHere: KeptEdit[] = [];

export type KeptLog = {
  readonly events: readonly LogEvent[];
  readonly edits: readonly KeptEdit[];
  readonly refused: readonly Refused[];
  readonly keeps: boolean;
};

/** Everything kept, in order; a row that is no entry is put with the refused. */
export async function keptLog(): Promise<KeptLog> {
  const db = await database();
  if (!db) return { events: onlyHere, edits: editsOnlyHere, refused: [], keeps: false };
  const events: LogEvent[] = [];
  for (const row of await db.getAll('waiting')) {
    const parsed = eventSchema.safeParse(row.event);
    if (parsed.success) events.push(parsed.data);
    else if (row.position !== undefined) await setAside(db, row.position, row.event);
  }
  return {
    events: [...events, ...onlyHere],
    edits: [...(await db.getAll('edits')).map(({ position: _position, ...edit }) => edit), ...editsOnlyHere],
    refused: await db.getAll('refused'),
    keeps: onlyHere.length === 0 && editsOnlyHere.length === 0,
  };
}

export async function keep(events: readonly LogEvent[]): Promise<void> {
  try {
    const db = await database();
    if (!db) throw new Error('This browser keeps nothing.');
    await add(db, events);
  } catch {
    onlyHere = [...onlyHere, ...events];
  }
}

async function add(db: IDBPDatabase<Kept>, events: readonly LogEvent[]): Promise<void> {
  const rows = db.transaction('waiting', 'readwrite');
  // A repeated press meets the unique id and changes nothing.
  await Promise.all(
    events.map(async (event) => (await rows.store.index('id').getKey(event.id)) ?? rows.store.add({ id: event.id, event })),
  );
  await rows.done;
}

export async function keepEdit(edit: KeptEdit): Promise<void> {
  try {
    const db = await database();
    if (!db) throw new Error('This browser keeps nothing.');
    await db.add('edits', edit);
  } catch {
    editsOnlyHere = [...editsOnlyHere, edit];
  }
}

/** It was sent, or is not to be any more. */
export async function letEditGo(id: string): Promise<void> {
  editsOnlyHere = editsOnlyHere.filter((edit) => edit.id !== id);
  const db = await database();
  const position = await db?.getKeyFromIndex('edits', 'id', id);
  if (position !== undefined) await db?.delete('edits', position);
}

/** These were answered: each is taken out by its own id, whatever other tabs have added meanwhile. */
export async function letGo(ids: readonly string[]): Promise<void> {
  const db = await database();
  onlyHere = onlyHere.filter((event) => !ids.includes(event.id));
  if (!db) return;
  const rows = db.transaction('waiting', 'readwrite');
  for (const id of ids) {
    const position = await rows.store.index('id').getKey(id);
    if (position !== undefined) await rows.store.delete(position);
  }
  await rows.done;
}

export async function keepRefused(refused: Refused): Promise<void> {
  await (await database())?.put('refused', refused);
  await letGo([refused.id]);
}

export async function discardRefused(id: string): Promise<void> {
  await (await database())?.delete('refused', id);
}

export async function keepSeen(snapshot: Snapshot): Promise<void> {
  await (await database())?.put('seen', snapshot, 'workshop').catch(() => undefined);
}

export async function lastSeen(): Promise<Snapshot | undefined> {
  return (await database())?.get('seen', 'workshop');
}

async function setAside(db: IDBPDatabase<Kept>, position: number, event: unknown): Promise<void> {
  await db.put('refused', unreadable(`unreadable-${position}`, event));
  await db.delete('waiting', position);
}

function unreadable(id: string, raw: unknown): Refused & { raw: string } {
  return {
    id,
    event: null,
    title: 'Something kept here for sending cannot be read as an entry.',
    mend: 'Enter it again in the log if you know what it was, then discard this.',
    raw: typeof raw === 'string' ? raw : (JSON.stringify(raw) ?? String(raw)),
  };
}

async function takeOver(db: IDBPDatabase<Kept>): Promise<void> {
  const text = localStorage.getItem(EARLIER_KEY);
  if (text === null) return;
  const list = parsedList(text);
  if (list === null) await db.put('refused', unreadable('unreadable-earlier', text));
  for (const event of list ?? [])
    await db.add('waiting', { id: (event as { id?: string } | null)?.id ?? text, event }).catch(() => undefined);
  localStorage.removeItem(EARLIER_KEY);
}

function parsedList(text: string): unknown[] | null {
  try {
    const list = JSON.parse(text);
    return Array.isArray(list) ? list : null;
  } catch {
    return null;
  }
}
