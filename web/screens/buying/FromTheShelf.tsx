import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

/** What stands on the shelf of each paint that is planned, and whether a touch-up jar is left. */
export function FromTheShelf() {
  const { plan } = usePlan();
  const words = useWords();
  return (
    <FoldingSheet title="What the shelf covers">
      <ul className="mt-2 space-y-1">
        {plan.needs.map((need) => (
          <li key={need.mix}>
            <span className="flex justify-between gap-3">
              <span>{need.name}</span>
              <span className="figure">
                {words.volume(Math.min(need.shelfMl, need.neededMl))} of {words.volume(need.neededMl)}
              </span>
            </span>
            {need.toMixMl > 0 && <span className="second block text-small">{words.volume(need.toMixMl)} is mixed from its paints</span>}
            {need.jarMl < need.keptMl && (
              <span className="second block text-small">
                leaves {words.volume(need.jarMl)} for touch-up, not {words.volume(need.keptMl)}
              </span>
            )}
          </li>
        ))}
      </ul>
      {plan.needs.length === 0 && <p className="second">No coat is planned.</p>}
    </FoldingSheet>
  );
}
