import { plain, type Fastening, type Piece } from '#core/facts/index';
import type { PlannedStep } from '#core/plan/index';
import { counted } from '#core/units/index';
import { useState } from 'react';
import type { End } from './partedEvents.ts';

const ENDS: readonly { readonly end: End; readonly label: string; readonly follows: string }[] = [
  { end: 'came-off', label: 'came off', follows: '' },
  { end: 'would-not', label: 'would not', follows: 'masked or brushed where it is' },
  { end: 'broke', label: 'broke', follows: 'bought or glued before the fit' },
  { end: 'left', label: 'left on', follows: 'masked where it is' },
];

/** How each fastening ended at teardown; the plan turns to masking, mending or buying where it did not come off. */
export function Parted({
  step,
  piece,
  onDone,
}: {
  step: PlannedStep;
  piece: Piece;
  onDone: (ends: Readonly<Record<string, End>>) => void;
}) {
  const [ends, setEnds] = useState<Readonly<Record<string, End>>>({});
  if (step.asks?.kind !== 'parted') return null;
  const { fasteningIds } = step.asks;
  const asked = (piece.fastenings ?? []).filter((own) => fasteningIds.includes(own.id));
  return (
    <fieldset className="mx-auto max-w-[720px] px-[18px] pt-3">
      <legend className="text-lead text-[#d0d0d0]">How did each end?</legend>
      {asked.map((fastening) => (
        <div key={fastening.id} className="mt-2 flex flex-wrap items-center gap-2">
          <span className="min-w-[180px] flex-1">{fasteningText(fastening, piece)}</span>
          {ENDS.map(({ end, label, follows }) => (
            <button
              key={end}
              type="button"
              title={follows}
              aria-label={`${fasteningText(fastening, piece)}: ${label}`}
              aria-pressed={(ends[fastening.id] ?? 'came-off') === end}
              className={`min-h-11 rounded-[3px] border px-3 ${(ends[fastening.id] ?? 'came-off') === end ? 'border-2 border-white font-[650]' : 'border-[#8a8a8a]'}`}
              onClick={() => setEnds({ ...ends, [fastening.id]: end })}
            >
              {label}
            </button>
          ))}
        </div>
      ))}
      <button
        type="button"
        className="mt-3 min-h-14 w-full rounded-[3px] border-2 border-white text-lead font-[650]"
        onClick={() => onDone(Object.fromEntries(asked.map(({ id }) => [id, ends[id] ?? 'came-off'])))}
      >
        Apart, so
      </button>
    </fieldset>
  );
}

/** "2 screws, body to base" */
function fasteningText({ kind, count, a, b }: Fastening, piece: Piece): string {
  const name = (id: string | undefined) => piece.parts.find((part) => part.id === id)?.name.toLowerCase() ?? '';
  return `${counted(count, plain(kind))}, ${name(a)} to ${name(b)}`;
}
