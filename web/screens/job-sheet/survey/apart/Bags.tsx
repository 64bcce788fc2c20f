import type { Piece } from '#core/facts/index';
import { useState } from 'react';
import { newId } from '../../../../app/writing/newId.ts';
import { RemoveButton } from '../../../../views/fields/RemoveButton.tsx';
import { usePieceSave } from '../../pieceChanges.ts';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

/** Numbered bags: what is in each and where it came from. */
export function Bags({ piece }: { piece: Piece }) {
  const save = usePieceSave();
  const [contents, setContents] = useState('');
  const [from, setFrom] = useState('');
  const bags = piece.bags ?? [];
  const next = Math.max(0, ...bags.map((bag) => bag.number)) + 1;
  const add = () => {
    if (!contents.trim()) return;
    const bag = { id: newId(), number: next, contents: contents.trim(), from: from.trim() };
    void save({ ...piece, bags: [...bags, bag] }, `Bag ${next}: write the number on it.`);
    setContents('');
    setFrom('');
  };
  return (
    <FoldingSheet title="Bags" className="!p-4">
      <ul className="mt-1">
        {bags.map((bag) => (
          <li key={bag.id} className="flex items-center gap-3 border-b border-hairline py-1">
            <span className="figure inline-flex h-8 min-w-8 items-center justify-center border border-ink px-1">{bag.number}</span>
            <span className="flex-1">
              {bag.contents}
              {bag.from && <span className="second"> from {bag.from}</span>}
            </span>
            <RemoveButton
              what={`bag ${bag.number}`}
              onRemove={() => void save({ ...piece, bags: bags.filter((own) => own.id !== bag.id) }, `Bag ${bag.number} removed.`)}
            />
          </li>
        ))}
      </ul>
      <form
        className="mt-2 flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <label>
          <span className="second block text-small">Bag {next} holds</span>
          <input className="field !w-64" value={contents} maxLength={80} onChange={(event) => setContents(event.target.value)} />
        </label>
        <label>
          <span className="second block text-small">from</span>
          <input className="field !w-48" value={from} maxLength={80} onChange={(event) => setFrom(event.target.value)} />
        </label>
        <button type="submit" className="act !min-h-10" disabled={!contents.trim()}>
          Bag it
        </button>
      </form>
    </FoldingSheet>
  );
}
