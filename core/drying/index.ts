export { AIDS, type AirChange, changedAir } from './aids.ts';
export {
  airAt,
  type AirNow,
  airVerdict,
  type AirVerdict,
  type Conditions,
  conditionsOf,
  clocksOf,
  DryingClocks,
  type PlaceAir,
  sprayRange,
  type SprayRange,
} from './climate.ts';
export { type AirMovement, DryingClock, dryingRate, filmSlowing, waitHours } from './clock.ts';
export { assumedSurface, type DewAnswer, dewAnswer, dewPoint, LEAST_DEW_MARGIN } from './dew.ts';
export { FAMILY_DRYING, familyDrying, isTwoPart } from './families.ts';
export type { FamilyDrying, Mechanism } from './familyRow.ts';
export { SprayHours } from './sprayHours.ts';
export { isOwnThinner } from './thinners.ts';
export {
  afterLabel,
  labelUntilMin,
  type FilmSet,
  type FilmState,
  filmState,
  type FilmTimes,
  filmTimes,
  type Moment,
  ON_LABEL,
  referenceHours,
  type Stage,
  stageReached,
  windowShuts,
} from './film.ts';
export { monthOf, USUAL_AIR, type UsualAir, usualAir, usualPlace } from './usualAir.ts';
export {
  flashOffMinutes,
  type ForcedCure,
  forcedCure,
  mayBeWarmed,
  shunsSun,
  sunSurface,
  warmthLimit,
} from './forcedCure.ts';
export { nextSun, sunAhead, type Sunny } from './sun.ts';
export { HEAT_SET, setsByHeat } from './heatSet.ts';
export { reachedWarmed, type WarmSpell } from './warmed.ts';
export { type Logged, readLoggerCsv } from './loggerCsv.ts';
export { seriesAt } from './series.ts';
export { guessedPosition } from './daylight.ts';
