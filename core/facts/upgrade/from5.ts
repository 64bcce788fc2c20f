import type { Upgrade } from './types.ts';

/** Version 6: warm spells, an oven, weights and cloud may be said; nothing said is as before. */
export const from5: Upgrade = {
  fact: (_collection, fact) => fact,
  event: (event) => event,
  added: () => ({}),
};
