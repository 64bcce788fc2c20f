import { brokenReference, type Collection, type Facts } from '#core/facts/index';
import { BadFact } from './refusals.ts';

/** What holds of every write: nothing is named that is not there, and there is a state to go back to. */

export type Cause = 'edit' | 'import';
/** One state a fact had; null: it was not there. */
export type Revision = { readonly revision: number; readonly body: string | null; readonly cause: Cause };

export function checkReferences(facts: Facts): void {
  const problem = brokenReference(facts);
  if (problem) throw new BadFact({ ...problem, mend: 'Something still uses it: change that first.' });
}

export function keepsWorkshop(): BadFact {
  return new BadFact({
    error: 'The workshop itself cannot be removed.',
    at: 'workshop',
    mend: 'Change its hours and places instead, or import another file.',
  });
}

/** What undo brings back: the state before; of a whole file's write, the last one the person had. */
export function stateBefore(newest: Revision, earlier: readonly Revision[], collection: Collection): string | null {
  const before = newest.cause === 'import' ? earlier.find((revision) => revision.body !== null) : earlier[0];
  const body = before?.body ?? null;
  if (body === null && collection === 'workshop') throw keepsWorkshop();
  if (body === null && newest.cause === 'import')
    throw new BadFact({
      error: 'It came with a whole file.',
      at: '(whole)',
      mend: 'Undo the import itself: Workshop, Copies, before the import.',
    });
  return body;
}
