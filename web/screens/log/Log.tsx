import { usePlan } from '../../app/PlanContext.tsx';
import { entriesOf } from './entries.ts';
import { Entry } from './Entry.tsx';
import { NoteForm } from './NoteForm.tsx';

const SHOWN = 120;

/** What happened, newest first. Nothing is erased: an undo is an entry of its own. */
export function Log() {
  const { facts } = usePlan();
  const entries = entriesOf(facts.events);
  return (
    <section className="sheet mx-auto max-w-4xl !px-7" aria-labelledby="log">
      <h1 id="log">Log</h1>
      <NoteForm label="A note" hint="Which screw, which tap, what was in the mix …" />
      {entries.length === 0 && (
        <p className="mt-5">Nothing yet. What you mark done at the bench is written here with its time, its paint and its film.</p>
      )}
      <ol className="mt-4">
        {entries.slice(0, SHOWN).map((entry) => (
          <Entry key={entry.event.id} entry={entry} />
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
