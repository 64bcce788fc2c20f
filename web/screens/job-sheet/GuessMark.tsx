import type { Piece } from '#core/facts/index';
import { useSaving } from '../../app/writing/useFacts.ts';

/** A guess says so; one press says it is right. Changing the value settles it too. */
export function GuessMark({ piece, guess }: { piece: Piece; guess: string }) {
  const { save } = useSaving();
  if (!piece.guesses.includes(guess)) return null;
  return (
    <span className="inline-flex items-center gap-1 text-small">
      <span className="border border-dashed border-second px-1 italic second">guess</span>
      <button type="button" className="linklike px-1" onClick={() => void save('pieces', settled(piece, guess), 'Settled.')}>
        right
      </button>
    </span>
  );
}

export function settled(piece: Piece, guess: string): Piece {
  return { ...piece, guesses: piece.guesses.filter((open) => open !== guess) };
}
