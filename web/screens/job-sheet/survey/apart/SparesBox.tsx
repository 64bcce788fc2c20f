import type { Piece } from '#core/facts/index';
import { useState } from 'react';
import { newId } from '../../../../app/writing/newId.ts';
import { RemoveButton } from '../../../../views/fields/RemoveButton.tsx';
import { usePieceSave } from '../../pieceChanges.ts';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

/** What came off and is not used again, but not thrown away either. */
export function SparesBox({ piece }: { piece: Piece }) {
  const save = usePieceSave();
  const [name, setName] = useState('');
  const spares = piece.spares ?? [];
  const add = () => {
    if (!name.trim()) return;
    void save({ ...piece, spares: [...spares, { id: newId(), name: name.trim() }] }, 'Into the spares box.');
    setName('');
  };
  return (
    <FoldingSheet title="Spares box" className="!p-4">
      <ul className="mt-1">
        {spares.map((spare) => (
          <li key={spare.id} className="flex items-center justify-between border-b border-hairline py-1">
            {spare.name}
            <RemoveButton
              what={spare.name}
              onRemove={() => void save({ ...piece, spares: spares.filter((own) => own.id !== spare.id) }, 'Taken out of the box.')}
            />
          </li>
        ))}
      </ul>
      <form
        className="mt-2 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <label className="flex-1">
          <span className="second block text-small">kept, not used again</span>
          <input className="field !min-h-9" value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
        </label>
        <button type="submit" className="chip" disabled={!name.trim()}>
          Keep it
        </button>
      </form>
    </FoldingSheet>
  );
}
