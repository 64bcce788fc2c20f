import type { Raw, Upgrade } from './types.ts';

/** Version 3: a feature of a part is a row with a count and may have a size; it was a bare word, so one of each. */
export const from2: Upgrade = {
  fact: (collection, fact) => (collection === 'pieces' && Array.isArray(fact.parts) ? { ...fact, parts: fact.parts.map(part) } : fact),
  event: (event) => event,
  added: () => ({}),
};

function part(own: unknown): unknown {
  const { features } = (own ?? {}) as Raw;
  if (!Array.isArray(features)) return own;
  return { ...(own as Raw), features: features.map((kind) => (typeof kind === 'string' ? { id: kind, kind, count: 1 } : kind)) };
}
