import type { Piece } from '#core/facts/index';
import { toIso } from '#core/units/index';
import { useState } from 'react';
import { nowMinute } from '../../app/PlanContext.tsx';
import { Chips } from '../../views/Chips.tsx';
import { ClockField } from '../../views/ClockField.tsx';
import { DateField } from '../../views/DateField.tsx';
import { SmallField } from '../../views/SmallField.tsx';
import { usePieceSave } from './pieceChanges.ts';

const TURNS = ['first', 'usual', 'last'] as const;

/** When its turn is: needed by a day or an hour, before or after the others, or laid aside for a time. */
export function Turn({ piece }: { piece: Piece }) {
  const save = usePieceSave();
  const [where, setWhere] = useState('');
  return (
    <section className="sheet space-y-3" aria-label="Its turn">
      <h2>Its turn</h2>
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
      {piece.held ? (
        <p className="flex flex-wrap items-center gap-3">
          <span className="font-[650]">Laid aside{piece.held.where && `, ${piece.held.where}`}.</span>
          <button
            type="button"
            className="act !min-h-10"
            onClick={() => void save({ ...piece, held: undefined }, 'Taken up again: planned from here.')}
          >
            Take it up again
          </button>
        </p>
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          <SmallField label="lay it aside: where it lies" width="!w-44" placeholder="dry box, top shelf" value={where} onText={setWhere} />
          <button
            type="button"
            className="act !min-h-10"
            onClick={() =>
              void save(
                { ...piece, held: { since: toIso(nowMinute()), ...(where.trim() ? { where: where.trim() } : {}) } },
                'Laid aside: nothing of it is planned. Wrap nothing before it has cured.',
              )
            }
          >
            Lay it aside
          </button>
        </div>
      )}
    </section>
  );
}
