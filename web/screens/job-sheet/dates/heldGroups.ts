import type { PlannedStep } from '#core/plan/index';

/** The steps by the reason at the root: “waits for “X”: because …” is held by what holds X. */
export function heldGroups(steps: readonly PlannedStep[]): { readonly why: string; readonly held: readonly PlannedStep[] }[] {
  const groups = new Map<string, PlannedStep[]>();
  for (const step of steps) {
    const why = step.stopped ?? rootOf(step.unplacedWhy ?? 'nothing says why');
    groups.set(why, [...(groups.get(why) ?? []), step]);
  }
  return [...groups].map(([why, held]) => ({ why, held }));
}

function rootOf(why: string): string {
  const [, root] = /^waits for “[^”]*”: (.*)$/s.exec(why) ?? [];
  return root ? rootOf(root) : why;
}
