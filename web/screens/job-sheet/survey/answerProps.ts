import type { Piece } from '#core/facts/index';

/** What every kind of answer in the walk gets: the piece as it is, and where to hand it changed. */
export type AnswerProps = {
  readonly piece: Piece;
  readonly onAnswer: (piece: Piece, said: string) => void;
  /** *Not known* is no answer: the fact is kept and the question stays open. */
  readonly onLeaveOpen: (piece: Piece, said: string) => void;
};
