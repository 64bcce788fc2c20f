import { openGuesses } from '#core/survey/index';
import type { SharpenQuestion } from '#core/plan/index';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { planner } from '../../../workers/planner.ts';

/** The one open guess that matters most, answered in one press. */
export function WorthAMinute() {
  const { facts, plan } = usePlan();
  const { save } = useSaving();
  const [asked, setAsked] = useState<{ question: SharpenQuestion; pieceId: string; name: string } | null>(null);
  const unsure = facts.pieces.find((piece) => !piece.finished && openGuesses(piece).length > 0);
  useEffect(() => {
    let current = true;
    setAsked(null);
    if (!unsure) return;
    planner.sharpen(facts, plan.now, unsure).then(([question]) => {
      if (current && question) setAsked({ question, pieceId: unsure.id, name: unsure.name });
    });
    return () => {
      current = false;
    };
  }, [unsure, facts, plan.now]);
  if (!asked) return null;
  return (
    <section className="sheet" aria-label="Worth a minute">
      <h2>Worth a minute</h2>
      <p className="mt-2">
        <Link className="font-[650] hover:underline" to={`/pieces/${asked.pieceId}/survey`}>
          {asked.name}
        </Link>
        : {asked.question.question} {asked.question.stake}
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        {asked.question.answers.map((answer) => (
          <button
            key={answer.label}
            type="button"
            className="act !min-h-10 !px-3"
            onClick={() => void save('pieces', answer.piece, 'Noted. The plan has moved.')}
          >
            {answer.label}
          </button>
        ))}
      </div>
    </section>
  );
}
