import type { Piece } from '#core/facts/index';
import { decalTorn, type PlannedStep, tornDecalOf } from '#core/plan/index';
import { localMoment, toIso } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { logEvents } from '../../../app/writing/logging.ts';
import { newId } from '../../../app/writing/newId.ts';
import { usePieceSave } from '../../job-sheet/pieceChanges.ts';

/** A decal that tore: its spare is laid, or another is sent for and what follows waits for it. Nothing for other steps. */
export function TornDecal({ step, piece, onSettled }: { step: PlannedStep; piece: Piece; onSettled: () => void }) {
  const { workshop } = usePlan();
  const save = usePieceSave();
  const torn = tornDecalOf(step, piece);
  const [days, setDays] = useState(String(torn?.usualDays ?? ''));
  if (!torn) return null;
  const wait = Number(days);
  const known = days.trim() !== '' && Number.isInteger(wait) && wait >= 0 && wait <= 400;
  const tell = (text: string) => {
    void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'note', pieceId: piece.id, text }]);
    onSettled();
  };
  const settle = async () => {
    const { changed, said } = decalTorn(piece, torn, { id: newId(), today: localMoment(nowMinute(), workshop.timeZone).date, days: wait });
    if (await save(changed, said)) tell(said);
  };
  return (
    <fieldset className="mt-3 border-t border-[#3d3d3d] pt-3">
      <legend className="float-left w-full pb-2 text-lead">Did it tear?</legend>
      {torn.decal.spare ? (
        <button
          type="button"
          className="clear-both min-h-14 rounded-[3px] border border-[#8a8a8a] px-3 font-[650]"
          onClick={() => void settle()}
        >
          It tore: lay the spare
        </button>
      ) : (
        <div className="clear-both flex flex-wrap items-end gap-3">
          <label>
            <span className="mb-1 block text-small text-[#c4c4c4]">Another comes in, days</span>
            <input
              inputMode="numeric"
              className="min-h-14 w-28 rounded-[3px] border border-[#8a8a8a] bg-transparent px-3 font-mono"
              value={days}
              onChange={(event) => setDays(event.target.value)}
            />
          </label>
          <button
            type="button"
            className="min-h-14 rounded-[3px] border border-[#8a8a8a] px-3 font-[650] disabled:opacity-50"
            disabled={!known}
            onClick={() => void settle()}
          >
            It tore: order another
          </button>
          <p className="basis-full text-small text-[#c4c4c4]">
            {known ? '' : 'Type whole days, 0 to 400. '}
            {torn.otherSpare ? `The spare there is belongs to ${torn.otherSpare}: it does not serve here.` : 'There is no spare of it.'}
          </p>
        </div>
      )}
    </fieldset>
  );
}
