export { colourDifference, colourWord, contrastOf, hexOf, hidingShare, labOf } from './spaces.ts';
export { coatsToTone, overTransparent, type Tone, type ToneStep } from './transparent.ts';
