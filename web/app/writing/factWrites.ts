import type { Collection, FactOf, Facts } from '#core/facts/index';
import type { ProblemDetails, Snapshot, Write } from '../../api/answers.ts';
import { workshopApi } from '../../api/workshopApi.ts';
import { askWhichStands } from '../shell/conflictQuestion.ts';
import { store } from '../store.ts';
import { conflictsBetween } from './conflicts.ts';
import { rebased } from './rebase.ts';
import { withEdits } from './withEdits.ts';

/** One write of one fact, and what the server says to it. */

export function factIn<C extends Collection>(facts: Facts | null | undefined, collection: C, id: string): FactOf<C> | undefined {
  return (facts?.[collection] as readonly FactOf<C>[] | undefined)?.find((fact) => fact.id === id);
}

function snapshot(): Snapshot | undefined {
  return workshopApi.endpoints.workshop.select()(store.getState()).data;
}

/** As the server has them. */
export function factsThere(): Facts | undefined {
  return snapshot()?.facts;
}

/** With every change of this browser that is still to be sent. */
export function factsHere(): Facts | undefined {
  const facts = factsThere();
  return facts && withEdits(facts, store.getState().outbox.edits);
}

export function currentRevision(collection: Collection, id: string): number {
  return snapshot()?.revisions[`${collection}/${id}`] ?? 0;
}

export async function fetchNewest(): Promise<void> {
  await store.dispatch(workshopApi.endpoints.workshop.initiate(undefined, { forceRefetch: true, subscribe: false }));
}

export type Written =
  | { readonly state: 'taken'; readonly revision: number }
  /** Somebody else has written it since. */
  | { readonly state: 'stale' }
  | { readonly state: 'away'; readonly reason: string | null }
  | { readonly state: 'refused'; readonly title: string; readonly mend: string };

/** A phone that is no longer paired, or asks too often: what was asked is not at fault and waits. */
const NOT_NOW: readonly unknown[] = [401, 403, 429];
const STALE = 409;

/** What became of something sent, by the error it met. */
export function notTaken(error: unknown): Exclude<Written, { state: 'taken' }> {
  const { status, data } = error as { status?: unknown; data?: ProblemDetails };
  if (status === STALE) return { state: 'stale' };
  const refused = typeof status === 'number' && status >= 400 && status < 500 && !NOT_NOW.includes(status);
  if (!refused) return { state: 'away', reason: data?.title ? `${data.title} ${data.mend}` : null };
  return { state: 'refused', title: data?.title ?? 'The server does not take this.', mend: data?.mend ?? 'Do it again.' };
}

/** Writes a fact, or takes it out where there is no value, on the newest revision that is known. */
export async function write<C extends Collection>(collection: C, id: string, value: FactOf<C> | null): Promise<Written> {
  const revision = currentRevision(collection, id);
  const { putFact, removeFact } = workshopApi.endpoints;
  try {
    const answer = value
      ? await store.dispatch(putFact.initiate({ collection, value, revision } as Write)).unwrap()
      : await store.dispatch(removeFact.initiate({ collection, id, revision })).unwrap();
    if (value) noteSaved(collection, value, answer.revision);
    return { state: 'taken', revision: answer.revision };
  } catch (error) {
    return notTaken(error);
  }
}

/**
 * The change put onto what is newest. Where another tab has said something else about the same, the person chooses;
 * null: what is elsewhere stands.
 */
export async function settled<C extends Collection>(
  collection: C,
  base: FactOf<C> | undefined,
  value: FactOf<C>,
  facts: Facts | undefined,
): Promise<FactOf<C> | null> {
  const newest = factIn(facts, collection, value.id);
  if (!newest || !base) return value;
  const key = `${collection}/${value.id}`;
  // Quick edits one after the other in this tab are no quarrel: the last one stands.
  const conflicts = ownRevisions.get(key) === currentRevision(collection, value.id) ? [] : conflictsBetween(base, value, newest);
  if (conflicts.length === 0) return rebased(base, value, newest);
  return (await askWhichStands(nameOf(value), conflicts)) === 'theirs' ? null : rebased(base, value, newest, 'as-changed');
}

export function nameOf(value: object): string {
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
