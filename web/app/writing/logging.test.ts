import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { LogEvent } from '#core/facts/index';
import { EMPTY_FACTS } from '#core/facts/index';
import { jsonAnswer, stubRequests } from './requestStub.ts';

/** The list of entries still to be sent: one for all tabs, one row an entry, nothing lost and nothing stuck. */

const note = (id: string, text = id): LogEvent => ({ id, at: '2026-12-01T19:00:00Z', kind: 'note', text });

type Sent = { status: number; title?: string };
/** The stand-in for the server: what it has taken, and how it answers a portion. */
let taken: string[];
let portions: number[];
let answer: (events: readonly LogEvent[]) => Sent | 'away';

function stubServer(): void {
  stubRequests(async (request) => {
    if (!request.url.endsWith('/events'))
      return jsonAnswer(200, { facts: EMPTY_FACTS, revisions: {}, changes: 0, demo: false, setAside: 0 });
    const { events } = (await request.json()) as { events: LogEvent[] };
    const said = answer(events);
    if (said === 'away') throw new TypeError('Failed to fetch');
    portions.push(events.length);
    if (said.status >= 400) return jsonAnswer(said.status, { title: said.title ?? 'No.', mend: 'Mend it.' });
    taken.push(...events.map(({ id }) => id).filter((id) => !taken.includes(id)));
    return jsonAnswer(200, { added: events.length });
  });
}

/** A page of the program with modules, and so a list in memory, of its own. */
async function tab() {
  vi.resetModules();
  const [logging, { store }] = await Promise.all([import('./logging.ts'), import('../store.ts')]);
  await logging.readKept();
  return { ...logging, outbox: () => store.getState().outbox };
}

let kept: Map<string, string>;
beforeEach(() => {
  vi.stubGlobal('indexedDB', new IDBFactory());
  kept = new Map();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  });
  vi.stubGlobal('BroadcastChannel', undefined);
  vi.stubGlobal('navigator', {});
  vi.stubGlobal(
    'SharedWorker',
    class {
      readonly port = { close: () => undefined };
    },
  );
  [taken, portions, answer] = [[], [], () => ({ status: 200 })];
  stubServer();
});
afterEach(() => vi.unstubAllGlobals());

describe('two tabs, the server away', () => {
  it('keep what each has logged, over a reload, and any of them sends it all once', async () => {
    answer = () => 'away';
    const [one, two] = [await tab(), await tab()];
    await one.logEvents([note('a')]);
    await two.logEvents([note('b')]);
    await one.logEvents([note('c')]);
    const again = await tab();
    expect(again.outbox().events.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
    answer = () => ({ status: 200 });
    await again.sendWaiting();
    await two.sendWaiting();
    expect(taken).toEqual(['a', 'b', 'c']);
    expect((await tab()).outbox().events).toEqual([]);
  });
  it('let go only of what was answered', async () => {
    const [one, two] = [await tab(), await tab()];
    let late: Promise<void> | undefined;
    answer = () => {
      late ??= two.logEvents([note('meanwhile')]);
      return 'away';
    };
    await one.logEvents([note('a')]);
    await late;
    expect(
      (await tab())
        .outbox()
        .events.map(({ id }) => id)
        .sort(),
    ).toEqual(['a', 'meanwhile']);
  });
  it('tell one another that it is away, and that it has answered', async () => {
    const channel: { onmessage: ((message: { data: unknown }) => void) | null }[] = [];
    vi.stubGlobal(
      'BroadcastChannel',
      class {
        onmessage: ((message: { data: unknown }) => void) | null = null;
        constructor() {
          channel.push(this);
        }
        postMessage(data: unknown) {
          for (const other of channel) if (other !== this) other.onmessage?.({ data });
        }
      },
    );
    const [one, two] = [await tab(), await tab()];
    answer = () => 'away';
    await one.logEvents([note('a')]);
    await vi.waitFor(() => expect(two.outbox()).toMatchObject({ away: true, events: [note('a')] }));
    answer = () => ({ status: 200 });
    await one.sendWaiting();
    await vi.waitFor(() => expect(two.outbox()).toMatchObject({ away: false, events: [] }));
    expect(taken).toEqual(['a']);
  });
  it('say that it is away, and what the disk says', async () => {
    const one = await tab();
    answer = () => 'away';
    await one.logEvents([note('a')]);
    expect(one.outbox()).toMatchObject({ away: true, reason: null });
    answer = () => ({ status: 507, title: 'The disk is full.' });
    await one.sendWaiting();
    expect(one.outbox()).toMatchObject({ away: true, reason: 'The disk is full. Mend it.', events: [note('a')] });
    answer = () => ({ status: 200 });
    await one.sendWaiting();
    expect(one.outbox()).toMatchObject({ away: false, reason: null, events: [] });
  });
});

describe('an entry the server refuses', () => {
  beforeEach(() => {
    answer = (events) => (events.some(({ id }) => id === 'bad') ? { status: 422, title: 'No such piece.' } : { status: 200 });
  });
  it('is set aside with its reason; the rest goes through', async () => {
    const one = await tab();
    await one.logEvents([note('a'), note('bad'), note('c')]);
    expect(taken).toEqual(['a', 'c']);
    expect(one.outbox().events).toEqual([]);
    expect((await tab()).outbox().refused).toMatchObject([{ id: 'bad', title: 'No such piece.', mend: 'Mend it.', event: note('bad') }]);
  });
  it.each([401, 403, 429])('is not at fault where the answer is %i: it waits', async (status) => {
    answer = () => ({ status, title: 'This phone is not paired.' });
    const one = await tab();
    await one.logEvents([note('a')]);
    expect(one.outbox()).toMatchObject({ events: [note('a')], refused: [], away: true, reason: 'This phone is not paired. Mend it.' });
  });
  it('can be sent again, or discarded', async () => {
    const one = await tab();
    await one.logEvents([note('bad')]);
    answer = () => ({ status: 200 });
    await one.sendAgain(one.outbox().refused[0]);
    expect([taken, one.outbox().refused]).toEqual([['bad'], []]);
    answer = () => ({ status: 422 });
    await one.logEvents([note('worse')]);
    await one.discard('worse');
    expect((await tab()).outbox()).toMatchObject({ events: [], refused: [] });
  });
});

describe('a long evening without the server', () => {
  it('goes in portions the server takes, in the order it was logged', async () => {
    const one = await tab();
    answer = () => 'away';
    const events = Array.from({ length: 730 }, (_, index) => note(`n${index}`));
    await one.logEvents(events);
    answer = (sent) => ({ status: sent.length > 500 ? 422 : 200 });
    await one.sendWaiting();
    expect(taken).toEqual(events.map(({ id }) => id));
    expect(Math.max(...portions)).toBeLessThanOrEqual(100);
  });
});

describe('a list that is broken', () => {
  it.each([
    ['null', 'null'],
    ['a number', '7'],
    ['half a text', '[{"id":"a","at"'],
    ['an object', '{"events":[]}'],
  ])('%s, is kept aside and said, and the page opens', async (_name, text) => {
    kept.set('enamelos-outbox', text);
    const one = await tab();
    expect(one.outbox()).toMatchObject({ events: [], refused: [{ event: null, raw: text }] });
    await one.logEvents([note('a')]);
    expect(taken).toEqual(['a']);
  });
  it('in one place gives up only that place', async () => {
    kept.set('enamelos-outbox', JSON.stringify([note('a'), { id: 'x', kind: 'dance' }, null, note('b')]));
    const one = await tab();
    await one.sendWaiting();
    expect(taken).toEqual(['a', 'b']);
    expect(one.outbox().refused).toHaveLength(2);
    expect(kept.size).toBe(0);
  });
  it('where the browser keeps nothing, lives as long as the page, and says so', async () => {
    vi.stubGlobal('indexedDB', {
      open: () => {
        throw new Error('denied');
      },
    });
    const one = await tab();
    answer = () => 'away';
    await one.logEvents([note('a')]);
    expect(one.outbox()).toMatchObject({ keeps: false, events: [note('a')] });
    answer = () => ({ status: 200 });
    await one.sendWaiting();
    expect([taken, one.outbox().events]).toEqual([['a'], []]);
  });
});
