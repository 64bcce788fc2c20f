export { ask, type Asked, type AskProblem, askSolved, QUESTION_NAMES, questionSchemas } from './ask.ts';
export { type FindingRow, findingRows } from './askSense.ts';
export { type CheckRow, checkRows, planJson } from './check.ts';
