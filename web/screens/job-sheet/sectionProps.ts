import type { Piece } from '#core/facts/index';
import type { PieceView } from '#core/plan/index';

/** What each section of the job sheet is given. */
export type SectionProps = { readonly piece: Piece; readonly view: PieceView };
