import type { Upgrade } from './types.ts';

/** Version 9: a task may say what is done in it and what it fits, a piece what its owner knows of findings; neither said anything. */
export const from8: Upgrade = { fact: (_collection, fact) => fact, event: (event) => event, added: () => ({}) };
