import type { ProvenPurchases } from '#core/buying/index';
import type { Facts } from '#core/facts/index';
import { NO_TURNS, type Turns } from '#core/schedule/index';
import { createContext, type RefObject, useContext, useEffect, useState } from 'react';
import type { Better, Looked } from '../../workers/plan.worker.ts';
import { planner } from '../../workers/planner.ts';

/** Who is still typing is not disturbed by a search for what is about to change. */
const BEGIN_AFTER_MS = 2000;

/** How far the search for a better plan has come, and whether it is over; null: none has begun for these facts. */
const LookedContext = createContext<Looked | null>(null);
export const LookedProvider = LookedContext.Provider;
export const useLooked = () => useContext(LookedContext);

/**
 * Looks for a better plan whenever the facts have changed, beside the page. At the bench the plan stays as it was found, and so it
 * does for a stay of so many minutes: nothing jumps under the finger.
 */
export function useBetterPlan(
  facts: Facts,
  wanted: boolean,
  { turns, proven }: { readonly turns: RefObject<Turns | undefined>; readonly proven: RefObject<ProvenPurchases | undefined> },
  onBetter: (better: Better) => void,
): Looked | null {
  const [looked, setLooked] = useState<Looked | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a search belongs to its facts; what is done with its answer may change
  useEffect(() => {
    if (!wanted) return;
    let current = true;
    // What is told travels beside the answer and may come after it.
    let over = false;
    const timer = setTimeout(() => {
      const tell = (now: Looked) => {
        if (current && !over) setLooked(now);
      };
      void planner.better(facts, Date.now() / 60_000, turns.current, proven.current, tell).then((better) => {
        if (!current) return;
        over = true;
        setLooked((now) => now && { ...now, over: true });
        turns.current = better?.turns ?? turns.current ?? NO_TURNS;
        if (better) onBetter(better);
      });
    }, BEGIN_AFTER_MS);
    return () => {
      current = false;
      clearTimeout(timer);
      setLooked(null);
    };
  }, [facts, wanted]);
  return looked;
}
