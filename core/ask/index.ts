export { ask, type AskProblem, QUESTION_NAMES, questionSchemas } from './ask.ts';
export { type CheckRow, checkRows, planJson } from './check.ts';
