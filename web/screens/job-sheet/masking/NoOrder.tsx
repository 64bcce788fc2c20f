import type { Part, Piece } from '#core/facts/index';
import { tapingWays, whyNoHeat, withPiece } from '#core/plan/index';
import { useMemo } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { usePricedWays } from '../../../app/plan/usePricedWays.ts';
import { PricedWayRow } from '../../../views/PricedWayRow.tsx';
import { usePieceSave, withPart } from '../pieceChanges.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** Colours that no order can be found for: each way on planned to the end, and why heat is none where it is not. */
export function NoOrder({ piece, part, unordered }: { piece: Piece; part: Part; unordered: readonly string[] }) {
  const { facts } = usePlan();
  const save = usePieceSave();
  const ways = useMemo(() => tapingWays(piece, part, unordered, facts), [piece, part, unordered, facts]);
  const asked = useMemo(
    () => ways.map(({ label, layers }) => ({ label, facts: withPiece(facts, withPart(piece, part.id, { layers: [...layers] })) })),
    [ways, facts, piece, part],
  );
  const priced = usePricedWays(asked, piece.id);
  const noHeat = whyNoHeat(piece, part, unordered, facts);
  return (
    <FoldingSheet title="No order can be masked" className="!p-4 border-t-4 !border-t-ink">
      <p className="mt-1">Each of these colours would have to go under tape before the other, and neither ever takes it. The ways on:</p>
      <ul className="mt-1">
        {ways.map(({ label, note, layers }, index) => (
          <PricedWayRow
            key={label}
            label={label}
            note={note}
            priced={priced[index]}
            onTake={() => void save(withPart(piece, part.id, { layers: [...layers] }), 'Taken. The plan has moved.')}
          />
        ))}
      </ul>
      {noHeat && <p className="second mt-2 text-small">Set by heat, one of them would take tape. Not here: {noHeat}</p>}
    </FoldingSheet>
  );
}
