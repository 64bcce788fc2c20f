import type { Family, Hand, Role } from '#core/facts/index';
import type { Portion } from './portions.ts';

/** What the coats of all pieces take of one paint, reducer or hardener, against what the shelf holds. */
export type PaintNeed = {
  readonly mix: string;
  /** Paint from its container, or what is mixed into it. */
  readonly what: 'paint' | 'reducer' | 'hardener';
  readonly productId?: string;
  readonly name: string;
  readonly family: Family;
  readonly role: Role;
  readonly hand: Hand;
  /** mL that must still be bought, nozzle and residue counted. */
  readonly missingMl: number;
  /** What the coats themselves take, and with what clears the nozzle of each batch. */
  readonly coatsMl: number;
  readonly neededMl: number;
  readonly shelfMl: number;
  /** Wanted for touch-up besides, and how much of that is really left once the coats are on. */
  readonly keptMl: number;
  readonly jarMl: number;
  /** mL of an own mix that its jar lacks: mixed from its paints, whose needs it is part of. Nothing of it is bought. */
  readonly toMixMl: number;
  /** What lacks, bit by bit: what the shelf still covers is not wanted yet. */
  readonly portions: readonly Portion[];
  /** mL that each piece takes of it: what its cost is shared out by. */
  readonly byPiece: readonly { readonly pieceId: string; readonly ml: number }[];
};
