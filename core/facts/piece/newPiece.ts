import type { Part } from './part.ts';
import type { Piece } from './piece.ts';

/** A part with nothing special about it: one zone, bare, no paint chosen; `own` says what is known. */
export function newPart(own: Pick<Part, 'id' | 'name' | 'material' | 'faces'> & Partial<Part>): Part {
  return {
    copies: 1,
    finish: 'bare',
    printed: false,
    staysClear: false,
    zones: [{ id: 'all', name: 'All over' }],
    edges: [],
    layers: [],
    pegs: [],
    ...own,
  };
}

/** A piece with nothing decided yet but its parts; its old paint may hold lead until that is excluded. */
export function newPiece(own: Pick<Piece, 'id' | 'name' | 'looksLike' | 'longestMm' | 'createdAt' | 'parts'> & Partial<Piece>): Piece {
  return {
    aim: 'own-scheme',
    leadExcluded: false,
    mains: false,
    guesses: [],
    swatches: [],
    finished: false,
    parcels: [],
    ...own,
  };
}
