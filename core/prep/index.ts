export { type Cleaner, CLEANERS, type CleaningPlan, cleaningPlan, lastWipe, type WashOrder } from './cleaning.ts';
export { gateItems } from './gate.ts';
export {
  coarsestHidden,
  FINISH_GRITS,
  finishRange,
  GOOD_RATIO,
  GRAIN_UM,
  GRITS,
  gritLadder,
  gritsToBuy,
  hidesUm,
  type Ladder,
  type NextCoat,
  scratchUm,
  WORST_RATIO,
} from './ladder.ts';
export { advisedMend, leavesPhosphate, markText, mendOf, type RepairHazard, type RepairStep, repairSteps } from './repairs.ts';
export { nextCoatOf, type Rung, startGrit, type StartGrit, type Surface, surfaceOf } from './surface.ts';
export { ownedGrits } from './ownedGrits.ts';
