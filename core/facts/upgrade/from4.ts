import type { Upgrade } from './types.ts';

/** Version 5: pinned steps, the room in booth and drying places, and the end of a hold may be said; nothing said is as before. */
export const from4: Upgrade = {
  fact: (_collection, fact) => fact,
  event: (event) => event,
  added: () => ({}),
};
