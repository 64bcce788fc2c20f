import type { Part, Piece } from '#core/facts/index';
import { areaMm2 } from './area.ts';

/** A piece within its written limit, and what lies beyond it. */
export type Limited = { readonly piece: Piece; readonly beyond: readonly string[] };

/** "Outside only" leaves hidden faces as they are; a part with nothing seen is left out whole. */
export function withinLimit(piece: Piece): Limited {
  if (piece.limit !== 'outside') return { piece, beyond: [] };
  const beyond: string[] = [];
  const parts: Part[] = [];
  for (const part of piece.parts) {
    const seen = part.faces.filter((face) => face.seen);
    const left = part.faces.filter((face) => !face.seen);
    if (left.length > 0) {
      const area = Math.round((areaMm2(left) * part.copies) / 100);
      beyond.push(seen.length === 0 ? `${part.name}: nothing of it is seen` : `${part.name}: ${area} cm² hidden`);
    }
    if (seen.length > 0) parts.push(left.length > 0 ? { ...part, faces: seen } : part);
  }
  // A piece of which nothing is seen is no piece to paint outside only: its parts stay and the plan says so.
  return parts.length > 0 ? { piece: { ...piece, parts }, beyond } : { piece, beyond: [] };
}
