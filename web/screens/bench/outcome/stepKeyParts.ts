/** The parts of a step key: piece, part, stage, subject and number. */
export function partKeyParts(key: string): { pieceId?: string; partId?: string; stage?: string; subject?: string } {
  const [pieceId, partId, stage, subject] = key.split('.');
  return { pieceId, partId, stage, subject };
}
