import { counted, listed } from '#core/units/index';

/** What is still to be sent: "2 entries and 1 change"; empty where nothing is. */
export function waitingText(entries: number, changes: number): string {
  return listed([...(entries > 0 ? [counted(entries, 'entry', 'entries')] : []), ...(changes > 0 ? [counted(changes, 'change')] : [])]);
}
