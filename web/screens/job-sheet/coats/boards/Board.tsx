import type { Part, Piece } from '#core/facts/index';
import { designBoard, hasTileAlong, type JointOfPart, proposeBoard, tileAlong, type Varies } from '#core/plan/index';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { newId } from '../../../../app/writing/newId.ts';
import { useSaving } from '../../../../app/writing/useFacts.ts';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

const DESIGNS: readonly { readonly varies: Exclude<Varies, 'joint'>; readonly label: string }[] = [
  { varies: 'ground', label: 'white, grey, black ground' },
  { varies: 'coats', label: 'a coat less, a coat more' },
  { varies: 'clear', label: 'with and without clear' },
  { varies: 'wait', label: 'keyed and unkeyed' },
];

/** Sample boards: the smallest that settles what is care here, or one of the person's own design, one variable apart. */
export function Board({ piece, part, joints }: { piece: Piece; part: Part; joints: readonly JointOfPart[] }) {
  const { facts, plan } = usePlan();
  const { save } = useSaving();
  const navigate = useNavigate();
  const proposal = useMemo(() => proposeBoard(piece, joints, facts, plan.now, newId), [piece, joints, facts, plan.now]);
  const boards = facts.pieces.filter((own) => own.board?.forPieceId === piece.id);
  const take = async (board: Piece) => {
    if (await save('pieces', board, `${board.name}: planned like a piece.`)) void navigate(`/pieces/${board.id}/coats`);
  };
  if (piece.board || part.tile) return null;
  return (
    <FoldingSheet title="Sample board" className="!p-4">
      {proposal && (
        <div className="mt-1">
          <p>
            {proposal.board.parts.length} {proposal.board.parts.length === 1 ? 'tile settles' : 'tiles settle'} what is care:{' '}
            {proposal.settles.join(', ')}.
          </p>
          <button type="button" className="act mt-2 !min-h-10" data-first="true" onClick={() => void take(proposal.board)}>
            Plan this board
          </button>
        </div>
      )}
      {boards.map((board) => (
        <p key={board.id} className="mt-2">
          <a
            className="linklike"
            href={`/pieces/${board.id}/coats`}
            onClick={(event) => {
              event.preventDefault();
              void navigate(`/pieces/${board.id}/coats`);
            }}
          >
            {board.name}
          </a>
          <span className="second"> is in hand</span>
        </p>
      ))}
      {!hasTileAlong(piece, part) && part.layers.length > 0 && (
        <button
          type="button"
          className="act mt-2 !min-h-10"
          onClick={() =>
            void save('pieces', { ...piece, parts: [...piece.parts, tileAlong(part, newId)] }, 'A tile goes along with every coat.')
          }
        >
          Spray a tile along
        </button>
      )}
      <details className="mt-2">
        <summary className="min-h-9 cursor-pointer text-small">Design one, one thing apart</summary>
        <div className="mt-1 flex flex-wrap gap-2">
          {DESIGNS.map(({ varies, label }) => (
            <button
              key={varies}
              type="button"
              className="chip"
              onClick={() => void take(designBoard(piece, part, varies, facts, plan.now, newId))}
            >
              {label}
            </button>
          ))}
        </div>
      </details>
    </FoldingSheet>
  );
}
