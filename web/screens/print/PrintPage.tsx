import { Link, useParams, useSearchParams } from 'react-router';
import { Lost } from '../../app/shell/Lost.tsx';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { Estimate } from './Estimate.tsx';
import { JobCard } from './JobCard.tsx';
import { Labels } from './Labels.tsx';

/** The section each paper belongs to. */
const BACK_TO = { card: 'strip', labels: 'survey', estimate: 'money' } as const;
type Paper = keyof typeof BACK_TO;

function isPaper(what: string): what is Paper {
  return Object.hasOwn(BACK_TO, what);
}

/** Paper for the bench: a job card of one part, labels for the bags; and an estimate for whoever it belongs to. */
export function PrintPage() {
  const { pieceId = '', what = '' } = useParams();
  const [params] = useSearchParams();
  const { pieceById, pieceViewById } = usePlan();
  const piece = pieceById.get(pieceId);
  const part = piece?.parts.find((own) => own.id === params.get('part')) ?? piece?.parts[0];
  const view = pieceViewById.get(pieceId);
  if (!piece || !part || !isPaper(what)) return <Lost />;
  if (!view) return <p className="second text-lead">{piece.name} is being planned …</p>;
  return (
    <div className="mx-auto max-w-4xl">
      <p className="noprint mb-4 flex items-center gap-4">
        <button type="button" className="act" data-first="true" onClick={() => print()}>
          Print
        </button>
        <Link className="linklike" to={`/pieces/${piece.id}/${BACK_TO[what]}`}>
          Back to {piece.name}
        </Link>
      </p>
      {what === 'card' && <JobCard piece={piece} part={part} />}
      {what === 'labels' && <Labels piece={piece} />}
      {what === 'estimate' && <Estimate piece={piece} view={view} />}
    </div>
  );
}
