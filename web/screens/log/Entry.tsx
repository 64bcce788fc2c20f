import type { LogEvent } from '#core/facts/index';
import { whenRefused } from '#core/plan/index';
import { toIso, toMinute } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../app/PlanContext.tsx';
import { logEvents } from '../../app/logging.ts';
import { newId } from '../../app/newId.ts';
import { useWords } from '../../app/useWords.ts';
import { MomentField } from '../../views/MomentField.tsx';
import { PaintStrip } from '../../views/paint.tsx';

import { entryText, type LogEntry } from '#core/log/index';

/** What stands in one row of the log: taken back or set to another time, never erased. */
export function Entry({ entry: { event, at, undone } }: { entry: LogEntry }) {
  const words = useWords();
  const [amending, setAmending] = useState(false);
  const { facts } = usePlan();
  const { what, who } = entryText(event, facts, words);
  return (
    <>
      <div className="grid grid-cols-[14px_minmax(0,1fr)] items-center gap-x-3 gap-y-1 sm:grid-cols-[150px_14px_minmax(0,1fr)_auto] sm:gap-x-4">
        <time className="figure col-span-2 sm:col-span-1" dateTime={toIso(at)}>
          {words.day(at)} {words.clock(at)}
        </time>
        <PaintStrip lab={event.kind === 'done' && event.coat ? event.coat.lab : null} className="h-6 w-[8px]" />
        <span className={undone ? 'line-through opacity-60' : ''}>
          <span className="font-[650] text-ink">{what}</span> <span className="second">{who}</span>
          {at !== toMinute(event.at) && <span className="second text-small"> · entered as {words.moment(toMinute(event.at))}</span>}
        </span>
        {undone ? (
          <span className="second text-small">taken back</span>
        ) : (
          <span className="col-start-2 flex gap-3 sm:col-start-auto">
            <button type="button" className="linklike text-small" aria-expanded={amending} onClick={() => setAmending(!amending)}>
              Another time
            </button>
            <button
              type="button"
              className="linklike text-small"
              onClick={() => void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'undo', undoes: event.id }])}
            >
              Undo
            </button>
          </span>
        )}
      </div>
      {amending && <Amend event={event} at={at} onClose={() => setAmending(false)} />}
    </>
  );
}

function Amend({ event, at, onClose }: { event: LogEvent; at: number; onClose: () => void }) {
  const { facts, pieceById } = usePlan();
  const [to, setTo] = useState<number | null>(at);
  const piece = event.kind === 'done' ? pieceById.get(event.pieceId) : undefined;
  const now = nowMinute();
  const why =
    to === null
      ? 'Say the day and the hour.'
      : to > now + 1
        ? 'That is still to come: only what has been done stands in the log.'
        : event.kind === 'done' && piece
          ? whenRefused(event, to, piece, facts.events, now)
          : null;
  const amend = () => {
    if (why || to === null) return;
    void logEvents([{ id: newId(), at: toIso(now), kind: 'amend', amends: event.id, to: toIso(to) }]);
    onClose();
  };
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3 sm:ml-[164px]">
      <MomentField label="It happened at" value={to} onChange={setTo} problem={why} />
      <button type="button" className="act !min-h-10" disabled={why !== null} onClick={amend}>
        Set it to that
      </button>
      <button type="button" className="act !min-h-10" onClick={onClose}>
        Keep it
      </button>
    </div>
  );
}
