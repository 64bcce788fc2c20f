import { BadSetting } from './badSetting.ts';

/**
 * The clock of this server: the machine's, or one set to a given moment at the start and running on from there, so that tests and
 * pictures of a workshop hold on any day. Set by ENAMELOS_NOW.
 */
let ahead = 0;

/** Sets the clock to an ISO moment; from then on it runs as the machine's does. @throws BadSetting where it is none */
export function setClock(moment: string): void {
  const given = Date.parse(moment);
  if (Number.isNaN(given)) throw new BadSetting(`ENAMELOS_NOW is a moment like 2026-12-01T19:10:00Z, not "${moment}".`);
  ahead = given - Date.now();
}

/** The moment by this server's clock. */
export function rightNow(): Date {
  return new Date(Date.now() + ahead);
}

/** The same in minutes since 1970, as core counts. */
export function minuteNow(): number {
  return rightNow().getTime() / 60_000;
}
