import type { Upgrade } from './types.ts';

/** Version 10: a place may have its usual air by month, a reading the moment until which it counts, a coat two days it lies between; nothing said so before. */
export const from9: Upgrade = { fact: (_collection, fact) => fact, event: (event) => event, added: () => ({}) };
