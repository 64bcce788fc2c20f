import type { Upgrade } from './types.ts';

/** Version 8: a workshop may say its own minutes to set up, change the paint and clean up, and said none. */
export const from7: Upgrade = { fact: (_collection, fact) => fact, event: (event) => event, added: () => ({}) };
