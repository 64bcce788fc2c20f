import type { Facts } from '#core/facts/index';
import { useEffect, useRef, useState } from 'react';
import { usePlan } from './PlanContext.tsx';

export type Trials<T> = {
  readonly of: Facts;
  readonly tried: readonly T[];
  readonly state: 'trying' | 'done' | 'stopped' | 'failed';
};

/**
 * Plans that might be, asked for one by one and shown as they come, until there are no more or somebody says that is enough. An answer
 * of other facts would be a wrong one: it is not shown.
 */
export function useTrials<T>(ask: (number: number) => Promise<T | null>): {
  readonly search: Trials<T> | null;
  readonly look: () => Promise<void>;
  readonly stop: () => void;
} {
  const { facts } = usePlan();
  const [last, setLast] = useState<Trials<T> | null>(null);
  const newest = useRef({ facts, asked: 0 });
  newest.current.facts = facts;
  useEffect(() => {
    const { current } = newest;
    return () => {
      current.asked++;
    };
  }, []);

  const stop = () => {
    newest.current.asked++;
    setLast((now) => now && { ...now, state: 'stopped' });
  };
  const look = async () => {
    const own = ++newest.current.asked;
    const isNewest = () => newest.current.asked === own && newest.current.facts === facts;
    let tried: readonly T[] = [];
    const show = (state: Trials<T>['state']) => isNewest() && setLast({ of: facts, tried, state });
    show('trying');
    try {
      for (let number = 0; isNewest(); number++) {
        const next = await ask(number);
        if (!next) break;
        tried = [...tried, next];
        show('trying');
      }
      show('done');
    } catch {
      show('failed');
    }
  };
  return { search: last?.of === facts ? last : null, look, stop };
}
