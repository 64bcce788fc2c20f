import type { DoneEvent, LogEvent } from '#core/facts/index';
import { type PlannedStep, whenRefused } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { useEffect, useState } from 'react';
import { nowMinute, usePlan } from '../../app/PlanContext.tsx';
import { logEvents } from '../../app/logging.ts';
import { newId } from '../../app/newId.ts';
import { MomentField } from '../../views/MomentField.tsx';
import { doneEvents } from './doneEvent.ts';

export type JustDone = {
  readonly step: PlannedStep;
  readonly events: readonly LogEvent[];
  readonly at: number;
  readonly layerOf: (partId: string) => string | undefined;
};

const SHOWN_MS = 8000;
const BUTTON = 'min-h-11 rounded-[3px] border border-[#8a8a8a] px-3';

/** For eight seconds: it was at another time, it was only some of it, or it was not so at all. */
export function AfterDone({ just, onClose, placeId }: { just: JustDone; onClose: () => void; placeId: string }) {
  const [changing, setChanging] = useState<'time' | 'parts' | null>(null);
  useEffect(() => {
    if (changing) return;
    const timer = setTimeout(onClose, SHOWN_MS);
    return () => clearTimeout(timer);
  }, [onClose, changing]);

  const undone = (): LogEvent[] => just.events.map((event) => ({ id: newId(), at: toIso(nowMinute()), kind: 'undo', undoes: event.id }));
  // What was asked with the step (what came off, how it parted) stands as it was answered.
  const answers = just.events.filter((event) => event.kind !== 'done');
  const instead = (at: number, partIds?: readonly string[]) => {
    const again = answers.map((event): LogEvent => ({ ...event, id: newId(), at: toIso(at) }));
    void logEvents([...undone(), ...again, ...doneEvents(just.step, newId, at, placeId, partIds, just.layerOf)]);
    onClose();
  };
  const several = just.step.on.length > 1 && just.step.keys.length > 1;
  return (
    <div role="status" className="w-full rounded-[3px] border border-[#8a8a8a] bg-[#202020] p-3 text-left">
      <p className="flex flex-wrap items-center gap-2">
        <span className="mr-2 text-[#d0d0d0]">Logged: {just.step.title}. It was</span>
        {[5, 15, 30].map((minutes) => (
          <button key={minutes} type="button" className={`${BUTTON} font-mono`} onClick={() => instead(just.at - minutes)}>
            −{minutes} min
          </button>
        ))}
        <button type="button" className={BUTTON} aria-expanded={changing === 'time'} onClick={() => setChanging('time')}>
          another time
        </button>
        {several && (
          <button type="button" className={BUTTON} aria-expanded={changing === 'parts'} onClick={() => setChanging('parts')}>
            only these
          </button>
        )}
      </p>
      {changing === 'time' && <DoneAt just={just} onAt={instead} />}
      {changing === 'parts' && <OnlyThese step={just.step} onParts={(ids) => instead(just.at, ids)} />}
      <button
        type="button"
        className="mt-2 min-h-[56px] w-full rounded-[3px] border border-white text-lead font-[650]"
        onClick={() => {
          void logEvents(undone());
          onClose();
        }}
      >
        Undo
      </button>
    </div>
  );
}

/** Any earlier day and hour. */
function DoneAt({ just, onAt }: { just: JustDone; onAt: (at: number) => void }) {
  const { facts, pieceById } = usePlan();
  const [at, setAt] = useState<number | null>(Math.floor(just.at));
  const piece = pieceById.get(just.step.pieceId);
  const events = just.events.filter((event): event is DoneEvent => event.kind === 'done');
  const why =
    piece &&
    (events.map((event) => whenRefused(event, at ?? Number.NaN, piece, facts.events, nowMinute())).find((text) => text !== null) ?? null);
  return (
    <div className="mt-2 flex flex-wrap items-end gap-2">
      <MomentField label="Done at" value={at} onChange={setAt} problem={why} />
      <button type="button" className={BUTTON} disabled={Boolean(why)} onClick={() => at !== null && onAt(at)}>
        That is when
      </button>
    </div>
  );
}

/** Of a row of several parts, those it was really done to. */
function OnlyThese({ step, onParts }: { step: PlannedStep; onParts: (partIds: readonly string[]) => void }) {
  const { pieceById } = usePlan();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const nameOf = (partId: string) =>
    pieceById
      .get(step.pieceId)
      ?.parts.find((part) => part.id === partId)
      ?.name.toLowerCase() ?? partId;
  const toggle = (partId: string) => setChosen(chosen.includes(partId) ? chosen.filter((id) => id !== partId) : [...chosen, partId]);
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      {step.on.map(({ partId }) => (
        <button
          key={partId}
          type="button"
          aria-pressed={chosen.includes(partId)}
          className={`${BUTTON} ${chosen.includes(partId) ? '!border-2 !border-white font-[650]' : ''}`}
          onClick={() => toggle(partId)}
        >
          {nameOf(partId)}
        </button>
      ))}
      <button type="button" className={`${BUTTON} !border-white`} disabled={chosen.length === 0} onClick={() => onParts(chosen)}>
        Only these were done
      </button>
    </div>
  );
}
