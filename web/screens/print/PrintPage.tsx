import { Link, useParams, useSearchParams } from 'react-router';
import { Lost } from '../../app/Lost.tsx';
import { usePlan } from '../../app/PlanContext.tsx';
import { JobCard } from './JobCard.tsx';
import { Labels } from './Labels.tsx';

/** Paper for the bench: a job card of one part, or labels for the bags. */
export function PrintPage() {
  const { pieceId = '', what = '' } = useParams();
  const [params] = useSearchParams();
  const { pieceById } = usePlan();
  const piece = pieceById.get(pieceId);
  const part = piece?.parts.find((own) => own.id === params.get('part')) ?? piece?.parts[0];
  if (!piece || !part || (what !== 'card' && what !== 'labels')) return <Lost />;
  return (
    <div className="mx-auto max-w-4xl">
      <p className="noprint mb-4 flex items-center gap-4">
        <button type="button" className="act" data-first="true" onClick={() => print()}>
          Print
        </button>
        <Link className="linklike" to={`/pieces/${piece.id}/${what === 'card' ? 'strip' : 'survey'}`}>
          Back to {piece.name}
        </Link>
      </p>
      {what === 'card' ? <JobCard piece={piece} part={part} /> : <Labels piece={piece} />}
    </div>
  );
}
