import { usePlan } from '../../app/plan/PlanContext.tsx';

/** Whom the list is for: everybody, or some pieces. */
export function ListFor({
  chosen,
  onChange,
}: {
  /** Null: all. */
  chosen: readonly string[] | null;
  onChange: (chosen: readonly string[] | null) => void;
}) {
  const { facts, plan } = usePlan();
  const buying = new Set(plan.wants.flatMap(({ byPiece }) => byPiece.map(({ pieceId }) => pieceId)));
  const pieces = facts.pieces.filter(({ id }) => buying.has(id));
  if (pieces.length < 2) return null;
  const toggle = (id: string) => {
    const next = (chosen ?? []).includes(id) ? (chosen ?? []).filter((own) => own !== id) : [...(chosen ?? []), id];
    onChange(next.length === 0 ? null : next);
  };
  return (
    <fieldset className="noprint mt-2 flex flex-wrap items-center gap-1.5">
      <legend className="sr-only">Whom the list is for</legend>
      <button type="button" className="chip !min-h-9" aria-pressed={chosen === null} onClick={() => onChange(null)}>
        all pieces
      </button>
      {pieces.map(({ id, name }) => (
        <button key={id} type="button" className="chip !min-h-9" aria-pressed={chosen?.includes(id) ?? false} onClick={() => toggle(id)}>
          {name}
        </button>
      ))}
      {chosen && <span className="second text-small">as if there were no others: what these take of the shelf is gone for them</span>}
    </fieldset>
  );
}
