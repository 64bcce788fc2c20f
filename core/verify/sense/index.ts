export type { Chooser, Finding, Mend, MendChange, Sensed } from './finding.ts';
export { mendedPiece, withKnown, withoutKnown } from './mending.ts';
export { quiets, sense } from './sense.ts';
