export * from './basics.ts';
export * from './event.ts';
export * from './file.ts';
export * from './names.ts';
export * from './paint.ts';
export * from './piece.ts';
export { shiftFile } from './shift.ts';
export {
  type Agreed,
  agreedSchema,
  freeHoursSchema,
  type Place,
  placeSchema,
  type Reading,
  readingSchema,
  spanSchema,
  type Workshop,
  workshopSchema,
} from './workshop.ts';
