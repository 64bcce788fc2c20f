export { gapOf, allowedBy } from './gaps.ts';
export { stepsLookedAt, type Constraint, type Rule } from './constraint.ts';
export { coatKey, partKey, pieceKey } from './keys.ts';
export type { Dressing } from './dressings.ts';
export { pieceSteps, type PieceSteps } from './pieceSteps.ts';
export { bathsOf, type Preparation, preparationOf } from './preparation.ts';
export type { Asked, CoatOfStep, Inspection, Step, StepOn } from './step.ts';
export { undecidedText } from './fitting.ts';
export { dwell, nextCoat, onceReached, tapeOff } from './constraints.ts';
