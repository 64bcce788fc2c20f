import type { Part } from './piece/part.ts';
import type { Piece } from './piece/piece.ts';

/** What of a part is to stay as it is: glazing that stays clear, plating, printing. */
export type Stays = 'clear' | 'plated' | 'printed';

/** What of a part stays and is only cleaned (trade §3, §4); undefined where nothing does. */
export function staysOf(part: Pick<Part, 'staysClear' | 'staysPlated' | 'printed'>): Stays | undefined {
  if (part.staysClear) return 'clear';
  if (part.staysPlated) return 'plated';
  return part.printed ? 'printed' : undefined;
}

/** A piece that is cleaned and kept, nothing stripped or painted over; a sample board of it is painted all the same (trade §1). */
export function isPreserved(piece: Pick<Piece, 'aim' | 'board'>): boolean {
  return piece.aim === 'preserve' && !piece.board;
}

/** Why a zone stays bare where its printing is to be kept: the metal round it may be painted. */
export const PRINTING_STAYS = 'printing stays';
