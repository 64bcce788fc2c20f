import type { Allowed } from './model.ts';

/** Stretches that lie in both; a scuff asked by either stays asked. */
export function intersect(one: readonly Allowed[], other: readonly Allowed[]): Allowed[] {
  const result: Allowed[] = [];
  for (const a of one) {
    for (const b of other) {
      const from = Math.max(a.from, b.from);
      const to = a.to === null ? b.to : b.to === null ? a.to : Math.min(a.to, b.to);
      if (to !== null && from > to) continue;
      const scuff = a.scuff || b.scuff;
      result.push({ from, to, scuff, ...(scuff ? { scuffMinutes: (a.scuffMinutes ?? 0) + (b.scuffMinutes ?? 0) } : {}) });
    }
  }
  return result.sort((a, b) => a.from - b.from);
}
