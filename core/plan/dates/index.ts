export { type MovedStep, movedSteps } from './moved.ts';
export type { PlannedStep } from './plannedStep.ts';
export { pieceDates, seededRandom } from './risk.ts';
export { type Session, sessionsOf } from './sessions.ts';
export { stayingForTape } from './tapeStay.ts';
export { paintNeeds, waitForPaint } from './supply.ts';
export { byUrgency } from './urgency.ts';
export { scheduleSteps } from './scheduling.ts';
export { withWindows } from './windows.ts';
