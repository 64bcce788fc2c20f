import type { Piece } from '#core/facts/index';

/** What every kind of answer in the walk gets: the piece as it is, and where to hand it changed. */
export type AnswerProps = { readonly piece: Piece; readonly onAnswer: (piece: Piece, said: string) => void };
