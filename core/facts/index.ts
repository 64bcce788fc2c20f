export * from './basics.ts';
export * from './paint/colours.ts';
export * from './piece/condition.ts';
export * from './event.ts';
export * from './file/file.ts';
export * from './file/format.ts';
export * from './goods.ts';
export * from './money.ts';
export * from './stock.ts';
export { canUpgrade, upgraded, upgradedFact } from './upgrade/index.ts';
export * from './names.ts';
export * from './words.ts';
export * from './piece/onThePart.ts';
export * from './paint/layer.ts';
export { newPart, newPiece } from './piece/newPiece.ts';
export * from './paint/paint.ts';
export * from './piece/part.ts';
export * from './piece/piece.ts';
export { withFreeHour } from './freeHours.ts';
export { isPreserved, PRINTING_STAYS, type Stays, staysOf } from './stays.ts';
export { shiftFile } from './file/shift.ts';
export * from './piece/teardown.ts';
export * from './paint/warm.ts';
export * from './piece/zones.ts';
export * from './piece/zoneTree.ts';
export {
  type Agreed,
  type AirSeries,
  agreedSchema,
  airSeriesSchema,
  awaySchema,
  type BusyCalendar,
  busyCalendarSchema,
  freeHoursSchema,
  type Place,
  placeSchema,
  quietSchema,
  type Reading,
  readingSchema,
  spanSchema,
  type Workshop,
  workshopSchema,
} from './workshop.ts';
