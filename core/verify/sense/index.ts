export type { Chooser, Finding, Mend, MendChange, Sensed } from './finding.ts';
export { quiets, sense } from './sense.ts';
