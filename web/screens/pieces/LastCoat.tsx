import { resolveLayer } from '#core/coats/index';
import type { Role } from '#core/facts/index';
import type { WhereNow } from '#core/plan/index';
import { useState } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { MomentField } from '../../views/fields/MomentField.tsx';

const ROLES: Partial<Record<WhereNow, readonly Role[]>> = {
  primed: ['primer', 'fine-primer', 'filler-primer'],
  coloured: ['colour', 'metallic'],
  cleared: ['clear'],
};

/** For a piece that is already coated: when the last coat went on and what it was. The clock runs from there. */
export function LastCoat({
  whereNow,
  since,
  earliest,
  productId,
  problem,
  earliestProblem,
  onSince,
  onEarliest,
  onProduct,
}: {
  whereNow: WhereNow;
  since: number | null;
  /** The earlier of two moments it may have been; null: the day is known. */
  earliest: number | null;
  productId: string;
  problem?: string;
  earliestProblem?: string;
  onSince: (at: number | null) => void;
  onEarliest: (at: number | null) => void;
  onProduct: (id: string) => void;
}) {
  const { facts } = usePlan();
  const [doubtful, setDoubtful] = useState(earliest !== null);
  const roles = ROLES[whereNow];
  if (!roles) return null;
  const products = facts.products.filter(({ id }) =>
    roles.includes(resolveLayer({ id, productId: id, coats: 1, covers: 'all' }, facts).role),
  );
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      <div className="space-y-2">
        {doubtful && <MomentField label="Some time between" value={earliest} onChange={onEarliest} problem={earliestProblem} />}
        <MomentField label={doubtful ? 'and' : 'Last coat went on'} value={since} onChange={onSince} problem={problem} />
        <button
          type="button"
          className="linklike min-h-9 text-small"
          aria-pressed={doubtful}
          onClick={() => {
            setDoubtful(!doubtful);
            if (doubtful) onEarliest(null);
          }}
        >
          {doubtful ? 'the day is known' : 'not sure of the day'}
        </button>
      </div>
      <label className="block">
        <span className="mb-1 block font-[650] text-ink">With what</span>
        <select className="field" value={productId} onChange={(event) => onProduct(event.target.value)}>
          <option value="">not known, the usual for it</option>
          {products.map((product) => (
            <option key={product.id} value={product.id}>
              {product.name}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
