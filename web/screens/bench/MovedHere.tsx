import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';

const MOST_SAID = 3;

/** What stands in another stay than was agreed, the nearest first, with what holds it. */
export function MovedHere() {
  const { plan, stepById, pieceById } = usePlan();
  const words = useWords();
  const moved = [...plan.moved].sort((a, b) => Math.min(a.from, a.to) - Math.min(b.from, b.to));
  if (moved.length === 0) return null;
  return (
    <section className="sheet" aria-label="Moved since agreed">
      <h2>Moved since you agreed</h2>
      <ul className="mt-2 space-y-2">
        {moved.slice(0, MOST_SAID).map((move) => {
          const step = stepById.get(move.stepId);
          return (
            <li key={move.stepId}>
              <strong className="font-[650]">
                {pieceById.get(step?.pieceId ?? '')?.name}: {step?.title}
              </strong>{' '}
              {words.moment(move.to)}, not {words.moment(move.from)}. <span className="second">{move.why}.</span>
            </li>
          );
        })}
      </ul>
      {moved.length > MOST_SAID && <p className="second mt-2 text-small">{moved.length - MOST_SAID} more on the drying board.</p>}
    </section>
  );
}
