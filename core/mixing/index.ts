export { type BenchPaint, likeliestRange, type Range, rangesOf } from './ranges.ts';
export { cupFor, type CupOfMix, keptRecipe, mixedPaint, type MixedPaint } from './cup.ts';
export { type Nearest, nearestPaints } from './nearest.ts';
