import type { Facts } from '#core/facts/index';
import type { KeptEdit } from './outbox.ts';
import { rebased } from './rebase.ts';

type Row = { readonly id: string };

/** The facts with the changes that are still to be sent, put onto them in their order. The same facts where there are none. */
export function withEdits(facts: Facts, edits: readonly KeptEdit[]): Facts {
  let now = facts;
  for (const edit of edits) now = { ...now, [edit.collection]: withEdit(now[edit.collection] as readonly Row[], edit) };
  return now;
}

function withEdit(list: readonly Row[], { factId, base, value }: KeptEdit): readonly Row[] {
  if (value === null) return list.filter(({ id }) => id !== factId);
  const newest = list.find(({ id }) => id === factId);
  if (!newest) return base === null ? [...list, value] : list;
  const fact = base === null ? value : rebased(base, value, newest);
  return list.map((own) => (own === newest ? fact : own));
}
