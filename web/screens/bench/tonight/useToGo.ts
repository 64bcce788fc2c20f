import type { PlannedStep, PlanView } from '#core/plan/index';
import { listedShort } from '#core/units/index';
import { useEffect, useRef, useState } from 'react';

export type ToGo = {
  /** Steps of the evening as it was begun, and what a fault, a failed check or an edit has added since. */
  readonly left: number;
  /** Work of later days that fits in besides. */
  readonly more: number;
  /** What was added since the bench was opened, in words; empty where nothing was. */
  readonly added: string;
};

/** How much of the evening is left: it rises only by what was added, and that is said; what is drawn forward counts apart. */
export function useToGo(steps: readonly PlannedStep[], plan: PlanView): ToGo {
  const begun = useRef<{ tonight: Set<string>; known: Set<string> } | null>(null);
  const [added, setAdded] = useState('');
  if (begun.current === null && steps.length > 0)
    begun.current = { tonight: new Set(steps.flatMap(({ keys }) => keys)), known: new Set(plan.steps.flatMap(({ keys }) => keys)) };
  useEffect(() => {
    const { tonight, known } = begun.current ?? { tonight: new Set<string>(), known: new Set<string>() };
    const fresh = plan.steps.filter((step) => !step.keys.some((key) => known.has(key)));
    for (const key of fresh.flatMap(({ keys }) => keys)) known.add(key);
    const here = fresh.filter((step) => steps.some((own) => own.id === step.id));
    for (const key of here.flatMap(({ keys }) => keys)) tonight.add(key);
    if (here.length > 0)
      setAdded(
        `Added: ${listedShort(
          here.map(({ title }) => title),
          3,
        )}.`,
      );
  }, [steps, plan]);
  const left = steps.filter((step) => step.keys.some((key) => begun.current?.tonight.has(key))).length;
  return { left, more: steps.length - left, added };
}
