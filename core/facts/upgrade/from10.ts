import type { Upgrade } from './types.ts';

/** Version 11: a zone may be polished, and shapes may be diamonds; nothing said so before. */
export const from10: Upgrade = { fact: (_collection, fact) => fact, event: (event) => event, added: () => ({}) };
