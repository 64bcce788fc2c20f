import { type ComponentType, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { isPreserved, plain, type Piece } from '#core/facts/index';
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
import { HeldUp } from './HeldUp.tsx';
import { isLeftOut, Preserved } from './Preserved.tsx';
import { RecordSection } from './RecordSection.tsx';
import { Strip } from './strip/Strip.tsx';
import { Survey } from './survey/Survey.tsx';
import type { SectionProps } from './sectionProps.ts';
import { Sections } from './Sections.tsx';
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
  const page = useRef<HTMLDivElement>(null);
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
          className="mt-2 hidden h-[76px] lg:block"
          title={`${piece.name}, drawn`}
        />
        <Sections piece={piece} states={states} current={current} page={page} />
        <Link to="/pieces" className="linklike mt-3 inline-block pl-4 text-small">
          All pieces
        </Link>
      </div>
      <div className="min-w-0" ref={page}>
        <HeldUp piece={piece} view={view} section={current.key} />
        {isPreserved(piece) && isLeftOut(current.key) ? (
          <Preserved piece={piece} view={view} section={current.key} />
        ) : (
          <Section piece={piece} view={view} />
        )}
      </div>
    </div>
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
