export { verifyPlan } from './verifyPlan.ts';
export type { Violation } from './verified.ts';
