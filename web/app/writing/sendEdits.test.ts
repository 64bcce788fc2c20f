import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { EMPTY_FACTS, type Piece } from '#core/facts/index';
import { part, piece } from '#core/invented/index';
import { jsonAnswer, stubRequests } from './requestStub.ts';

/** Changes made while the server is away: shown at once, kept for all tabs, sent in their order, and never said to be safe when dropped. */

const lamp = piece(part({ name: 'Shell' }), { id: 'lamp', name: 'Lamp' });
const other = piece(part({ id: 'arm' }), { id: 'crane', name: 'Crane' });

/** The stand-in for the server: what it keeps, how often each was written, and whether it answers. */
let there: Map<string, { piece: Piece; revision: number }>;
let away: boolean;
let refuses: string | null;
let refusesWith: number;

/** What each was before it was written last: that is what undoing the newest brings back. */
let before: Map<string, Piece>;

function undone(id: string, { revision }: { revision: number }) {
  const now = there.get(id)?.revision ?? 0;
  if (revision !== now) return jsonAnswer(409, { title: 'Stale.', mend: 'Read it again.', current: now });
  there.set(id, { piece: before.get(id) ?? lamp, revision: now + 1 });
  return jsonAnswer(200, { revision: now + 1 });
}

function stubServer(): void {
  stubRequests(async (request) => {
    if (away) throw new TypeError('Failed to fetch');
    const path = new URL(request.url).pathname;
    if (request.method === 'GET') {
      const revisions = Object.fromEntries([...there].map(([id, { revision }]) => [`pieces/${id}`, revision]));
      const pieces = [...there.values()].map((own) => own.piece);
      return jsonAnswer(200, { facts: { ...EMPTY_FACTS, pieces }, revisions, changes: there.size, demo: false, setAside: 0 });
    }
    if (path.startsWith('/api/undo/')) return undone(path.split('/').at(-1) ?? '', await request.json());
    if (refuses) return jsonAnswer(refusesWith, { title: refuses, mend: 'Mend it.' });
    const id = path.split('/').at(-1) ?? '';
    const now = there.get(id)?.revision ?? 0;
    const sent = request.method === 'DELETE' ? null : ((await request.json()) as { value: Piece; revision: number });
    const from = sent ? sent.revision : Number(new URL(request.url).searchParams.get('revision'));
    if (from !== now) return jsonAnswer(409, { title: 'Stale.', mend: 'Read it again.', current: now });
    before.set(id, there.get(id)?.piece ?? sent?.value ?? lamp);
    if (sent) there.set(id, { piece: sent.value, revision: now + 1 });
    else there.delete(id);
    return jsonAnswer(200, { revision: now + 1 });
  });
}

const toasts: { text: string; undo?: () => void }[] = [];
vi.mock('sonner', () => {
  const said = (text: string, options?: { action?: { onClick: () => void } }) =>
    void toasts.push({ text, ...(options?.action ? { undo: options.action.onClick } : {}) });
  return { toast: Object.assign(said, { error: said }) };
});
vi.mock('../../api/changeStream.ts', () => ({ watchChanges: () => () => undefined }));

/** A page of the program, with what it shows and a hand to change it. */
async function tab() {
  vi.resetModules();
  const [logging, facts, writes, { store }, { workshopApi }, { openQuestion }] = await Promise.all([
    import('./logging.ts'),
    import('./useFacts.ts'),
    import('./factWrites.ts'),
    import('../store.ts'),
    import('../../api/workshopApi.ts'),
    import('../shell/conflictQuestion.ts'),
  ]);
  await store.dispatch(workshopApi.endpoints.workshop.initiate());
  await logging.readKept();
  const shown = () => {
    const here = writes.factsHere();
    if (!here) throw new Error('Nothing was fetched.');
    facts.showsNow(here);
    return here.pieces;
  };
  const change = (id: string, fields: Partial<Piece>) => {
    const own = shown().find((each) => each.id === id);
    if (!own) throw new Error(`No ${id}.`);
    return facts.saveFact('pieces', { ...own, ...fields }, 'Noted.');
  };
  return { ...logging, ...facts, shown, change, openQuestion, waiting: () => store.getState().outbox };
}

beforeEach(() => {
  vi.stubGlobal('indexedDB', new IDBFactory());
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined, removeItem: () => undefined });
  vi.stubGlobal('BroadcastChannel', undefined);
  vi.stubGlobal('navigator', {});
  there = new Map([lamp, other].map((own) => [own.id, { piece: own, revision: 1 }]));
  [away, refuses, refusesWith] = [false, null, 422];
  toasts.length = 0;
  before = new Map();
  stubServer();
});
afterEach(() => vi.unstubAllGlobals());

describe('a change made while the server is away', () => {
  it('is shown at once, survives a reload, and is sent when the server answers', async () => {
    const page = await tab();
    away = true;
    expect(await page.change('lamp', { name: 'Table lamp' })).toBe(true);
    expect(await page.change('lamp', { aim: 'preserve' })).toBe(true);
    expect(page.shown().find(({ id }) => id === 'lamp')).toMatchObject({ name: 'Table lamp', aim: 'preserve' });
    expect(toasts[0].text).toContain('Kept here');
    expect(there.get('lamp')?.piece.name).toBe('Lamp');
    away = false;
    const again = await tab();
    expect(again.shown()[0].name).toBe('Table lamp');
    await again.sendWaiting();
    expect(there.get('lamp')).toMatchObject({ piece: { name: 'Table lamp', aim: 'preserve' }, revision: 3 });
    expect(again.waiting()).toMatchObject({ edits: [], away: false });
    expect(again.shown()[0].name).toBe('Table lamp');
  });
  it('keeps what another has said of other things meanwhile, and asks where both said something of the same', async () => {
    const page = await tab();
    away = true;
    await page.change('lamp', { name: 'Table lamp' });
    there.set('lamp', { piece: { ...lamp, aim: 'aged' }, revision: 2 });
    away = false;
    await page.sendWaiting();
    expect(there.get('lamp')?.piece).toMatchObject({ name: 'Table lamp', aim: 'aged' });
    away = true;
    await page.change('lamp', { name: 'Desk lamp' });
    there.set('lamp', { piece: { ...lamp, name: 'Standard lamp' }, revision: 9 });
    away = false;
    const sent = page.sendWaiting();
    await vi.waitFor(() => expect(page.openQuestion()).not.toBeNull());
    page.openQuestion()?.answer('theirs');
    await sent;
    expect(there.get('lamp')).toMatchObject({ piece: { name: 'Standard lamp' }, revision: 9 });
    expect(page.waiting().edits).toEqual([]);
  });
  it('is undone before it was ever sent', async () => {
    const page = await tab();
    away = true;
    await page.change('lamp', { name: 'Table lamp' });
    toasts[0].undo?.();
    await vi.waitFor(() => expect(page.waiting().edits).toEqual([]));
    away = false;
    await page.sendWaiting();
    expect(there.get('lamp')).toMatchObject({ piece: { name: 'Lamp' }, revision: 1 });
    expect(page.shown().find(({ id }) => id === 'lamp')?.name).toBe('Lamp');
  });
  it('adds and takes out as well', async () => {
    const page = await tab();
    away = true;
    await page.saveFact('pieces', { ...lamp, id: 'vane', name: 'Vane' });
    await page.removeFact('pieces', 'crane', 'Removed.');
    expect(page.shown().map(({ id }) => id)).toEqual(['lamp', 'vane']);
    away = false;
    await page.sendWaiting();
    expect([...there.keys()]).toEqual(['lamp', 'vane']);
  });
  it('that the server then refuses, or whose piece is gone, lies with its reason and holds up nothing', async () => {
    const page = await tab();
    away = true;
    await page.change('lamp', { name: 'Table lamp' });
    await page.change('crane', { name: 'Dock crane' });
    there.delete('lamp');
    away = false;
    await page.sendWaiting();
    expect(there.get('crane')?.piece.name).toBe('Dock crane');
    expect(page.waiting().refused.map(({ title }) => title)).toEqual([
      'Table lamp was taken out elsewhere before a change of it was sent.',
    ]);
    away = true;
    await page.change('crane', { aim: 'aged' });
    [away, refuses] = [false, 'That cannot be.'];
    await page.sendWaiting();
    expect(page.waiting().refused.map(({ title }) => title)).toContain('That cannot be.');
    expect(page.waiting().edits).toEqual([]);
  });
  it.each([401, 403, 429])('is not lost where the server answers %i: nothing is wrong with it, and it waits', async (status) => {
    const page = await tab();
    [refuses, refusesWith] = ['This phone is not paired.', status];
    expect(await page.change('lamp', { name: 'Table lamp' })).toBe(true);
    await page.sendWaiting();
    expect(page.waiting()).toMatchObject({ refused: [], edits: [{ factId: 'lamp' }] });
    expect(page.shown()[0].name).toBe('Table lamp');
    refuses = null;
    await page.sendWaiting();
    expect(there.get('lamp')?.piece.name).toBe('Table lamp');
  });
  it('goes behind one that waits, though the server answers again', async () => {
    const page = await tab();
    away = true;
    await page.change('lamp', { name: 'Table lamp' });
    away = false;
    await page.change('lamp', { aim: 'aged' });
    expect(there.get('lamp')?.revision).toBe(1);
    await page.sendWaiting();
    expect(there.get('lamp')).toMatchObject({ piece: { name: 'Table lamp', aim: 'aged' }, revision: 3 });
  });
});

describe('undo, with two tabs open', () => {
  const lampThere = () => there.get('lamp')?.piece;
  it('takes back what was done last', async () => {
    const page = await tab();
    await page.change('lamp', { name: 'Table lamp' });
    toasts[0].undo?.();
    await vi.waitFor(() => expect(lampThere()?.name).toBe('Lamp'));
  });
  it.each<[string, Partial<Piece>, Partial<Piece>]>([
    ['another field', { name: 'Table lamp' }, { aim: 'aged' }],
    [
      'another part, or one added',
      { parts: [part({ name: 'Shade' })] },
      { parts: [part({ name: 'Shell' }), part({ id: 'arm', name: 'Arm' })] },
    ],
  ])('leaves what the other has said of %s', async (_what, mine, theirs) => {
    const [one, two] = [await tab(), await tab()];
    await one.change('lamp', mine);
    await two.change('lamp', theirs);
    const elsewhere = lampThere();
    toasts[0].undo?.();
    await vi.waitFor(() => expect(toasts.at(-1)?.text).toContain('What was changed since stays'));
    for (const key of Object.keys(mine) as (keyof Piece)[]) if (key !== 'parts') expect(lampThere()?.[key]).toEqual(lamp[key]);
    expect(lampThere()?.parts.map(({ name }) => name)).toEqual(theirs.parts ? ['Shell', 'Arm'] : ['Shell']);
    expect(lampThere()?.aim).toBe(elsewhere?.aim);
  });
  it('asks where the other has said the same otherwise', async () => {
    const [one, two] = [await tab(), await tab()];
    await one.change('lamp', { name: 'Table lamp' });
    const said = two.change('lamp', { name: 'Desk lamp' });
    await vi.waitFor(() => expect(two.openQuestion()).not.toBeNull());
    two.openQuestion()?.answer('mine');
    await said;
    toasts[0].undo?.();
    await vi.waitFor(() => expect(one.openQuestion()).not.toBeNull());
    one.openQuestion()?.answer('theirs');
    await vi.waitFor(() => expect(one.openQuestion()).toBeNull());
    expect(lampThere()?.name).toBe('Desk lamp');
  });
  it('takes back the first of two presses, and keeps the second', async () => {
    const page = await tab();
    await page.change('lamp', { name: 'Table lamp' });
    await page.change('lamp', { aim: 'aged' });
    toasts[0].undo?.();
    await vi.waitFor(() => expect(lampThere()).toMatchObject({ name: 'Lamp', aim: 'aged' }));
  });
});
