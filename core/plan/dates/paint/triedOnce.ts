import type { Constraint } from '../../steps/index.ts';
import type { PlannedStep } from '../plannedStep.ts';

/**
 * One scrap serves every part and piece that takes the paint: of the tries of one paint the first that has a date stays, and what
 * stood behind another stands behind what came before that.
 */
export function triedOnce(steps: readonly PlannedStep[]): readonly PlannedStep[] {
  const first = new Map<string, PlannedStep>();
  const tries = steps.flatMap((step) => (step.stage === 'scrap-test' ? [{ step, what: step.batch ?? step.treatment ?? step.id }] : []));
  for (const { step, what } of tries) {
    const known = first.get(what);
    if (step.placed && (!known?.placed || step.placed.start < known.placed.start)) first.set(what, step);
  }
  const spared = new Map(tries.filter(({ step, what }) => (first.get(what) ?? step) !== step).map(({ step }) => [step.id, step] as const));
  if (spared.size === 0) return steps;
  const behind = (constraint: Constraint): readonly Constraint[] => {
    const step = 'step' in constraint.rule ? spared.get(constraint.rule.step) : undefined;
    return step ? step.constraints.flatMap(behind) : [constraint];
  };
  return steps.filter(({ id }) => !spared.has(id)).map((step) => ({ ...step, constraints: step.constraints.flatMap(behind) }));
}
