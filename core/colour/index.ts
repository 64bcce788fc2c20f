export { labOfSpectrum, type Spectrum, spectrumOf } from './spectrum.ts';
export { colourDifference, colourWord, contrastOf, hexOf, hidingShare, labOf } from './spaces.ts';
export { coatsToTone, overTransparent, type Tone, type ToneStep } from './transparent.ts';
export { type Ingredient, ingredientOf, type MixPaint, mixedLab } from './mixing.ts';
export { DROP_ML, MOST_PAINTS, type Offered, type Portion, type Recipe, recipesFor, type RecipeWish } from './recipe.ts';
export { type Addition, additionsFor } from './additions.ts';
export { ASTRAY, type Astray, type Correction, correctionFor, type Cup, readingOf } from './correction.ts';
export { overGround } from './overGround.ts';
export { besideWords, LIKENESS_WORDS, type Likeness, likeness } from './words.ts';
