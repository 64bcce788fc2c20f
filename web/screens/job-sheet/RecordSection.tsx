import { toIso, toMinute } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../app/PlanContext.tsx';
import { logEvents, newId } from '../../app/useFacts.ts';
import { Entry } from '../log/Log.tsx';
import type { SectionProps } from './JobSheet.tsx';

/** What was done to this piece, with what, when. */
export function RecordSection({ piece }: SectionProps) {
  const { facts } = usePlan();
  const [text, setText] = useState('');
  const undone = new Set(facts.events.flatMap((event) => (event.kind === 'undo' ? [event.undoes] : [])));
  const entries = facts.events
    .filter((event) => 'pieceId' in event && event.pieceId === piece.id)
    .sort((a, b) => toMinute(b.at) - toMinute(a.at));
  return (
    <section className="sheet max-w-4xl" aria-labelledby="record">
      <h2 id="record" className="!text-title">
        Record
      </h2>
      <form
        className="mt-3 flex gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!text.trim()) return;
          void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'note', pieceId: piece.id, text: text.trim() }]);
          setText('');
        }}
      >
        <label className="flex-1">
          <span className="sr-only">A note on this piece</span>
          <input
            className="field"
            placeholder="A note on this piece"
            value={text}
            maxLength={2000}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <button type="submit" className="act !min-h-10">
          Note it
        </button>
      </form>
      {entries.length === 0 && <p className="second mt-4">Nothing done yet. Mark steps done at the bench and they stand here.</p>}
      <ol className="mt-3">
        {entries.map((event) => (
          <Entry key={event.id} event={event} undone={undone.has(event.id)} />
        ))}
      </ol>
    </section>
  );
}
