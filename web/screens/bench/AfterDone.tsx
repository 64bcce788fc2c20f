import type { LogEvent } from '#core/facts/index';
import type { PlannedStep } from '#core/plan/index';
import { toIso } from '#core/units/index';
import { useEffect, useState } from 'react';
import { usePlan } from '../../app/PlanContext.tsx';
import { logEvents, newId } from '../../app/useFacts.ts';
import { doneEvents } from './doneEvent.ts';

export type JustDone = {
  readonly step: PlannedStep;
  readonly events: readonly LogEvent[];
  readonly at: number;
  readonly layerOf: (partId: string) => string | undefined;
};

const SHOWN_MS = 8000;

/** For eight seconds: it was earlier, it was part of it, or it was not so at all. */
export function AfterDone({ just, onClose, placeId }: { just: JustDone; onClose: () => void; placeId: string }) {
  const { pieceById } = usePlan();
  const [choosing, setChoosing] = useState(false);
  useEffect(() => {
    if (choosing) return;
    const timer = setTimeout(onClose, SHOWN_MS);
    return () => clearTimeout(timer);
  }, [onClose, choosing]);

  const undone = (): LogEvent[] =>
    just.events.map((event) => ({ id: newId(), at: toIso(Date.now() / 60_000), kind: 'undo', undoes: event.id }));
  const instead = (at: number, partIds?: readonly string[]) => {
    void logEvents([...undone(), ...doneEvents(just.step, newId, at, placeId, partIds, just.layerOf)]);
    onClose();
  };
  const several = just.step.on.length > 1 && just.step.keys.length > 1;
  const nameOf = (partId: string) => pieceById.get(just.step.pieceId)?.parts.find((part) => part.id === partId)?.name ?? partId;
  return (
    <div role="status" className="w-full rounded-[3px] border border-[#8a8a8a] bg-[#202020] p-3 text-left">
      <p className="flex flex-wrap items-center gap-2">
        <span className="mr-2 text-[#d0d0d0]">Logged: {just.step.title}. It was</span>
        {[5, 15, 30].map((minutes) => (
          <button
            key={minutes}
            type="button"
            className="min-h-11 rounded-[3px] border border-[#8a8a8a] px-3 font-mono"
            onClick={() => instead(just.at - minutes)}
          >
            −{minutes} min
          </button>
        ))}
        {several && (
          <button type="button" className="min-h-11 rounded-[3px] border border-[#8a8a8a] px-3" onClick={() => setChoosing(true)}>
            part of it
          </button>
        )}
      </p>
      {choosing && (
        <div className="mt-2 flex flex-wrap gap-2">
          {just.step.on.map((on) => (
            <button
              key={on.partId}
              type="button"
              className="min-h-11 rounded-[3px] border border-[#8a8a8a] px-3"
              onClick={() => instead(just.at, [on.partId])}
            >
              only {nameOf(on.partId).toLowerCase()}
            </button>
          ))}
        </div>
      )}
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
