import type { Piece } from '#core/facts/index';
import { nextLikeIt, type PieceView, type PricedWay } from '#core/plan/index';
import { durationText } from '#core/units/index';
import { useEffect, useState } from 'react';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { planner } from '../../../workers/planner.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** Once it is finished: what it has cost, what it was said to cost when it was added, and what the next one like it should. */
export function CostInTheEnd({ piece, view }: { piece: Piece; view: PieceView }) {
  const { facts } = usePlan();
  const words = useWords();
  const [next, setNext] = useState<PricedWay | null>(null);
  useEffect(() => {
    if (!piece.finished) return;
    let current = true;
    void planner.ways([{ label: piece.name, facts: nextLikeIt(piece, facts) }], piece.id, nowMinute()).then(([priced]) => {
      if (current) setNext(priced ?? null);
    });
    return () => {
      current = false;
    };
  }, [piece, facts]);
  if (!piece.finished) return null;
  const { byUse, committed } = view.money;
  return (
    <FoldingSheet title="What it has cost">
      <dl className="mt-2 grid grid-cols-[1fr_auto] gap-y-1">
        <dt>By what it used, with its parts</dt>
        <dd className="figure text-right">{words.money(byUse)}</dd>
        <dt>Bought for it, leftovers too</dt>
        <dd className="figure text-right">{words.money(committed)}</dd>
        {piece.expected && (
          <>
            <dt>Said when it was added, {durationText(piece.expected.minutes)} at the bench</dt>
            <dd className="figure text-right">{words.money(piece.expected.total)}</dd>
          </>
        )}
        {next && (
          <>
            <dt>The next one like it, {durationText(Math.round(next.minutes))} at the bench</dt>
            <dd className="figure text-right">{words.money(next.byUse, true)}</dd>
          </>
        )}
      </dl>
    </FoldingSheet>
  );
}
