import type { Collection, FactOf, Facts } from '#core/facts/index';
import { useCallback, useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { ProblemDetails, Snapshot, Write } from '../../api/answers.ts';
import { NO_SNAPSHOT, useWorkshopQuery, workshopApi } from '../../api/workshopApi.ts';
import { askWhichStands } from '../shell/conflictQuestion.ts';
import { conflictsBetween } from './conflicts.ts';
import { rebased } from './rebase.ts';
import { store, useAppSelector } from '../store.ts';

/** Facts as the server has them, with the events still to be sent. */
export function useFacts(): { facts: Facts; demo: boolean; state: WorkshopState; loaded: boolean; failed: boolean } {
  const { data = NO_SNAPSHOT, isError } = useWorkshopQuery();
  const { events: waiting, known } = useAppSelector((state) => state.outbox);
  const newest = useMemo(() => {
    if (waiting.length === 0) return data.facts;
    const known = new Set(data.facts.events.map((event) => event.id));
    return { ...data.facts, events: [...data.facts.events, ...waiting.filter((event) => !known.has(event.id))] };
  }, [data.facts, waiting]);
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

/** Says what went wrong and what to do; nothing was changed. */
export function tellProblem(error: unknown): void {
  const answer = error as { status?: unknown; data?: ProblemDetails };
  if (answer.data?.title) toast.error(`${answer.data.title} ${answer.data.mend}`);
  else toast.error('The server does not answer. Nothing was lost here; start it again and retry.');
}

/** Saving, removing and undoing of facts, each with an undo offered instead of a question. */
export function useSaving() {
  const remove = useCallback(async (collection: Collection, id: string, said: string): Promise<boolean> => {
    try {
      const answer = await store
        .dispatch(workshopApi.endpoints.removeFact.initiate({ collection, id, revision: currentRevision(collection, id) }))
        .unwrap();
      toast(said, { action: { label: 'Undo', onClick: () => void undo(collection, id, answer.revision) } });
      return true;
    } catch (error) {
      tellProblem(error);
      return false;
    }
  }, []);

  return { save: saveFact, remove };
}

/** Saves a fact as it was changed from what the screen shows at this moment; true when the server has it. */
export function saveFact<C extends Collection>(collection: C, value: FactOf<C>, said?: string): Promise<boolean> {
  // Taken before the turn comes: by then the screen may show an answer this edit knew nothing of.
  const base = factIn(shown, collection, value.id);
  return saveInTurn(collection, value.id, async () => {
    const fact = await settled(collection, base, value);
    return fact && { fact, said };
  });
}

/** A fact as an edit has it, and what is said of it. */
export type Edited<T> = { readonly fact: T; readonly said: string };

/**
 * Edits a fact as it stands when the edit’s turn comes, with every press before it: of presses quicker than the screen none is lost
 * and none is taken back. True when the server has it; an edit that comes to nothing is no edit.
 */
export function editFact<C extends Collection>(
  collection: C,
  id: string,
  edit: (newest: FactOf<C>, facts: Facts) => Edited<FactOf<C>> | null,
): Promise<boolean> {
  return saveInTurn(collection, id, async () => {
    const facts = workshopApi.endpoints.workshop.select()(store.getState()).data?.facts;
    const newest = factIn(facts, collection, id);
    return facts && newest ? edit(newest, facts) : null;
  });
}

type ToSave<T> = { readonly fact: T; readonly said?: string | undefined };

function saveInTurn<C extends Collection>(collection: C, id: string, made: () => Promise<ToSave<FactOf<C>> | null>): Promise<boolean> {
  return inTurn(`${collection}/${id}`, async () => {
    for (let tries = 0; ; tries++) {
      const own = await made();
      if (own === null) return false;
      const { fact, said } = own;
      const revision = currentRevision(collection, id);
      try {
        const answer = await store
          .dispatch(workshopApi.endpoints.putFact.initiate({ collection, value: fact, revision } as Write))
          .unwrap();
        noteSaved(collection, fact, answer.revision);
        if (said) toast(said, { action: { label: 'Undo', onClick: () => void undo(collection, id, answer.revision) } });
        return true;
      } catch (error) {
        if (tries < MOST_TRIES && (error as { status?: unknown }).status === STALE) {
          await fetchNewest();
          continue;
        }
        tellProblem(error);
        return false;
      }
    }
  });
}

/** What the screens show just now: edits are made on it, and put onto what is newest when they are saved. */
let shown: Facts | null = null;

export function showsNow(facts: Facts): void {
  shown = facts;
}

function factIn<C extends Collection>(facts: Facts | null | undefined, collection: C, id: string): FactOf<C> | undefined {
  return (facts?.[collection] as readonly FactOf<C>[] | undefined)?.find((fact) => fact.id === id);
}

const STALE = 409;
const MOST_TRIES = 3;

async function fetchNewest(): Promise<void> {
  await store.dispatch(workshopApi.endpoints.workshop.initiate(undefined, { forceRefetch: true, subscribe: false }));
}

/**
 * The change put onto what is newest. Where another tab has said something else about the same, the person chooses;
 * null: what is elsewhere stands.
 */
async function settled<C extends Collection>(collection: C, base: FactOf<C> | undefined, value: FactOf<C>): Promise<FactOf<C> | null> {
  const newest = factIn(workshopApi.endpoints.workshop.select()(store.getState()).data?.facts, collection, value.id);
  if (!newest || !base) return value;
  const key = `${collection}/${value.id}`;
  // Quick edits one after the other in this tab are no quarrel: the last one stands.
  const conflicts = ownRevisions.get(key) === currentRevision(collection, value.id) ? [] : conflictsBetween(base, value, newest);
  if (conflicts.length === 0) return rebased(base, value, newest);
  return (await askWhichStands(nameOf(value), conflicts)) === 'theirs' ? null : rebased(base, value, newest, 'as-changed');
}

function nameOf(value: object): string {
  return 'name' in value && typeof value.name === 'string' ? value.name : 'This';
}

/** The newest revision of each fact that this tab has written itself. */
const ownRevisions = new Map<string, number>();

/** The answer is known here before the next fetch, so that the next edit builds on it. */
function noteSaved<C extends Collection>(collection: C, fact: FactOf<C>, revision: number): void {
  ownRevisions.set(`${collection}/${fact.id}`, revision);
  store.dispatch(
    workshopApi.util.updateQueryData('workshop', undefined, (draft) => {
      const list = draft.facts[collection] as FactOf<C>[];
      const at = list.findIndex((own) => own.id === fact.id);
      if (at >= 0) list[at] = fact;
      else list.push(fact);
      (draft.revisions as Record<string, number>)[`${collection}/${fact.id}`] = revision;
    }),
  );
}

const turns = new Map<string, Promise<unknown>>();

/** Saves of one fact go one after the other: each is made of the answer to the one before. */
function inTurn<T>(key: string, work: () => Promise<T>): Promise<T> {
  const own = (turns.get(key) ?? Promise.resolve()).then(work);
  turns.set(key, own);
  return own;
}

export function currentRevision(collection: Collection, id: string): number {
  const { data } = workshopApi.endpoints.workshop.select()(store.getState());
  return data?.revisions[`${collection}/${id}`] ?? 0;
}

async function undo(collection: Collection, id: string, revision: number): Promise<void> {
  try {
    await store.dispatch(workshopApi.endpoints.undoFact.initiate({ collection, id, revision })).unwrap();
  } catch (error) {
    tellProblem(error);
  }
}
