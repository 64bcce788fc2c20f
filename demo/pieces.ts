import type { Piece } from '#core/facts/index';
import { redBoard, roller, seaplane, tram } from './castPieces.ts';
import { crane, fan, weatherVane } from './metalPieces.ts';
import { balance, lampShells } from './mixedPieces.ts';

/** Breakwater bench: eight invented pieces in every state a bench knows. */
export function demoPieces(): Piece[] {
  return [tram(), roller(), crane(), fan(), balance(), seaplane(), lampShells(), weatherVane(), redBoard()];
}
