import { type ComponentType, useState } from 'react';
import { Link, NavLink, useParams } from 'react-router';
import { plain, type Piece } from '#core/facts/index';
import type { PieceView } from '#core/plan/index';
import { sentences } from '#core/units/index';
import { Lost } from '../../app/shell/Lost.tsx';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { Portrait } from '../../views/drawn/Portrait.tsx';
import { PieceStatus } from '../../views/PieceStatus.tsx';
import { Coats } from './coats/Coats.tsx';
import { Dates } from './dates/Dates.tsx';
import { Finish } from './finish/Finish.tsx';
import { Masking } from './masking/Masking.tsx';
import { Money } from './money/Money.tsx';
import { RecordSection } from './RecordSection.tsx';
import { Strip } from './strip/Strip.tsx';
import { Survey } from './survey/Survey.tsx';
import type { SectionProps } from './sectionProps.ts';
import { SECTION_NAMES, type SectionKey } from './sectionNames.ts';
import { sectionStates } from './sectionStates.ts';

const SECTIONS: Readonly<Record<SectionKey, ComponentType<SectionProps>>> = {
  survey: Survey,
  strip: Strip,
  coats: Coats,
  masking: Masking,
  finish: Finish,
  dates: Dates,
  money: Money,
  record: RecordSection,
};

/** One piece on one page in order of work; each section has its address, its state and its next decision. */
export function JobSheet() {
  const { pieceId = '', section = 'coats' } = useParams();
  const { pieceById, pieceViewById, plan, facts } = usePlan();
  const words = useWords();
  const piece = pieceById.get(pieceId);
  const view = pieceViewById.get(pieceId);
  const current = SECTION_NAMES.find((candidate) => candidate.key === section);
  const Section = current && SECTIONS[current.key];
  if (!piece || !Section) return <Lost />;
  if (!view) return <p className="second text-lead">{piece.name} is being planned …</p>;
  const states = sectionStates(piece, view, plan, facts);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 lg:grid-cols-[200px_minmax(0,1fr)]">
      <div>
        <PieceName piece={piece} />
        <p className="second mt-1 text-small leading-snug">
          {piece.scale ? `1:${piece.scale} ` : ''}
          {plain(piece.looksLike)}, {plain(piece.aim)}
          <br />
          <PieceStatus piece={piece} view={view} />
          <br />
          {words.money(view.money.total, view.money.about)}
          {view.money.budget !== null && ` of ${words.money(view.money.budget)}`}
        </p>
        <Portrait
          looksLike={piece.looksLike}
          portrait={piece.portrait}
          swatches={piece.swatches}
          className="mt-2 h-[76px]"
          title={`${piece.name}, drawn`}
        />
        <nav aria-label="Job sheet" className="mt-2">
          {SECTION_NAMES.map(({ key, name }) => (
            <NavLink
              key={key}
              to={`/pieces/${piece.id}/${key}`}
              className={({ isActive }) =>
                `block border-l-4 py-[7px] pl-3 leading-tight ${isActive ? 'border-ink bg-sheet' : 'border-transparent hover:bg-quiet'}`
              }
            >
              <span className="block font-[650] text-ink">{name}</span>
              <span className="second block text-small">{states[key]}</span>
            </NavLink>
          ))}
        </nav>
        <Link to="/pieces" className="linklike mt-3 inline-block pl-4 text-small">
          All pieces
        </Link>
      </div>
      <div className="min-w-0">
        <Held view={view} />
        <Section piece={piece} view={view} />
      </div>
    </div>
  );
}

/** What holds the piece up or is still missing on it, said on every section. */
function Held({ view }: { view: PieceView }) {
  const said = [
    ...new Set([view.undecided, view.stopped, view.noDateWhy ?? undefined, ...view.missing].filter((text) => text !== undefined)),
  ];
  if (said.length === 0) return null;
  return (
    <p role="note" className="mb-3 border-l-4 border-ink bg-sheet px-4 py-2">
      {sentences(...said.slice(0, 3))}
    </p>
  );
}

/** The name, changed where it stands. */
function PieceName({ piece }: { piece: Piece }) {
  const { save } = useSaving();
  const [typed, setTyped] = useState<string | null>(null);
  const keep = () => {
    const name = typed?.trim();
    if (name && name !== piece.name) void save('pieces', { ...piece, name }, 'Renamed.');
    setTyped(null);
  };
  if (typed === null) {
    return (
      <h1 className="break-words">
        <button type="button" className="text-left hover:underline" title="Rename" onClick={() => setTyped(piece.name)}>
          {piece.name}
        </button>
      </h1>
    );
  }
  return (
    <input
      aria-label="Name of the piece"
      className="field !text-lead"
      maxLength={80}
      value={typed}
      autoFocus
      onChange={(event) => setTyped(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => (event.key === 'Enter' ? keep() : event.key === 'Escape' ? setTyped(null) : undefined)}
    />
  );
}
