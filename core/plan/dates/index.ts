export { airNotes } from './airHeld.ts';
export { apartNotes } from './apart.ts';
export { tooEarly } from './early.ts';
export { type ChangeRow, type Evening, eveningOf, type EveningRow } from './evening.ts';
export { withLaterPrices } from './later.ts';
export { type MovedStep, movedSteps } from './moved.ts';
export type { PlannedStep, Pour, WetNearby } from './plannedStep.ts';
export { PIN_LEEWAY, pinsOf, planAnew, withPins } from './choosing/pins.ts';
export { pieceDates, seededRandom } from './risk.ts';
export { type Session, sessionsOf } from './sessions.ts';
export {
  coatsIn,
  type ColourUse,
  hiddenSpots,
  type HiddenSpot,
  mixesLast,
  type MixLasts,
  plannedInColour,
  type RunsDry,
  runsDryAt,
} from './paint/oneMix.ts';
export { SprayAir } from './holding/air.ts';
export { withWetNearby } from './holding/nearWet.ts';
export { stayingForTape } from './holding/tapeStay.ts';
export { type BatchBoard, boardOf } from './paint/boardOf.ts';
export { additivesOf, paintNeeds, partsOf } from './paint/paintNeeds.ts';
export { withPours } from './paint/pours.ts';
export { triedOnce } from './paint/triedOnce.ts';
export { waitForPaint } from './paint/supply.ts';
export { byUrgency, neededMoment } from './choosing/urgency.ts';
export { type Placing, placingOf } from './scheduling.ts';
export { withWindows } from './holding/windows.ts';
