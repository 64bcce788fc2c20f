import type { DoneEvent, LogEvent } from '#core/facts/index';
import { whenRefused } from '#core/plan/index';
import { durationText, toIso, toMinute } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { useWords } from '../../app/useWords.ts';
import { MomentField } from '../../views/fields/MomentField.tsx';
import { TookField } from '../../views/fields/TookField.tsx';
import { readMinutes } from '#core/plan/index';
import { PaintStrip } from '../../views/drawn/paint.tsx';

import { entryText, type LogEntry } from '#core/log/index';

/** What stands in one row of the log: taken back or set to another time, never erased. */
export function Entry({ entry: { event, at, undone } }: { entry: LogEntry }) {
  const words = useWords();
  const [changing, setChanging] = useState<'time' | 'minutes' | null>(null);
  const { facts } = usePlan();
  const toggle = (what: 'time' | 'minutes') => setChanging(changing === what ? null : what);
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
            <button type="button" className="linklike text-small" aria-expanded={changing === 'time'} onClick={() => toggle('time')}>
              Another time
            </button>
            {event.kind === 'done' && (
              <button
                type="button"
                className="linklike text-small"
                aria-expanded={changing === 'minutes'}
                onClick={() => toggle('minutes')}
              >
                It took
              </button>
            )}
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
      {changing === 'time' && <Amend event={event} at={at} onClose={() => setChanging(null)} />}
      {changing === 'minutes' && event.kind === 'done' && <Took event={event} at={at} onClose={() => setChanging(null)} />}
    </>
  );
}

/** How long the work took: said of the entry, which stays as it is. */
function Took({ event, at, onClose }: { event: DoneEvent; at: number; onClose: () => void }) {
  const [typed, setTyped] = useState(event.minutes === undefined ? '' : String(event.minutes));
  const { minutes, problem } = readMinutes(typed);
  const keep = () => {
    if (minutes === null) return;
    void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'amend', amends: event.id, to: toIso(at), minutes }]);
    onClose();
  };
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3 sm:ml-[164px]">
      <TookField typed={typed} onTyped={setTyped} problem={problem} />
      <button type="button" className="act !min-h-10" disabled={minutes === null} onClick={keep}>
        That long
      </button>
      <button type="button" className="act !min-h-10" onClick={onClose}>
        Keep it
      </button>
      <p className="second basis-full text-small">
        {event.expected ? `The plan had ${durationText(event.expected)}. ` : ''}The next plan reckons with what it took.
      </p>
    </div>
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
