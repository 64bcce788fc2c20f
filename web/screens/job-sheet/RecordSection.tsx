import { Download } from 'lucide-react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { AddDone } from '../log/AddDone.tsx';
import { entriesOf } from '#core/log/index';
import { Entry } from '../log/Entry.tsx';
import { NoteForm } from '../log/NoteForm.tsx';
import type { SectionProps } from './sectionProps.ts';

/** What was done to this piece, with what, when: work done elsewhere is added, a wrong time set right. */
export function RecordSection({ piece }: SectionProps) {
  const { facts } = usePlan();
  const entries = entriesOf(facts.events).filter(({ event }) => 'pieceId' in event && event.pieceId === piece.id);
  return (
    <section className="sheet max-w-4xl" aria-labelledby="record">
      <h2 id="record" className="!text-title">
        Record
      </h2>
      <a className="act mt-3" href={`/api/pieces/${piece.id}/export`} download>
        <Download size={18} aria-hidden /> Export this piece
      </a>
      <NoteForm pieceId={piece.id} label="A note on this piece" hint="A note on this piece" />
      <AddDone piece={piece} />
      {entries.length === 0 && <p className="second mt-4">Nothing done yet. Mark steps done at the bench and they stand here.</p>}
      <ol className="mt-3">
        {entries.map((entry) => (
          <li key={entry.event.id} className="border-b border-hairline py-2">
            <Entry entry={entry} />
          </li>
        ))}
      </ol>
    </section>
  );
}
