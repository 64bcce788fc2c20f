export { verifyPlan } from './verifyPlan.ts';
export type { Violation } from './verified.ts';
export { type Chooser, type Finding, type Mend, type MendChange, quiets, sense, type Sensed } from './sense/index.ts';
