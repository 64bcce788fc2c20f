export {
  benchIntervals,
  busyTime,
  cutToStay,
  freeIntervals,
  outsideQuiet,
  without,
  LAY_OUT_MINUTES,
  PACK_UP_MINUTES,
  stayIndex,
  withStay,
} from './calendar.ts';
export type { Activity, Allowed, FreeInterval, Gap, HoldKind, Placed, Problem, Schedule, SetUp, Unplaced } from './model.ts';
export { intersect } from './allowed.ts';
export { schedule } from './place.ts';
export {
  finishOf,
  type Goal,
  GOALS,
  type Instance,
  type Kept,
  sessionsIn,
  type Starts,
  type Wait,
  type WaitBetween,
  type Work,
} from './solve/instance.ts';
export { apartOf } from './solve/conflicts.ts';
export { brokenBy } from './solve/checked.ts';
export { leastRoom, MOST_ROOM, solveFor } from './solve/goals.ts';
export type { Found, Limit } from './solve/search.ts';
export { type Collision, collisionOf, type Wish, type WishKind } from './solve/collide.ts';
export { type Held, type HeldBy, holdsOf } from './solve/holds.ts';
export { type DryingPlaces, fits, hangingAt, type Hung, type Spell } from './hanging.ts';
export { compared, type Improved, improving, inTurn, type Judge, NO_TURNS, type Turns, withTurns } from './improve.ts';
export { roomOf } from './room.ts';
export { type Load, lotsOf, type VesselCounts } from './vessels.ts';
