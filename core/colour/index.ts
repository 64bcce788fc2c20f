export {
  correctedByCard,
  type MarksRead,
  type Patch,
  type Pixels,
  readMarks,
  readPatch,
  type Spot,
  UNSURE_DELTA_E,
} from './reading/patch.ts';
export { type ReadColour, readColour } from './reading/reading.ts';
export { labOfSpectrum, type Spectrum, spectrumOf } from './spectrum.ts';
export { colourDifference, colourWord, contrastOf, hexOf, hidingShare, labOf } from './spaces.ts';
export { coatsToTone, looksAfter, type Over, type Tone, type ToneStep } from './coatByCoat.ts';
export { overTransparent } from './transparent.ts';
export { type Ingredient, ingredientOf, type MixPaint, mixedLab } from './mixing/mixing.ts';
export {
  commonDivisor,
  DROP_ML,
  MOST_PAINTS,
  type Offered,
  type Portion,
  type Recipe,
  recipesFor,
  type RecipeWish,
} from './mixing/recipe.ts';
export { type Addition, additionsFor } from './mixing/additions.ts';
export { ASTRAY, type Astray, type Correction, correctionFor, type Cup, readingOf } from './mixing/correction.ts';
export { overGround } from './overGround.ts';
export { besideWords, LIKENESS_WORDS, type Likeness, likeness } from './words.ts';
export { bestReference, LOOK_BENEATH, type SpotsApart, spotsApart, TOLERANCE_DELTA_E, type Trust, trustOf } from './reading/references.ts';
export { SHIFT_STEP, type Shift, SHIFTS, shiftedBy } from './reading/shifts.ts';
export { type NamedColour, namedColour, PALETTE } from './reading/palette.ts';
export { atGloss } from './surface.ts';
export { DRAWN_ON, type Drawdown, type DrawdownRead, readDrawdown } from './mixing/drawdown.ts';
export { type FilmReading, fitPaint, type PaintFit } from './mixing/fit.ts';
export { type ChartColour, chartAsCsv, chartAsGpl, type LineProblem, type ReadChart, readChart } from './reading/chart.ts';
