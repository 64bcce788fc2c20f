import type { Minute } from '#core/units/index';

/** A moment known from the log, or the end of a planned step. */
export type Ref = { readonly at: Minute } | { readonly step: string };
export type EndOf = (stepId: string) => Minute;

export function resolveRef(ref: Ref, endOf: EndOf): Minute {
  return 'at' in ref ? ref.at : endOf(ref.step);
}

/** Steps a list of moments waits for. */
export function stepsOf(refs: readonly Ref[]): string[] {
  return refs.flatMap((ref) => ('step' in ref ? [ref.step] : []));
}
