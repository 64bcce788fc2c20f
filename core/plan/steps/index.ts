export { dwell, nextCoat, onceReached, soonAfter, tapeOff } from './gaps.ts';
export { groupParts } from './groups.ts';
export { coatKey, partKey, pieceKey } from './keys.ts';
export { type PieceSteps, pieceSteps } from './pieceSteps.ts';
export { bathsOf, type Preparation, preparationOf } from './preparation.ts';
export type { CoatOfStep, Step } from './step.ts';
