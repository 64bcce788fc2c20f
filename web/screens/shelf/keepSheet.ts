import type { Sheet } from '#core/facts/index';

/** Keeps a changed sheet and says so; false where it may not be, or could not be sent. */
export type KeepSheet = (changed: Sheet, said: string) => Promise<boolean>;
