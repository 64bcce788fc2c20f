export { droppedSaid } from './dropped.ts';
export { type BroughtIn, broughtIn } from './bringIn.ts';
export { isPieceText, type PieceFile, pieceFileOf, pieceFileSchema, readPieceText } from './pieceFile.ts';
export { readWorkshopFile } from './readWorkshopFile.ts';
export { letGo } from './ties/letGo.ts';
export { admissible, refusedIn } from './refused.ts';
