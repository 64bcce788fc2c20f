import type { EventOf } from '#core/facts/index';
import type { PlannedStep } from '#core/plan/index';
import { counted, listed, toIso } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { logEvents } from '../../../app/writing/logging.ts';
import { newId } from '../../../app/writing/newId.ts';

type Inspection = NonNullable<PlannedStep['inspects']>[number];
type Outcome = EventOf<'inspected'>['outcome'];
type BackTo = NonNullable<EventOf<'inspected'>['backTo']>;

const ENDS: readonly { readonly outcome: Outcome; readonly label: string; readonly hint: string }[] = [
  { outcome: 'accepted', label: 'Accepted as it is', hint: 'not perfect, and stays' },
  { outcome: 'one-more', label: 'One more coat', hint: 'the ground shows' },
  { outcome: 'sent-back', label: 'Sent back', hint: 'this has to be done again' },
];
const SEEN: Record<Outcome, readonly string[]> = {
  accepted: ['a speck of dust', 'a little orange peel', 'a thin edge'],
  'one-more': ['the ground shows', 'thin on the edges'],
  'sent-back': ['runs', 'scratches show through', 'dust in it', 'orange peel'],
};
const BACK_TO: readonly { readonly backTo: BackTo; readonly label: string }[] = [
  { backTo: 'layer', label: 'flat it, lay this layer again' },
  { backTo: 'surface', label: 'back to the surface' },
  { backTo: 'strip', label: 'back to bare' },
];
const BUTTON = 'min-h-14 rounded-[3px] border border-[#8a8a8a] px-2 py-1 text-[16px]';

/** Finished layers are looked at before the step that covers them: done passes them, or one of three other ends. */
export function Inspections({ step, now, onSaid }: { step: PlannedStep; now: number; onSaid: (text: string) => void }) {
  const { pieceById } = usePlan();
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const [reason, setReason] = useState('');
  const [backTo, setBackTo] = useState<BackTo>('layer');
  const [on, setOn] = useState<string | null>(null);
  const inspects = step.inspects ?? [];
  if (inspects.length === 0) return null;
  const partName = (id: string) =>
    pieceById
      .get(step.pieceId)
      ?.parts.find((part) => part.id === id)
      ?.name.toLowerCase() ?? '';
  const chosen = inspects.filter((own) => on === null || keyOf(own) === on);
  const log = () => {
    if (!outcome || reason.trim() === '') return;
    const events = chosen.map(({ partId, layerId }) => ({
      id: newId(),
      at: toIso(now),
      kind: 'inspected' as const,
      pieceId: step.pieceId,
      partIds: [partId],
      layerId,
      outcome,
      reason: reason.trim(),
      ...(outcome === 'sent-back' ? { backTo } : {}),
    }));
    void logEvents(events);
    onSaid(SAID[outcome]);
    setOutcome(null);
    setReason('');
  };
  return (
    <section className="mt-3" aria-label="Look at the film">
      <p className="text-lead text-[#d0d0d0]">
        Look at {listed(inspects.map(({ what, partId }) => `the ${what} on the ${partName(partId)}`))} in side light. Done passes it.
      </p>
      <div className="mt-2 grid grid-cols-3 gap-2">
        {ENDS.map((end) => (
          <button
            key={end.outcome}
            type="button"
            className={`${BUTTON} font-[650] ${outcome === end.outcome ? '!border-2 !border-white' : ''}`}
            aria-pressed={outcome === end.outcome}
            onClick={() => {
              setOutcome(outcome === end.outcome ? null : end.outcome);
              setReason(SEEN[end.outcome][0]);
            }}
          >
            {end.label}
            <span className="block text-small font-[400] text-[#c4c4c4]">{end.hint}</span>
          </button>
        ))}
      </div>
      {outcome && (
        <div className="mt-3 space-y-3">
          {inspects.length > 1 && (
            <fieldset className="flex flex-wrap gap-2">
              <legend className="mb-1 text-[#d0d0d0]">Which?</legend>
              <Pick label={`all ${counted(inspects.length, 'film')}`} pressed={on === null} onClick={() => setOn(null)} />
              {inspects.map((own) => (
                <Pick
                  key={keyOf(own)}
                  label={`${own.name}, ${partName(own.partId)}`}
                  pressed={on === keyOf(own)}
                  onClick={() => setOn(keyOf(own))}
                />
              ))}
            </fieldset>
          )}
          <fieldset className="flex flex-wrap gap-2">
            <legend className="mb-1 text-[#d0d0d0]">What do you see?</legend>
            {SEEN[outcome].map((text) => (
              <Pick key={text} label={text} pressed={reason === text} onClick={() => setReason(text)} />
            ))}
            <input
              aria-label="What you see"
              className="min-h-11 flex-1 rounded-[3px] border border-[#8a8a8a] bg-transparent px-3"
              value={reason}
              maxLength={160}
              onChange={(event) => setReason(event.target.value)}
            />
          </fieldset>
          {outcome === 'sent-back' && (
            <fieldset className="flex flex-wrap gap-2">
              <legend className="mb-1 text-[#d0d0d0]">How far back?</legend>
              {BACK_TO.map((way) => (
                <Pick key={way.backTo} label={way.label} pressed={backTo === way.backTo} onClick={() => setBackTo(way.backTo)} />
              ))}
            </fieldset>
          )}
          <button
            type="button"
            className="min-h-14 w-full rounded-[3px] border-2 border-white font-[650]"
            disabled={reason.trim() === ''}
            onClick={log}
          >
            {ENDS.find((end) => end.outcome === outcome)?.label}: write it down
          </button>
        </div>
      )}
    </section>
  );
}

const SAID: Record<Outcome, string> = {
  accepted: 'Accepted: it stands in the record, and the work goes on.',
  'one-more': 'One more coat is planned, with its paint and its time.',
  'sent-back': 'Sent back: the steps, the days and the money are planned anew.',
};

function keyOf({ partId, layerId }: Inspection): string {
  return `${partId} ${layerId}`;
}

function Pick({ label, pressed, onClick }: { label: string; pressed: boolean; onClick: () => void }) {
  return (
    <button
      type="button"
      aria-pressed={pressed}
      className={`min-h-11 rounded-[3px] border px-3 ${pressed ? 'border-2 border-white font-[650]' : 'border-[#8a8a8a]'}`}
      onClick={onClick}
    >
      {label}
    </button>
  );
}
