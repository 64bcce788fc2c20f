import type { Minute } from './time.ts';

/** A stretch of time, real minutes. */
export type Span = { readonly from: Minute; readonly to: Minute };

/** Stretches in order, those that meet or overlap as one; empty ones are left out. */
export function joinedSpans(spans: readonly Span[]): Span[] {
  const result: { from: Minute; to: Minute }[] = [];
  for (const span of spans.filter(({ from, to }) => to > from).sort((a, b) => a.from - b.from)) {
    const last = result.at(-1);
    if (last && span.from <= last.to) last.to = Math.max(last.to, span.to);
    else result.push({ ...span });
  }
  return result;
}
