import { openGuesses } from '#core/survey/index';
import type { Piece } from '#core/facts/index';
import { plain } from '#core/facts/index';
import { Copy, Plus, Trash2 } from 'lucide-react';
import { Link } from 'react-router';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { newId } from '../../app/writing/newId.ts';
import { useSaving } from '../../app/writing/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { counted } from '#core/units/index';
import { BudgetBar } from '../../views/drawn/BudgetBar.tsx';
import { PieceStatus } from '../../views/PieceStatus.tsx';
import { Portrait } from '../../views/drawn/Portrait.tsx';
import { duplicated } from './duplicated.ts';

/** All pieces in hand, each with its next step, its end and its price. */
export function Pieces() {
  const { facts } = usePlan();
  const pieces = facts.pieces.filter((piece) => !piece.board);
  const boards = facts.pieces.filter((piece) => piece.board);
  const inHand = pieces.filter((piece) => !piece.finished);
  const finished = pieces.filter((piece) => piece.finished);
  return (
    <>
      <div className="flex items-center justify-between">
        <div className="flex items-baseline gap-4">
          <h1>Pieces</h1>
          <span className="second">
            {inHand.length} in hand, {finished.length} finished
          </span>
        </div>
        <Link to="/pieces/new" className="act" data-first="true">
          <Plus size={18} aria-hidden /> Add a piece
        </Link>
      </div>
      {facts.pieces.length === 0 && (
        <section className="sheet mt-5 max-w-2xl">
          <h2>Nothing in hand yet</h2>
          <p className="mt-2">
            Say what the piece looks like and how long it is. A whole plan stands at once, every guess marked, and you correct what matters.
          </p>
        </section>
      )}
      <ul className="mt-4 grid gap-4 md:grid-cols-2 xl:grid-cols-3">
        {[...inHand, ...finished].map((piece) => (
          <PieceCard key={piece.id} piece={piece} />
        ))}
      </ul>
      {boards.length > 0 && (
        <>
          <h2 className="mt-6">Sample boards</h2>
          <ul className="mt-3 grid gap-4 md:grid-cols-2 xl:grid-cols-3">
            {boards.map((piece) => (
              <PieceCard key={piece.id} piece={piece} />
            ))}
          </ul>
        </>
      )}
    </>
  );
}

function PieceCard({ piece }: { piece: Piece }) {
  const { pieceViewById, stepById, facts } = usePlan();
  const { save, remove } = useSaving();
  const words = useWords();
  const view = pieceViewById.get(piece.id);
  const next = view?.nextStepId ? stepById.get(view.nextStepId) : undefined;
  const copy = () =>
    void save(
      'pieces',
      duplicated(
        piece,
        newId,
        facts.pieces.flatMap((own) => own.parts.flatMap((part) => part.pegs)),
      ),
      `${piece.name} duplicated.`,
    );
  return (
    <li className="sheet flex flex-col !p-0">
      <Link to={`/pieces/${piece.id}/coats`} className="flex gap-4 p-4 hover:bg-quiet">
        <Portrait looksLike={piece.looksLike} portrait={piece.portrait} swatches={piece.swatches} className="h-[72px] w-[116px] shrink-0" />
        <span className="min-w-0">
          <span className="block truncate text-lead font-[650] text-ink">{piece.name}</span>
          <span className="second block text-small">
            {plain(piece.looksLike)}, {words.length(piece.longestMm)}
            {piece.scale ? `, 1:${piece.scale}` : ''} · {plain(piece.aim)}
          </span>
        </span>
      </Link>
      <div className="mt-auto border-t border-hairline px-4 pt-3 pb-2">
        {view && (
          <p className="mb-1">
            <PieceStatus piece={piece} view={view} />
          </p>
        )}
        {!piece.finished && (
          <p className="mb-2 truncate">
            <span className="second">Next </span>
            {next?.placed ? `${next.title}, ${words.moment(next.placed.start)}` : view ? 'nothing that has a date' : 'is being planned …'}
          </p>
        )}
        {view && <BudgetBar money={view.money} />}
        <p className="mt-1 flex justify-end gap-1">
          {openGuesses(piece).length > 0 && (
            <span className="second mr-auto self-center text-small">{counted(openGuesses(piece).length, 'guess')} open</span>
          )}
          <button type="button" className="p-2" aria-label={`Duplicate ${piece.name}`} title="Duplicate" onClick={copy}>
            <Copy size={17} aria-hidden />
          </button>
          <button
            type="button"
            className="p-2"
            aria-label={`Remove ${piece.name}`}
            title="Remove"
            onClick={() => void remove('pieces', piece.id, `${piece.name} removed.`)}
          >
            <Trash2 size={17} aria-hidden />
          </button>
        </p>
      </div>
    </li>
  );
}
