import type { Piece } from '#core/facts/index';
import { type RefObject, useState } from 'react';
import { NavLink, useSearchParams } from 'react-router';
import { OnThisPage } from '../../views/folding/OnThisPage.tsx';
import { SECTION_NAMES } from './sectionNames.ts';

/** The sections with their states, on a phone folded to the one that is open; the part that is looked at stays the same. */
export function Sections({
  piece,
  states,
  current,
  page,
}: {
  piece: Piece;
  states: Readonly<Record<string, string>>;
  current: (typeof SECTION_NAMES)[number];
  page: RefObject<HTMLDivElement | null>;
}) {
  const [params] = useSearchParams();
  const [open, setOpen] = useState(false);
  const part = params.get('part');
  return (
    <div className="mt-2">
      <button
        type="button"
        className="flex w-full items-center justify-between gap-2 border-l-4 border-ink bg-sheet py-2 pr-3 pl-3 text-left lg:hidden"
        aria-expanded={open}
        aria-controls="sections"
        onClick={() => setOpen(!open)}
      >
        <span>
          <strong className="font-[650] text-ink">{current.name}</strong> <span className="second text-small">{states[current.key]}</span>
        </span>
        <span className="second text-small">{open ? 'close' : 'all sections'}</span>
      </button>
      <div id="sections" className={open ? '' : 'hidden lg:block'}>
        <nav aria-label="Job sheet">
          {SECTION_NAMES.map(({ key, name }) => (
            <NavLink
              key={key}
              to={{ pathname: `/pieces/${piece.id}/${key}`, search: part ? `?part=${part}` : '' }}
              onClick={() => setOpen(false)}
              className={({ isActive }) =>
                `block border-l-4 py-[7px] pl-3 leading-tight ${isActive ? 'border-ink bg-sheet' : 'border-transparent hover:bg-quiet'}`
              }
            >
              <span className="block font-[650] text-ink">{name}</span>
              <span className="second block text-small">{states[key]}</span>
            </NavLink>
          ))}
        </nav>
        <OnThisPage within={page} />
      </div>
    </div>
  );
}
