import type { Piece } from '#core/facts/index';
import type { SharpenQuestion } from '#core/plan/index';
import { useEffect, useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { planner } from '../../../workers/planner.ts';
import { usePieceSave } from '../pieceChanges.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** The three guesses that matter most, each answered in one press. */
export function Sharpen({ piece }: { piece: Piece }) {
  const { facts, plan } = usePlan();
  const save = usePieceSave();
  const [questions, setQuestions] = useState<SharpenQuestion[] | null>(null);
  useEffect(() => {
    let current = true;
    planner.sharpen(facts, plan.now, piece).then((asked) => current && setQuestions(asked));
    return () => {
      current = false;
    };
  }, [piece, facts, plan.now]);
  return (
    <FoldingSheet title="Sharpen the plan" className="!p-4">
      {questions === null && <p className="second mt-2">Weighing the guesses …</p>}
      {questions?.length === 0 && <p className="second mt-2">The open guesses change nothing that matters.</p>}
      <ol className="mt-2 space-y-3">
        {questions?.slice(0, 3).map((asked) => (
          <li key={asked.guess}>
            <p>{asked.question}</p>
            <p className="second text-small">{asked.stake}</p>
            <div className="mt-2 flex flex-wrap gap-2">
              {asked.answers.map((answer) => (
                <button
                  key={answer.label}
                  type="button"
                  className="chip !min-h-10"
                  onClick={() => void save(answer.piece, 'Noted. The plan has moved.')}
                >
                  {answer.label}
                </button>
              ))}
            </div>
          </li>
        ))}
      </ol>
    </FoldingSheet>
  );
}
