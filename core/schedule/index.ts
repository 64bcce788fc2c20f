export { benchIntervals, cutToStay, freeIntervals, LAY_OUT_MINUTES, PACK_UP_MINUTES, withStay } from './calendar.ts';
export type { Activity, Allowed, FreeInterval, Gap, HoldKind, Placed, Problem, Schedule, Unplaced } from './model.ts';
export { intersect, schedule } from './place.ts';
