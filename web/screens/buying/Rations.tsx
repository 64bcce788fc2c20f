import { capital } from '#core/units/index';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { moreText, reachText, thinText } from '../../views/words/rationText.ts';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

/** Paint that barely stretches or does not, before it is mixed or shaken: how far it reaches, where to thin it out, what more costs. */
export function Rations() {
  const { plan, pieceById } = usePlan();
  const words = useWords();
  if (plan.rations.length === 0) return null;
  return (
    <FoldingSheet title="Paint that runs short, or nearly">
      <ul>
        {plan.rations.map((ration) => {
          const more = moreText(ration, words);
          return (
            <li key={ration.mix} className="border-b border-hairline py-2">
              <p className="flex justify-between gap-3">
                <span className="font-[650] text-ink">{ration.name}</span>
                <span className="figure">
                  {words.volume(ration.reach.haveMl)} of {words.volume(ration.reach.needMl)}
                </span>
              </p>
              <p>{capital(reachText(ration, words))}.</p>
              {[thinText(ration, pieceById, words), more && capital(more)].map(
                (text) =>
                  text && (
                    <p key={text} className="second text-small">
                      {text}
                    </p>
                  ),
              )}
            </li>
          );
        })}
      </ul>
    </FoldingSheet>
  );
}
