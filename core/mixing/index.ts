export { type BenchPaint, benchPaints, likeliestRange, type Range, rangesOf } from './ranges.ts';
export { cupFor, type CupOfMix, keptRecipe, mixedPaint, type MixedPaint } from './cup.ts';
export { type Nearest, nearestPaints } from './nearest.ts';
export { bottleTinted, inTheJar, jarOfMix, keepsUntil, lookOf, type Poured, putRight, type WholeBottle, wholeBottle } from './jar.ts';
export { flattenedBy, mixedGloss } from './gloss.ts';
export { leftByWeight, type Weighed } from './weighed.ts';
export { densityOf, gramsOf, MOST_TINT_TYPED, mostTint, TINT_STEPS, type TintRow, tintTable } from './tint.ts';
