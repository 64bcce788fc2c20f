import type { Part, Piece } from '#core/facts/index';
import { withAllowedMethods } from '#core/strip/index';
import { useCallback } from 'react';
import { useSaving } from '../../app/useFacts.ts';

/** A piece with one of its parts changed. */
export function withPart(piece: Piece, partId: string, change: Partial<Part>): Piece {
  return { ...piece, parts: piece.parts.map((own) => (own.id === partId ? { ...own, ...change } : own)) };
}

/** Saves a piece; a strip method that what is now known of it forbids is dropped, never sent. */
export function usePieceSave(): (piece: Piece, said?: string) => Promise<boolean> {
  const { save } = useSaving();
  return useCallback((piece, said) => save('pieces', withAllowedMethods(piece), said), [save]);
}
