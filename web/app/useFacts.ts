import type { Collection, FactOf, Facts, LogEvent } from '#core/facts/index';
import { useCallback, useMemo } from 'react';
import { toast } from 'sonner';
import { NO_SNAPSHOT, type ProblemDetails, useWorkshopQuery, workshopApi, type Write } from '../api/workshopApi.ts';
import { rebased } from './rebase.ts';
import { queued, sent, serverAway } from './outbox.ts';
import { store, useAppSelector } from './store.ts';

/** Facts as the server has them, with the events still to be sent. */
export function useFacts(): { facts: Facts; revisions: Readonly<Record<string, number>>; demo: boolean; loaded: boolean; failed: boolean } {
  const { data = NO_SNAPSHOT, isError } = useWorkshopQuery();
  const waiting = useAppSelector((state) => state.outbox.events);
  const facts = useMemo(() => {
    if (waiting.length === 0) return data.facts;
    const known = new Set(data.facts.events.map((event) => event.id));
    return { ...data.facts, events: [...data.facts.events, ...waiting.filter((event) => !known.has(event.id))] };
  }, [data.facts, waiting]);
  return { facts, revisions: data.revisions, demo: data.demo, loaded: data !== NO_SNAPSHOT, failed: isError };
}

/** Says what went wrong and what to do; nothing was changed. */
export function tellProblem(error: unknown): void {
  const answer = error as { status?: unknown; data?: ProblemDetails };
  if (answer.data?.title) toast.error(`${answer.data.title} ${answer.data.mend}`);
  else toast.error('The server does not answer. Nothing was lost here; start it again and retry.');
}

/** Saving, removing and undoing of facts, each with an undo offered instead of a question. */
export function useSaving() {
  const save = useCallback(
    <C extends Collection>(collection: C, value: FactOf<C>, said?: string): Promise<boolean> =>
      inTurn(`${collection}/${value.id}`, async () => {
        const fact = onNewest(collection, value);
        const revision = currentRevision(collection, value.id);
        try {
          const answer = await store
            .dispatch(workshopApi.endpoints.putFact.initiate({ collection, value: fact, revision } as Write))
            .unwrap();
          noteSaved(collection, fact, answer.revision);
          if (said) toast(said, { action: { label: 'Undo', onClick: () => void undo(collection, value.id, answer.revision) } });
          return true;
        } catch (error) {
          tellProblem(error);
          return false;
        }
      }),
    [],
  );

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

  return { save, remove };
}

/** What the screens show just now: edits are made on it, and put onto what is newest when they are saved. */
let shown: Facts | null = null;

export function showsNow(facts: Facts): void {
  shown = facts;
}

function factIn<C extends Collection>(facts: Facts | null | undefined, collection: C, id: string): FactOf<C> | undefined {
  return (facts?.[collection] as readonly FactOf<C>[] | undefined)?.find((fact) => fact.id === id);
}

function onNewest<C extends Collection>(collection: C, value: FactOf<C>): FactOf<C> {
  const newest = factIn(workshopApi.endpoints.workshop.select()(store.getState()).data?.facts, collection, value.id);
  const base = factIn(shown, collection, value.id);
  return newest && base ? rebased(base, value, newest) : value;
}

/** The answer is known here before the next fetch, so that the next edit builds on it. */
function noteSaved<C extends Collection>(collection: C, fact: FactOf<C>, revision: number): void {
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

function currentRevision(collection: Collection, id: string): number {
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

/** Appends to the log: counted at once, sent when the server answers, kept here until then. */
export async function logEvents(events: readonly LogEvent[]): Promise<void> {
  store.dispatch(queued([...events]));
  await sendWaiting();
}

let sending = false;

/** Sends what waits. A server that is away leaves it waiting; a refused event is dropped and said. */
export async function sendWaiting(): Promise<void> {
  if (sending) return;
  sending = true;
  try {
    for (let waiting = store.getState().outbox.events; waiting.length > 0; waiting = store.getState().outbox.events) {
      const request = store.dispatch(workshopApi.endpoints.appendEvents.initiate(waiting));
      try {
        await request.unwrap();
        await store.dispatch(workshopApi.endpoints.workshop.initiate(undefined, { forceRefetch: true, subscribe: false }));
      } catch (error) {
        const status = (error as { status?: unknown }).status;
        if (typeof status !== 'number' || status >= 500) {
          store.dispatch(serverAway());
          return;
        }
        tellProblem(error);
      }
      store.dispatch(sent(waiting.map((event) => event.id)));
    }
  } finally {
    sending = false;
  }
}

export function newId(): string {
  return crypto.randomUUID();
}
