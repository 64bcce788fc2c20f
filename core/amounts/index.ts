export { type BoardItem, type OnBoard, type SprayBoard, sprayBoard } from './sprayBoard.ts';
export { type BoothLoads, boothLoads, changingMinutes, LYING_APART_MM } from './booth.ts';
export { addedUp, roundedUp, supplyKey, supplyName, supplyText, unitPrice } from './supplies.ts';
export { reserveMl, TOUCH_UP_ML } from './reserve.ts';
export { detailMl } from './details.ts';
export { type Mix, MIX_SPARE, mixFor, type MixPart, type MixQuestion, PAINT_DENSITY, potLifeAt } from './mixing.ts';
export { paintIn, type PaintIn, ratioOf, solidsAt } from './thinning.ts';
export {
  amountAnswer,
  batchMl,
  CAN_RESIDUE,
  coatAmount,
  type CoatAmount,
  coatMinutes,
  filmMl,
  type FlatFace,
  NEXT_COAT_SETUP_MINUTES,
  NOZZLE_ML,
  SPRAY_SETUP_MINUTES,
  sweepsMl,
  sweepsOf,
} from './coatAmount.ts';
export { type BenchMinutes, benchMinutes } from './benchMinutes.ts';
