import type { Conflict } from '../writing/conflicts.ts';

export type Chosen = 'mine' | 'theirs';
export type Question = { readonly name: string; readonly conflicts: readonly Conflict[]; readonly answer: (chosen: Chosen) => void };

let open: Question | null = null;
const watchers = new Set<() => void>();

function put(question: Question | null): void {
  open = question;
  for (const tell of watchers) tell();
}

/** Which of two versions stands; asked of the person, one question at a time. */
export function askWhichStands(name: string, conflicts: readonly Conflict[]): Promise<Chosen> {
  return new Promise((resolve) => {
    put({
      name,
      conflicts,
      answer: (chosen) => {
        put(null);
        resolve(chosen);
      },
    });
  });
}

export const openQuestion = (): Question | null => open;

export function watchQuestion(tell: () => void): () => void {
  watchers.add(tell);
  return () => watchers.delete(tell);
}
