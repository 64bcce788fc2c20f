import type { Piece } from '#core/facts/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { FindingCard } from '../../../views/FindingCard.tsx';

/** What was found that no step of one's own is about: at the step where it shows, with its time. */
export function OtherFindings({ piece }: { piece: Piece }) {
  const { findings, stepById } = usePlan();
  const words = useWords();
  const others = findings.filter(({ pieceId, taskId }) => pieceId === piece.id && !taskId);
  if (others.length === 0) return null;
  return (
    <section className="mt-5" aria-label="What else was found">
      <h3 className="font-[650] text-ink">In the rest of the plan</h3>
      {others.map((finding) => {
        const step = stepById.get(finding.step);
        const title = [step?.title, step?.placed ? words.moment(step.placed.start) : ''].filter(Boolean).join(' · ');
        return <FindingCard key={`${finding.rule} ${finding.step} ${finding.because}`} finding={finding} piece={piece} title={title} />;
      })}
    </section>
  );
}
