export { type LayerBelow, missingBelow, recalledBelow } from './below.ts';
export { type Drafted, draftPiece, type LastCoat, layersOfSystem, type QuickAnswers, type WhereNow } from './draft.ts';
export { type Outlook, outlook, sharpen, type SharpenQuestion } from './sharpen.ts';
