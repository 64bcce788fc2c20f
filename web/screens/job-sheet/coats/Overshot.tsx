import type { Part, Piece } from '#core/facts/index';
import { designBoard, type JointOfPart, type LayerView } from '#core/plan/index';
import { Link, useNavigate } from 'react-router';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';

/** A window that has shut for good: what is planned instead, and the ways around it. */
export function Overshot({ piece, part, entry, layers }: { piece: Piece; part: Part; entry: JointOfPart; layers: readonly LayerView[] }) {
  const { facts, plan } = usePlan();
  const words = useWords();
  const navigate = useNavigate();
  const { save } = useSaving();
  if (!entry.overshot) return null;
  const below = part.layers.find(({ id }) => id === entry.belowLayerId);
  const product = facts.products.find(({ id }) => id === below?.productId);
  const finished = plan.pieces.find(({ pieceId }) => pieceId === piece.id)?.likely;
  const tryIt = async () => {
    const board = designBoard(piece, part, 'wait', facts, plan.now, newId);
    if (await save('pieces', board, `${board.name}: planned like a piece.`)) void navigate(`/pieces/${board.id}/coats`);
  };
  return (
    <section className="mt-3 border-t-2 border-ink pt-2" aria-label="Ways on">
      <p>
        It shut {words.moment(entry.overshot.since)}. {layers.find(({ layerId }) => layerId === entry.layerId)?.name} is not laid on it.
      </p>
      <ul className="mt-1">
        <li className="flex items-center justify-between gap-3 border-t border-hairline py-1.5">
          <span className="leading-snug">
            <span className="font-[650] text-ink">Strip this part and lay it again</span>
            <span className="second block text-small">
              {typeof finished === 'number' ? `then finished likely ${words.day(finished)}` : 'no date yet'}
            </span>
          </span>
          <strong>planned</strong>
        </li>
        <li className="flex items-center justify-between gap-3 border-t border-hairline py-1.5">
          <span className="leading-snug">
            <span className="font-[650] text-ink">Try it on a board first</span>
            <span className="second block text-small">leave it as long there; if it holds, nothing is stripped and it goes on</span>
          </span>
          <button type="button" className="chip" onClick={() => void tryIt()}>
            Plan a board
          </button>
        </li>
        {product && (
          <li className="border-t border-hairline py-1.5 leading-snug">
            <span className="font-[650] text-ink">Wait, if the label says when again</span>
            <span className="second block text-small">
              type it on{' '}
              <Link className="underline underline-offset-4" to={`/shelf/sheets/${product.sheetId}`}>
                the sheet of {product.name}
              </Link>
              , and the plan waits instead
            </span>
          </li>
        )}
      </ul>
    </section>
  );
}
