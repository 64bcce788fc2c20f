import type { Part, Piece, Problem } from '#core/facts/index';
import { mayUse, stripQuestionOf, stripVerdict } from './verdict.ts';

/** A part whose chosen method is one that is never used on it, as a problem with its place; null when all may be used. */
export function refusedMethod(piece: Piece, at: string): Problem | null {
  for (const [index, part] of piece.parts.entries()) {
    if (part.stripMethod === undefined || part.finish === 'bare') continue;
    const verdict = stripVerdict(stripQuestionOf(part, piece), part.stripMethod);
    if (mayUse(part, verdict)) continue;
    return {
      error: `${piece.name}, ${part.name}: ${verdict.because}`,
      at: `${at}.parts.${index}.stripMethod`,
      mend: verdict.noOverride
        ? 'Choose another method: this one can hurt a person, and nobody may override that.'
        : 'Choose another method, or add it to iKnow on this part if its owner knows that it ruins the part.',
    };
  }
  return null;
}

/** The piece with every method dropped that what is now known of it no longer allows: the advice is planned instead. */
export function withAllowedMethods(piece: Piece): Piece {
  const parts = piece.parts.map((part): Part => {
    if (part.stripMethod === undefined) return part;
    if (mayUse(part, stripVerdict(stripQuestionOf(part, piece), part.stripMethod))) return part;
    const { stripMethod: _dropped, ...rest } = part;
    return rest;
  });
  return { ...piece, parts };
}
