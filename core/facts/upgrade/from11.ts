import type { Raw, Upgrade } from './types.ts';

/** Version 12: how the factory did it is more than words: sprayed assembled or apart, and which parts were one body. */
export const from11: Upgrade = {
  fact: (collection, fact) => (collection === 'pieces' ? withFactory(fact) : fact),
  event: (event) => event,
  added: () => ({}),
};

function withFactory({ factory, ...piece }: Raw): Raw {
  if (typeof factory !== 'string') return factory === undefined ? piece : { ...piece, factory };
  return factory ? { ...piece, factory: { words: factory } } : piece;
}
