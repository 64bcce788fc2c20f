export { verifyPlan } from './verifyPlan.ts';
export type { Violation } from './verified.ts';
export {
  type Chooser,
  type Finding,
  type Mend,
  type MendChange,
  mendedPiece,
  quiets,
  sense,
  type Sensed,
  withKnown,
  withoutKnown,
} from './sense/index.ts';
