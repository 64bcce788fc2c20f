export { methodCost, type StripAdvice, stripMethods, type StripScope } from './advice.ts';
export { assemblyVerdict, type Bath, bathOf } from './bath.ts';
export { dwellBounds, EVENING_DWELL, fitsStays, patchesOf, roomForDwell, type Stays } from './inStays.ts';
export { type MethodVerdict, STRIP_MATRIX } from './matrix.ts';
export { FLASH_RUSTING, followUpsOf, STRIP_SETUP_MINUTES, type StripOption, stripOptions } from './option.ts';
export {
  applicationsOf,
  dwellOn,
  dwells,
  looksAt,
  methodMinutes,
  offMinutes,
  onMinutes,
  PRACTICE,
  PAPER_PRICE,
  STRIPPER_PRICE,
  type StripHazard,
  stripperMl,
} from './practice.ts';
export { afterApplication, type Application, learnedDwell, type StripProgress } from './progress.ts';
export { refusedMethod, withAllowedMethods } from './refused.ts';
export { mayUse, type StripQuestion, stripQuestionOf, type StripVerdict, stripVerdict } from './verdict.ts';
