export * from './basics.ts';
export * from './colours.ts';
export * from './condition.ts';
export * from './event.ts';
export * from './file.ts';
export * from './format.ts';
export * from './goods.ts';
export * from './money.ts';
export * from './stock.ts';
export { canUpgrade, upgraded, upgradedFact } from './upgrade/index.ts';
export * from './names.ts';
export * from './onThePart.ts';
export * from './layer.ts';
export { newPart, newPiece } from './newPiece.ts';
export * from './paint.ts';
export * from './part.ts';
export * from './piece.ts';
export { type Stays, staysOf } from './stays.ts';
export { shiftFile } from './shift.ts';
export * from './teardown.ts';
export * from './warm.ts';
export * from './zones.ts';
export * from './zoneTree.ts';
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
