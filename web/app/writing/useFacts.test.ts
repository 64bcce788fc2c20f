import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { EMPTY_FACTS, type Piece } from '#core/facts/index';
import { layer, part, piece } from '#core/invented/index';
import { workshopApi } from '../../api/workshopApi.ts';
import { jsonAnswer, stubRequests } from './requestStub.ts';
import { store } from '../store.ts';
import { sameFacts, saveFact, showsNow } from './useFacts.ts';

/** Edits made one after the other on one page, while the answers to the ones before are still on their way. */

const colour = (id: string) => layer(id, 'acrylic-lacquer', 'colour', 2);
const first = piece(part({ layers: [colour('cream')] }));
const withLayers = (own: Piece, ...layers: Piece['parts'][0]['layers']): Piece => ({ ...own, parts: [{ ...own.parts[0], layers }] });

let stored: { piece: Piece; revision: number };
let answers: (() => void)[];

function stubServer(): void {
  stubRequests(async (request) => {
    if (request.method === 'GET')
      return jsonAnswer(200, {
        facts: { ...EMPTY_FACTS, pieces: [stored.piece] },
        revisions: { 'pieces/bell': stored.revision },
        changes: stored.revision,
        demo: false,
        setAside: 0,
      });
    const { value, revision } = (await request.json()) as { value: Piece; revision: number };
    if (revision !== stored.revision) return jsonAnswer(409, { title: 'Stale.', mend: 'Read it again.' });
    stored = { piece: value, revision: revision + 1 };
    await new Promise<void>((resolve) => answers.push(resolve));
    return jsonAnswer(200, { revision: stored.revision });
  });
}

const seen = () => workshopApi.endpoints.workshop.select()(store.getState()).data?.facts;
function show(): Piece {
  const facts = seen();
  if (!facts) throw new Error('nothing was fetched');
  showsNow(facts);
  return facts.pieces[0];
}

const fetchAgain = () => store.dispatch(workshopApi.endpoints.workshop.initiate(undefined, { forceRefetch: true }));

vi.mock('../../api/changeStream.ts', () => ({ watchChanges: () => () => undefined }));

beforeEach(async () => {
  stored = { piece: first, revision: 1 };
  answers = [];
  stubServer();
  await fetchAgain();
});
afterEach(() => vi.unstubAllGlobals());

describe('an edit made before the answer to the one before', () => {
  it('keeps what that one said, though the page shows it by the time this one is sent', async () => {
    const shown = show();
    const [cream, red] = [shown.parts[0].layers[0], colour('red')];
    const one = saveFact('pieces', withLayers(shown, cream, red));
    const two = saveFact('pieces', { ...shown, parts: [{ ...shown.parts[0], name: 'Shell' }] });
    await vi.waitFor(() => expect(answers).toHaveLength(1));
    // The other tabs' count has brought the page what the server keeps, ahead of the answer to the save.
    await fetchAgain();
    show();
    answers[0]();
    await vi.waitFor(() => expect(answers).toHaveLength(2));
    answers[1]();
    expect(await Promise.all([one, two])).toEqual([true, true]);
    expect(stored.piece.parts[0].name).toBe('Shell');
    expect(stored.piece.parts[0].layers.map(({ id }) => id)).toEqual([cream.id, red.id]);
  });
});

describe('two states of the facts', () => {
  const note = (id: string) => ({ id, at: '2026-12-01T19:00:00.000Z', kind: 'note' as const, text: id });
  const one = { ...EMPTY_FACTS, pieces: [first], events: [note('a'), note('b')] };
  it('are the same where an entry has only reached the server', () => {
    expect(sameFacts(one, { ...one, events: [note('a'), note('b')] })).toBe(true);
  });
  it('are others with one more entry, another order, or any list anew', () => {
    expect(sameFacts(one, { ...one, events: [note('a')] })).toBe(false);
    expect(sameFacts(one, { ...one, events: [note('b'), note('a')] })).toBe(false);
    expect(sameFacts(one, { ...one, pieces: [first] })).toBe(false);
  });
});
