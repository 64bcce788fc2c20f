import type { LogEvent } from '#core/facts/index';
import { toIso, toMinute } from '#core/units/index';
import { nowMinute, usePlan } from '../../app/PlanContext.tsx';
import { logEvents, newId } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { PaintStrip } from '../../views/paint.tsx';
import { NoteForm } from './NoteForm.tsx';
import { useEventText } from './eventText.ts';

const SHOWN = 120;

/** What happened, newest first. Nothing is erased: an undo is an entry of its own. */
export function Log() {
  const { facts } = usePlan();
  const undone = new Set(facts.events.flatMap((event) => (event.kind === 'undo' ? [event.undoes] : [])));
  const entries = [...facts.events].filter((event) => event.kind !== 'undo').sort((a, b) => toMinute(b.at) - toMinute(a.at));
  return (
    <section className="sheet mx-auto max-w-4xl !px-7" aria-labelledby="log">
      <h1 id="log">Log</h1>
      <NoteForm label="A note" hint="Which screw, which tap, what was in the mix …" />
      {entries.length === 0 && (
        <p className="mt-5">Nothing yet. What you mark done at the bench is written here with its time, its paint and its film.</p>
      )}
      <ol className="mt-4">
        {entries.slice(0, SHOWN).map((event) => (
          <Entry key={event.id} event={event} undone={undone.has(event.id)} />
        ))}
      </ol>
      {entries.length > SHOWN && (
        <p className="second mt-3">
          The newest {SHOWN} of {entries.length}. The whole log is in the exported file.
        </p>
      )}
    </section>
  );
}

export function Entry({ event, undone }: { event: LogEvent; undone: boolean }) {
  const words = useWords();
  const { what, who } = useEventText()(event);
  return (
    <li className="grid grid-cols-[150px_14px_1fr_auto] items-center gap-x-4 border-b border-hairline py-2">
      <time className="figure" dateTime={event.at}>
        {words.day(toMinute(event.at))} {words.clock(toMinute(event.at))}
      </time>
      <PaintStrip lab={event.kind === 'done' && event.coat ? event.coat.lab : null} className="h-6 w-[8px]" />
      <span className={undone ? 'line-through opacity-60' : ''}>
        <span className="font-[650] text-ink">{what}</span> <span className="second">{who}</span>
      </span>
      {undone ? (
        <span className="second text-small">taken back</span>
      ) : (
        <button
          type="button"
          className="linklike text-small"
          onClick={() => void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'undo', undoes: event.id }])}
        >
          Undo
        </button>
      )}
    </li>
  );
}
