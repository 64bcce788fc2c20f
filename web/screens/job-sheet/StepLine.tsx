import type { PlannedStep } from '#core/plan/index';
import { useWords } from '../../app/useWords.ts';

/** A planned step in a list: what it is, how long it takes and when; with how it is done where that is asked. */
export function StepLine({ step, detailed = false }: { readonly step: PlannedStep; readonly detailed?: boolean }) {
  const words = useWords();
  return (
    <li className="flex justify-between gap-3 leading-snug">
      <span>
        {step.title}
        {detailed && step.detail && <span className="second block text-small">{step.detail}</span>}
      </span>
      <span className="figure text-right">
        {step.minutes} min
        <span className="second block">{step.placed ? words.moment(step.placed.start) : 'no date'}</span>
      </span>
    </li>
  );
}
