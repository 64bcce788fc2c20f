import { buyingKey, buyingProblem, type ProvenPurchases } from '#core/buying/index';
import type { PlanView } from '#core/plan/index';
import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from 'react';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { useProvenPurchases } from '../../app/plan/useProvenPurchases.ts';
import { planner } from '../../workers/planner.ts';

const Context = createContext<PlanView | null>(null);

/** The plan the list is made from: of all pieces, or of those it is made for. */
export function useListPlan(): PlanView {
  const own = useContext(Context);
  const { plan } = usePlan();
  return own ?? plan;
}

/** A list for some pieces alone, planned and bought as if there were no others; null: for all of them. */
export function ListPlan({ pieceIds, children }: { pieceIds: readonly string[] | null; children: ReactNode }) {
  const { facts } = usePlan();
  const [found, setFound] = useState<PlanView | null>(null);
  const [proven, setProven] = useState<ProvenPurchases | null>(null);
  useEffect(() => {
    setFound(null);
    if (pieceIds === null) return;
    let current = true;
    void planner.planFor(facts, nowMinute(), pieceIds).then((plan) => current && setFound(plan));
    return () => {
      current = false;
    };
  }, [facts, pieceIds]);
  const plan = useMemo(() => {
    if (!found || !proven || proven.key !== buyingKey(buyingProblem(found.wants, facts, found.now))) return found;
    return { ...found, purchases: proven.purchases };
  }, [found, proven, facts]);
  useProvenPurchases(plan && { plan, facts }, setProven);
  if (pieceIds !== null && plan === null) return <p className="mt-4">Planning them by themselves …</p>;
  return <Context value={pieceIds === null ? null : plan}>{children}</Context>;
}
