import type { Upgrade } from './types.ts';

/** Version 4: colour charts and busy calendars are kept; there were none. */
export const from3: Upgrade = {
  fact: (_collection, fact) => fact,
  event: (event) => event,
  added: (facts) => ({ charts: facts.charts ?? [], calendars: facts.calendars ?? [] }),
};
