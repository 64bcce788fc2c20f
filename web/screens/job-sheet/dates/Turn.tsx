import type { Piece } from '#core/facts/index';
import { Chips } from '../../../views/fields/Chips.tsx';
import { ClockField } from '../../../views/fields/ClockField.tsx';
import { DateField } from '../../../views/fields/DateField.tsx';
import { LaidAside } from './LaidAside.tsx';
import { usePieceSave } from '../pieceChanges.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

const TURNS = ['first', 'usual', 'last'] as const;

/** When its turn is: needed by a day or an hour, before or after the others, or laid aside for a time. */
export function Turn({ piece }: { piece: Piece }) {
  const save = usePieceSave();
  return (
    <FoldingSheet title="Its turn" inner="space-y-3 mt-3">
      <Chips
        legend="Beside other pieces"
        hideLegend
        options={TURNS.map((value) => ({ value, label: value === 'usual' ? 'as it comes' : value }))}
        value={piece.turn ?? 'usual'}
        onChange={(turn) =>
          void save({ ...piece, turn: turn === 'usual' ? undefined : turn }, turn === 'usual' ? 'As it comes.' : `It comes ${turn}.`)
        }
      />
      <div className="flex flex-wrap items-end gap-3">
        <DateField
          label="Needed by"
          quiet
          value={piece.neededBy ?? ''}
          onChange={(neededBy) => {
            if (neededBy !== (piece.neededBy ?? ''))
              void save(
                { ...piece, neededBy: neededBy || undefined, ...(neededBy ? {} : { neededAt: undefined }) },
                neededBy ? 'Needed then.' : 'No day it is needed by.',
              );
          }}
        />
        {piece.neededBy && (
          <ClockField
            label="at"
            quiet
            value={piece.neededAt ?? ''}
            onChange={(neededAt) => {
              if (neededAt !== (piece.neededAt ?? '')) void save({ ...piece, neededAt: neededAt || undefined }, 'Needed then.');
            }}
          />
        )}
      </div>
      <LaidAside piece={piece} />
    </FoldingSheet>
  );
}
