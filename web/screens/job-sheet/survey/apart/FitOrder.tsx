import type { Piece } from '#core/facts/index';
import { fitOrder, unreachableLater } from '#core/survey/index';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { usePieceSave } from '../../pieceChanges.ts';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

/** Reassembly: the reverse of teardown, changed by the person, checked for what could not be reached any more. */
export function FitOrder({ piece }: { piece: Piece }) {
  const save = usePieceSave();
  const order = fitOrder(piece);
  const behind = unreachableLater(piece);
  const move = (index: number, by: number) => {
    const ids = order.map((part) => part.id);
    const [id] = ids.splice(index, 1);
    ids.splice(index + by, 0, id);
    void save({ ...piece, fitOrder: ids }, 'Order changed.');
  };
  return (
    <FoldingSheet title="Goes together in this order" className="!p-4">
      <ol className="mt-1">
        {order.map((part, index) => {
          const warning = behind.find((own) => own.partId === part.id);
          return (
            <li key={part.id} className="border-b border-hairline py-1">
              <span className="flex items-center gap-2">
                <span className="figure w-5 text-right">{index + 1}</span>
                <span className="flex-1">{part.name}</span>
                <button
                  type="button"
                  className="p-2 disabled:opacity-30"
                  aria-label={`${part.name} earlier`}
                  disabled={index === 0}
                  onClick={() => move(index, -1)}
                >
                  <ArrowUp size={16} aria-hidden />
                </button>
                <button
                  type="button"
                  className="p-2 disabled:opacity-30"
                  aria-label={`${part.name} later`}
                  disabled={index === order.length - 1}
                  onClick={() => move(index, 1)}
                >
                  <ArrowDown size={16} aria-hidden />
                </button>
              </span>
              {warning && <p className="border-l-4 border-ink pl-3 text-small">▲ {warning.text}</p>}
            </li>
          );
        })}
      </ol>
      {behind.length === 0 && order.length > 1 && <p className="second mt-2 text-small">Nothing is shut in too early.</p>}
    </FoldingSheet>
  );
}
