import type { Piece } from '#core/facts/index';
import { newId } from '../../../../app/writing/newId.ts';
import { RemoveButton } from '../../../../views/fields/RemoveButton.tsx';
import { usePieceSave } from '../../pieceChanges.ts';
import { OneLine } from '../../../../views/typed/OneLine.tsx';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

/** What came off and is not used again, but not thrown away either. */
export function SparesBox({ piece }: { piece: Piece }) {
  const save = usePieceSave();
  const spares = piece.spares ?? [];
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
      <OneLine
        label="kept, not used again"
        button="Keep it"
        lacks="Say what is kept."
        onKeep={(name) => save({ ...piece, spares: [...spares, { id: newId(), name }] }, 'Into the spares box.')}
      />
    </FoldingSheet>
  );
}
