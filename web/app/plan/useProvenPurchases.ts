import { buyingKey, buyingProblem, type ProvenPurchases } from '#core/buying/index';
import type { Facts } from '#core/facts/index';
import type { PlanView } from '#core/plan/index';
import { useEffect, useMemo } from 'react';
import { askBuyer } from '../../workers/buyer.ts';

/** Who is still typing is not bought for. */
const BEGIN_AFTER_MS = 1500;

/**
 * Has the purchases of a plan proven the cheapest in a worker of its own. When what is needed changes, the question that is still
 * open is dropped with its worker: a solver cannot be interrupted.
 */
export function useProvenPurchases(
  shown: { readonly plan: PlanView; readonly facts: Facts } | null,
  onProven: (proven: ProvenPurchases) => void,
): void {
  const key = useMemo(() => {
    if (!shown || shown.plan.purchases.proven) return null;
    const problem = buyingProblem(shown.plan.wants, shown.facts, shown.plan.now);
    return problem.needs.length > 0 ? buyingKey(problem) : null;
  }, [shown]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says whether the question is another one
  useEffect(() => {
    if (!shown || key === null) return;
    const { plan, facts } = shown;
    let drop: () => void = () => undefined;
    const timer = setTimeout(() => {
      const asked = askBuyer((buyer) => buyer.buy(plan.wants, facts, plan.now));
      drop = asked.drop;
      // Without an answer the plan keeps the purchases it has, and says that they are not proven.
      asked.answer.then(onProven, () => undefined);
    }, BEGIN_AFTER_MS);
    return () => {
      clearTimeout(timer);
      drop();
    };
  }, [key]);
}
