export { type MethodPractice, type MethodVerdict, PRACTICE, STRIP_MATRIX } from './matrix.ts';
export { stripMethods, type StripQuestion, type StripVerdict, stripVerdict } from './verdict.ts';
