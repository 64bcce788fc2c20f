export { assemblyVerdict, type Bath, bathOf } from './bath.ts';
export { type MethodVerdict, STRIP_MATRIX } from './matrix.ts';
export { FLASH_RUSTING, followUpsOf, type StripOption, stripOptions } from './option.ts';
export { applicationsOf, dwellOn, dwells, looksAt, minutesFactor, PRACTICE, type StripHazard } from './practice.ts';
export { afterApplication, type Application, learnedDwell, type StripProgress } from './progress.ts';
export { refusedMethod, withAllowedMethods } from './refused.ts';
export { mayUse, type StripAdvice, stripMethods, type StripQuestion, stripQuestionOf, type StripVerdict, stripVerdict } from './verdict.ts';
