import type { Collection, FactOf } from '#core/facts/index';
import { factIn, factsThere, fetchNewest, nameOf, settled, write, type Written } from './factWrites.ts';
import { keepRefused, keptLog, letEditGo } from './keptHere.ts';
import type { KeptEdit } from './outbox.ts';

/** Changes of facts made while the server was away: sent in their order, each put onto what is newest by then. */

const MOST_TRIES = 3;

/** Sends what waits until nothing does. @returns why it stopped, where the server is away again; null: all are sent */
export async function sendEdits(changed: () => Promise<void>): Promise<Extract<Written, { state: 'away' }> | null> {
  const [first] = (await keptLog()).edits;
  if (first) await fetchNewest();
  for (let edit: KeptEdit | undefined = first; edit; [edit] = (await keptLog()).edits) {
    const answer = await sendEdit(edit);
    if (answer.state === 'away') return answer;
    if (answer.state === 'refused') await keepRefused({ id: edit.id, event: null, title: answer.title, mend: answer.mend });
    else await fetchNewest();
    await letEditGo(edit.id);
    await changed();
  }
  return null;
}

async function sendEdit({ collection, factId, base, value }: KeptEdit): Promise<Written> {
  for (let tries = 0; ; tries++) {
    const there = factIn(factsThere(), collection, factId);
    // Taken out elsewhere: that is no longer a change of it.
    if (!there && base !== null) return value === null ? DONE : removed(nameOf(value));
    const fact = value && (await settled(collection, base as FactOf<Collection> | undefined, value as FactOf<Collection>, factsThere()));
    // What is elsewhere was chosen.
    if (value && !fact) return DONE;
    const answer = await write(collection, factId, fact);
    if (answer.state !== 'stale' || tries >= MOST_TRIES) return answer;
    await fetchNewest();
  }
}

const DONE: Written = { state: 'taken', revision: 0 };

function removed(name: string): Written {
  return {
    state: 'refused',
    title: `${name} was taken out elsewhere before a change of it was sent.`,
    mend: 'Bring it back there with Undo and change it again, or discard this.',
  };
}
