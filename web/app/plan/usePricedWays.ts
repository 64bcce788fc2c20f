import type { PricedWay, Way } from '#core/plan/index';
import { useEffect, useState } from 'react';
import { planner } from '../../workers/planner.ts';
import { usePlan } from './PlanContext.tsx';

/** Ways for one piece, each planned to the end beside the others; empty while they are planned. @param ways kept the same while they are */
export function usePricedWays(ways: readonly Way[], pieceId: string): readonly PricedWay[] {
  const { plan } = usePlan();
  const [priced, setPriced] = useState<readonly PricedWay[]>([]);
  useEffect(() => {
    if (ways.length === 0) return;
    let current = true;
    planner.ways(ways, pieceId, plan.now).then((answer) => current && setPriced(answer));
    return () => {
      current = false;
    };
  }, [ways, pieceId, plan.now]);
  return ways.length === 0 ? [] : priced;
}
