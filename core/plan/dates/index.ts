export { type ChangeRow, type Evening, eveningOf, type EveningRow } from './evening.ts';
export { withLaterPrices } from './later.ts';
export { type MovedStep, movedSteps } from './moved.ts';
export type { PlannedStep, Pour, WetNearby } from './plannedStep.ts';
export { PIN_LEEWAY, pinsOf, planAnew, withPins } from './pins.ts';
export { pieceDates, seededRandom } from './risk.ts';
export { type Session, sessionsOf } from './sessions.ts';
export {
  firstWithout,
  hiddenSpots,
  type HiddenSpot,
  inOrder,
  type ColourUse,
  mixesLast,
  type MixLasts,
  plannedInColour,
} from './oneMix.ts';
export { withWetNearby } from './nearWet.ts';
export { stayingForTape } from './tapeStay.ts';
export { type BatchBoard, boardOf } from './boardOf.ts';
export { additivesOf, paintNeeds, partsOf } from './paintNeeds.ts';
export { withPours } from './pours.ts';
export { waitForPaint } from './supply.ts';
export { byUrgency, neededMoment } from './urgency.ts';
export { type Placing, placingOf } from './scheduling.ts';
export { withWindows } from './windows.ts';
