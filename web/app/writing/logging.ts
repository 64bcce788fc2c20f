import type { LogEvent } from '#core/facts/index';
import { workshopApi } from '../../api/workshopApi.ts';
import { discardRefused, keep, keepEdit, keepRefused, keptLog, letEditGo, letGo } from './keptHere.ts';
import { notTaken, type Written } from './factWrites.ts';
import { answered, type KeptEdit, type Refused, read, serverAway } from './outbox.ts';
import { sendEdits } from './sendEdits.ts';
import { store } from '../store.ts';

/** What one tab tells the others: only one of them sends, and all are to know how that went. */
type Word = { readonly is: 'changed' } | { readonly is: 'answered' } | { readonly is: 'away'; readonly reason: string | null };

const tabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('enamelos-kept');
if (tabs) tabs.onmessage = ({ data }: MessageEvent<Word>) => heard(data);

function heard(word: Word): void {
  if (word.is === 'changed') void readKept();
  else store.dispatch(word.is === 'away' ? serverAway(word.reason) : answered());
}

/** Known here and in every other tab. */
function tell(word: Exclude<Word, { is: 'changed' }>): void {
  heard(word);
  tabs?.postMessage(word);
}

/** Takes what the browser keeps into this page. */
export async function readKept(): Promise<void> {
  // A browser that lets nothing be read keeps nothing; the page does not wait for it.
  store.dispatch(read(await keptLog().catch(() => ({ events: [], edits: [], refused: [], keeps: false }))));
}

async function keptChanged(): Promise<void> {
  tabs?.postMessage({ is: 'changed' } satisfies Word);
  await readKept();
}

/** Appends to the log: kept here and counted at once, sent when the server answers. */
export async function logEvents(events: readonly LogEvent[]): Promise<void> {
  await keep(events);
  await keptChanged();
  await sendWaiting();
}

/** A change that the server did not take: kept here for all tabs, and sent behind what waits. */
export async function keepChange(edit: KeptEdit, reason: string | null): Promise<void> {
  await keepEdit(edit);
  await keptChanged();
  tell({ is: 'away', reason });
}

/** A change that waits is not to be any more. */
export async function dropChange(id: string): Promise<void> {
  await letEditGo(id);
  await keptChanged();
}

const PORTION = 100;
let sending: Promise<void> | null = null;

/** Sends what waits, whichever tab logged it: one tab at a time, a portion at a time. */
export async function sendWaiting(): Promise<void> {
  const { events, edits } = store.getState().outbox;
  if (events.length + edits.length === 0) return;
  sending ??= oneTab(sendAll).finally(() => {
    sending = null;
  });
  await sending;
}

async function oneTab(work: () => Promise<void>): Promise<void> {
  // Where a page is not secure there are no locks: the server takes a repeated entry once.
  if (!navigator.locks) return work();
  await navigator.locks.request('enamelos-sending', { ifAvailable: true }, async (lock) => {
    if (lock) await work();
  });
}

async function sendAll(): Promise<void> {
  let portion = PORTION;
  for (let waiting = (await keptLog()).events; waiting.length > 0; waiting = (await keptLog()).events) {
    const events = waiting.slice(0, portion);
    const answer = await sendPortion(events);
    if (answer.state === 'away') {
      tell({ is: 'away', reason: answer.reason });
      return;
    }
    if (answer.state === 'refused' && events.length > 1) {
      // One of them is not taken: the rest go through one by one.
      portion = 1;
      continue;
    }
    if (answer.state === 'refused') await keepRefused({ id: events[0].id, event: events[0], title: answer.title, mend: answer.mend });
    else await arrivedOf(events);
    await keptChanged();
    tell({ is: 'answered' });
  }
  const stopped = await sendEdits(keptChanged);
  tell(stopped ? { is: 'away', reason: stopped.reason } : { is: 'answered' });
}

/** The pages know them from the server before they are let go here, so that none vanishes between. */
async function arrivedOf(events: readonly LogEvent[]): Promise<void> {
  await store.dispatch(workshopApi.endpoints.workshop.initiate(undefined, { forceRefetch: true, subscribe: false }));
  await letGo(events.map((event) => event.id));
}

async function sendPortion(events: readonly LogEvent[]): Promise<Written> {
  try {
    await store.dispatch(workshopApi.endpoints.appendEvents.initiate(events)).unwrap();
    return { state: 'taken', revision: 0 };
  } catch (error) {
    const answer = notTaken(error);
    return answer.state === 'stale' ? { state: 'refused', title: 'The server does not take this entry.', mend: 'Enter it again.' } : answer;
  }
}

/** A refused entry as it was, once more: after what it spoke of is there again. */
export async function sendAgain({ id, event }: Refused): Promise<void> {
  if (!event) return;
  await discardRefused(id);
  await logEvents([event]);
}

export async function discard(id: string): Promise<void> {
  await discardRefused(id);
  await keptChanged();
}
