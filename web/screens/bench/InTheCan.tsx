import { leftOnShelf } from '#core/buying/index';
import type { PlannedStep } from '#core/plan/index';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';

/** What a coat takes, and what there is of its paint: the same rest as on the shelf. */
export function InTheCan({ batch }: { batch: readonly PlannedStep[] }) {
  const { facts } = usePlan();
  const words = useWords();
  const coats = batch.flatMap(({ coat }) => (coat ? [coat] : []));
  const left = coats[0]?.productId === undefined ? undefined : leftOnShelf(facts).get(coats[0].productId);
  if (left === undefined) return null;
  const takes = coats.reduce((sum, { ml }) => sum + ml, 0);
  return (
    <p className="mt-2 text-[15px] text-[#d0d0d0]">
      Takes <span className="figure">{words.volume(takes)}</span>; <span className="figure">{words.volume(left)}</span> left of{' '}
      {coats[0].name}.
    </p>
  );
}
