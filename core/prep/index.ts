export { type Cleaner, CLEANERS, type CleaningPlan, cleaningPlan, lastWipe, type WashOrder } from './cleaning.ts';
export { gateItems, isCounted, keysVents, openTicks, openTicksText, tickItems } from './gate.ts';
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
export { advisedMend, mendOf, mendRefused, type MendScope, mendsFor } from './mendChoice.ts';
export { ownedGrits } from './ownedGrits.ts';
export { markText, metalPrep, papers, type RepairHazard, type RepairStep, repairSteps } from './repairs.ts';
export {
  gritForMark,
  gritsForMark,
  isCast,
  nextCoatOf,
  type NoPaper,
  oldPaintText,
  type Rung,
  startGrit,
  type StartGrit,
  type Surface,
  surfaceOf,
  takesNoPaper,
} from './surface.ts';
