import { toIso } from '#core/units/index';
import { useState } from 'react';
import { nowMinute } from '../../app/plan/PlanContext.tsx';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';

const MOST_CHARACTERS = 2000;

/** A line for the log, of one piece or of the whole bench. */
export function NoteForm({ pieceId, label, hint }: { pieceId?: string; label: string; hint: string }) {
  const [text, setText] = useState('');
  const note = () => {
    if (!text.trim()) return;
    void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'note', text: text.trim(), ...(pieceId ? { pieceId } : {}) }]);
    setText('');
  };
  return (
    <form
      className="mt-4 flex gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        note();
      }}
    >
      <label className="flex-1">
        <span className="sr-only">{label}</span>
        <input
          className="field"
          placeholder={hint}
          value={text}
          maxLength={MOST_CHARACTERS}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <button type="submit" className="act !min-h-10">
        Note it
      </button>
    </form>
  );
}
