import type { Collection, FactOf, Facts } from '#core/facts/index';
import { useCallback, useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { ProblemDetails, Snapshot } from '../../api/answers.ts';
import { NO_SNAPSHOT, useWorkshopQuery, workshopApi } from '../../api/workshopApi.ts';
import { store, useAppSelector } from '../store.ts';
import { factIn, factsHere, fetchNewest, notTaken, settled, write, type Written } from './factWrites.ts';
import { dropChange, keepChange } from './logging.ts';
import { newId } from './newId.ts';
import type { KeptEdit } from './outbox.ts';
import { withEdits } from './withEdits.ts';

/** Facts as the server has them, with the events still to be sent. */
export function useFacts(): { facts: Facts; demo: boolean; state: WorkshopState; loaded: boolean; failed: boolean } {
  const { data = NO_SNAPSHOT, isError } = useWorkshopQuery();
  const { events: waiting, edits, known } = useAppSelector((state) => state.outbox);
  const newest = useMemo(() => {
    const facts = withEdits(data.facts, edits);
    if (waiting.length === 0) return facts;
    const known = new Set(facts.events.map((event) => event.id));
    return { ...facts, events: [...facts.events, ...waiting.filter((event) => !known.has(event.id))] };
  }, [data.facts, waiting, edits]);
  const facts = useAsLongAsSame(newest);
  const { demo, setAside, trouble, asLastSeen, phone } = data;
  return { facts, demo, state: { setAside, trouble, asLastSeen, phone }, loaded: data !== NO_SNAPSHOT && known, failed: isError };
}

/** An entry that has reached the server is the same entry: nothing is planned anew for it. */
function useAsLongAsSame(newest: Facts): Facts {
  const [held, setHeld] = useState(newest);
  if (held === newest || sameFacts(held, newest)) return held;
  setHeld(newest);
  return newest;
}

/** Whether two states say the same: lists are shared where nothing in them has changed, and an entry is never edited. */
export function sameFacts(one: Facts, other: Facts): boolean {
  const { events, ...rest } = one;
  const { events: otherEvents, ...otherRest } = other;
  const lists = Object.keys(rest) as (keyof typeof rest)[];
  if (lists.some((name) => rest[name] !== otherRest[name])) return false;
  return events.length === otherEvents.length && events.every(({ id }, index) => id === otherEvents[index].id);
}

/** What is not as it should be with the workshop behind the page. */
export type WorkshopState = Pick<Snapshot, 'setAside' | 'trouble' | 'asLastSeen' | 'phone'>;

/** Says what went wrong and what to do: what was asked was not done. */
export function tellProblem(error: unknown): void {
  const answer = error as { status?: unknown; data?: ProblemDetails };
  if (answer.data?.title) toast.error(`${answer.data.title} ${answer.data.mend}`);
  else toast.error('The server does not answer, and this was not done: start it again and press once more.');
}

/** Saving, removing and undoing of facts, each with an undo offered instead of a question. */
export function useSaving() {
  const remove = useCallback(removeFact, []);
  return { save: saveFact, remove };
}

/** Saves a fact as it was changed from what the screen shows at this moment; true when it is kept, there or here. */
export function saveFact<C extends Collection>(collection: C, value: FactOf<C>, said?: string): Promise<boolean> {
  // Taken before the turn comes: by then the screen may show an answer this edit knew nothing of.
  const base = factIn(shown, collection, value.id);
  return saveInTurn(collection, value.id, async () => {
    const fact = await settled(collection, base, value, factsHere());
    return fact && { fact, base, said };
  });
}

/** A fact as an edit has it, and what is said of it. */
export type Edited<T> = { readonly fact: T; readonly said: string };

/**
 * Edits a fact as it stands when the edit’s turn comes, with every press before it: of presses quicker than the screen none is lost
 * and none is taken back. True when it is kept; an edit that comes to nothing is no edit.
 */
export function editFact<C extends Collection>(
  collection: C,
  id: string,
  edit: (newest: FactOf<C>, facts: Facts) => Edited<FactOf<C>> | null,
): Promise<boolean> {
  return saveInTurn(collection, id, async () => {
    const facts = factsHere();
    const base = factIn(facts, collection, id);
    const edited = facts && base ? edit(base, facts) : null;
    return edited && { ...edited, base };
  });
}

/** Takes a fact out; true when that is kept. */
export function removeFact(collection: Collection, id: string, said: string): Promise<boolean> {
  return saveInTurn(collection, id, async () => ({ fact: null, base: factIn(factsHere(), collection, id), said }));
}

type ToSave<T> = { readonly fact: T | null; readonly base: T | undefined; readonly said?: string | undefined };

function saveInTurn<C extends Collection>(collection: C, id: string, made: () => Promise<ToSave<FactOf<C>> | null>): Promise<boolean> {
  return inTurn(`${collection}/${id}`, async () => {
    for (let tries = 0; ; tries++) {
      const own = await made();
      if (own === null) return false;
      // What waits already goes first.
      const answer: Written = isWaiting(collection, id) ? { state: 'away', reason: null } : await write(collection, id, own.fact);
      if (answer.state === 'stale' && tries < MOST_TRIES) {
        await fetchNewest();
        continue;
      }
      if (answer.state === 'away') {
        await keepForLater({ id: newId(), collection, factId: id, base: own.base ?? null, value: own.fact }, own.said, answer.reason);
        return true;
      }
      if (answer.state !== 'taken') {
        toast.error(answer.state === 'refused' ? `${answer.title} ${answer.mend}` : 'It is being changed elsewhere just now: do it again.');
        return false;
      }
      if (own.said) toast(own.said, { action: { label: 'Undo', onClick: () => void undo(collection, id, answer.revision, own) } });
      return true;
    }
  });
}

function isWaiting(collection: Collection, id: string): boolean {
  return store.getState().outbox.edits.some((edit) => edit.collection === collection && edit.factId === id);
}

/** The server is away: the change is kept here, shown at once, and sent when it answers; until then its undo lets go of it. */
async function keepForLater(edit: KeptEdit, said: string | undefined, reason: string | null): Promise<void> {
  await keepChange(edit, reason);
  toast(`${said ? `${said} ` : ''}Kept here: it is sent when the server answers.`, {
    action: { label: 'Undo', onClick: () => void dropChange(edit.id) },
  });
}

/** What the screens show just now: edits are made on it, and put onto what is newest when they are saved. */
let shown: Facts | null = null;

export function showsNow(facts: Facts): void {
  shown = facts;
}

const MOST_TRIES = 3;

const turns = new Map<string, Promise<unknown>>();

/** Saves of one fact go one after the other: each is made of the answer to the one before. */
function inTurn<T>(key: string, work: () => Promise<T>): Promise<T> {
  const own = (turns.get(key) ?? Promise.resolve()).then(work);
  turns.set(key, own);
  return own;
}

/** Takes one change back: as it was before, or, where more has been said of it since, here or elsewhere, that change alone. */
async function undo<C extends Collection>(collection: C, id: string, revision: number, was: ToSave<FactOf<C>>): Promise<void> {
  try {
    await store.dispatch(workshopApi.endpoints.undoFact.initiate({ collection, id, revision })).unwrap();
  } catch (error) {
    const { fact: after, base: before } = was;
    if (notTaken(error).state !== 'stale' || !after || !before) return tellProblem(error);
    await saveInTurn(collection, id, async () => {
      await fetchNewest();
      const fact = await settled(collection, after, before, factsHere());
      return fact && { fact, base: after, said: 'Taken back. What was changed since stays.' };
    });
  }
}
