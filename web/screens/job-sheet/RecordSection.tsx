import { toMinute } from '#core/units/index';
import { usePlan } from '../../app/PlanContext.tsx';
import { Entry } from '../log/Log.tsx';
import { NoteForm } from '../log/NoteForm.tsx';
import type { SectionProps } from './sectionProps.ts';

/** What was done to this piece, with what, when. */
export function RecordSection({ piece }: SectionProps) {
  const { facts } = usePlan();
  const undone = new Set(facts.events.flatMap((event) => (event.kind === 'undo' ? [event.undoes] : [])));
  const entries = facts.events
    .filter((event) => 'pieceId' in event && event.pieceId === piece.id)
    .sort((a, b) => toMinute(b.at) - toMinute(a.at));
  return (
    <section className="sheet max-w-4xl" aria-labelledby="record">
      <h2 id="record" className="!text-title">
        Record
      </h2>
      <NoteForm pieceId={piece.id} label="A note on this piece" hint="A note on this piece" />
      {entries.length === 0 && <p className="second mt-4">Nothing done yet. Mark steps done at the bench and they stand here.</p>}
      <ol className="mt-3">
        {entries.map((event) => (
          <Entry key={event.id} event={event} undone={undone.has(event.id)} />
        ))}
      </ol>
    </section>
  );
}
