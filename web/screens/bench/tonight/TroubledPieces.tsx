import type { PlannedStep } from '#core/plan/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';

/** Of several pieces in one batch, those that the fault is seen on. */
export function TroubledPieces({
  steps,
  spared,
  onSpared,
}: {
  steps: readonly PlannedStep[];
  spared: readonly string[];
  onSpared: (ids: readonly string[]) => void;
}) {
  const { pieceById } = usePlan();
  const toggle = (id: string) => {
    const next = spared.includes(id) ? spared.filter((own) => own !== id) : [...spared, id];
    if (next.length < steps.length) onSpared(next);
  };
  return (
    <fieldset className="mt-3">
      <legend className="mb-2 text-lead">On which?</legend>
      <div className="flex flex-wrap gap-2">
        {steps.map(({ id, pieceId, pegs }) => (
          <button
            key={id}
            type="button"
            aria-pressed={!spared.includes(id)}
            className={`min-h-14 rounded-[3px] border px-3 text-[16px] ${spared.includes(id) ? 'border-[#8a8a8a] text-[#b4b4b4] line-through' : 'border-white font-[650]'}`}
            onClick={() => toggle(id)}
          >
            {pieceById.get(pieceId)?.name}
            {pegs.length > 0 && ` (${pegs.join(', ')})`}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
