import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState } from 'react';
import type { LogEntry } from '#core/log/index';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { Entry } from './Entry.tsx';
import { LogFilters } from './LogFilters.tsx';
import { NoteForm } from './NoteForm.tsx';
import { useLogSearch } from './useLogSearch.ts';

/** What happened, newest first. Nothing is erased: an undo is an entry of its own. */
export function Log() {
  const { facts } = usePlan();
  const search = useLogSearch();
  return (
    <section className="sheet mx-auto max-w-4xl !px-7" aria-labelledby="log">
      <h1 id="log">Log</h1>
      <NoteForm label="A note" hint="Which screw, which tap, what was in the mix …" />
      {facts.events.length > 0 && <LogFilters search={search} />}
      {facts.events.length === 0 && (
        <p className="mt-5">Nothing yet. What you mark done at the bench is written here with its time, its paint and its film.</p>
      )}
      {facts.events.length > 0 && search.entries.length === 0 && (
        <p className="mt-5">No entry answers to that. Take one of the conditions out.</p>
      )}
      <Entries entries={search.entries} />
    </section>
  );
}

const ROW_PX = 49;

/** Only the rows in view are drawn: a log of many years scrolls like one of a week. */
function Entries({ entries }: { entries: readonly LogEntry[] }) {
  const list = useRef<HTMLOListElement>(null);
  const [above, setAbove] = useState(0);
  useLayoutEffect(() => setAbove(list.current?.offsetTop ?? 0), []);
  const rows = useWindowVirtualizer({
    count: entries.length,
    estimateSize: () => ROW_PX,
    overscan: 8,
    scrollMargin: above,
    getItemKey: (index) => entries[index].event.id,
  });
  return (
    <ol ref={list} className="relative mt-4" style={{ height: rows.getTotalSize() }}>
      {rows.getVirtualItems().map(({ key, index, start }) => (
        <li
          key={key}
          ref={rows.measureElement}
          data-index={index}
          aria-setsize={entries.length}
          aria-posinset={index + 1}
          className="absolute inset-x-0 border-b border-hairline py-2"
          style={{ top: start - above }}
        >
          <Entry entry={entries[index]} />
        </li>
      ))}
    </ol>
  );
}
