import { resolveLayer } from '#core/coats/index';
import type { Role } from '#core/facts/index';
import type { WhereNow } from '#core/plan/index';
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
  productId,
  problem,
  onSince,
  onProduct,
}: {
  whereNow: WhereNow;
  since: number | null;
  productId: string;
  problem?: string;
  onSince: (at: number | null) => void;
  onProduct: (id: string) => void;
}) {
  const { facts } = usePlan();
  const roles = ROLES[whereNow];
  if (!roles) return null;
  const products = facts.products.filter(({ id }) =>
    roles.includes(resolveLayer({ id, productId: id, coats: 1, covers: 'all' }, facts).role),
  );
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      <MomentField label="Last coat went on" value={since} onChange={onSince} problem={problem} />
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
