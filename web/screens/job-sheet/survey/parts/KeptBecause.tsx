import type { Piece } from '#core/facts/index';
import { useState } from 'react';
import { usePieceSave } from '../../pieceChanges.ts';

const MOST_CHARACTERS = 400;

/** Why it is preserved and not repainted, in the person's words: kept with the piece. */
export function KeptBecause({ piece }: { piece: Piece }) {
  const save = usePieceSave();
  const [typed, setTyped] = useState(piece.keptBecause ?? '');
  const keep = () => {
    const text = typed.trim();
    if (text === (piece.keptBecause ?? '')) return;
    const { keptBecause: _was, ...rest } = piece;
    void save(text ? { ...rest, keptBecause: text } : rest, 'The reason is kept with it.');
  };
  return (
    <label className="mt-1 block">
      <span className="second block text-small">because</span>
      <input
        className="field !min-h-9"
        value={typed}
        maxLength={MOST_CHARACTERS}
        placeholder="its first paint, and it tells where it was"
        onChange={(event) => setTyped(event.target.value)}
        onBlur={keep}
      />
    </label>
  );
}
