import { Link } from 'react-router';
import { usePlan } from '../../../app/plan/PlanContext.tsx';

/** Coats that free stays were meant for and the air forbids, by piece: what no free hour will change. */
export function useAirHolds(): readonly { readonly pieceId: string; readonly name: string; readonly notes: readonly string[] }[] {
  const { plan, pieceById } = usePlan();
  return plan.pieces.flatMap(({ pieceId, airNotes }) => {
    const piece = pieceById.get(pieceId);
    return piece && !piece.finished && airNotes.length > 0 ? [{ pieceId, name: piece.name, notes: airNotes }] : [];
  });
}

/** On Tonight: which coats wait for the air, and until when they cannot go on. */
export function AirHolds() {
  const holds = useAirHolds();
  if (holds.length === 0) return null;
  return (
    <section className="sheet" aria-label="The air holds">
      <h2>The air holds</h2>
      <ul className="mt-2 space-y-2">
        {holds.slice(0, 4).map(({ pieceId, name, notes }) => (
          <li key={pieceId}>
            <Link className="font-[650] hover:underline" to={`/pieces/${pieceId}/dates`}>
              {name}
            </Link>
            : {notes.join(' ')}
          </li>
        ))}
      </ul>
    </section>
  );
}
