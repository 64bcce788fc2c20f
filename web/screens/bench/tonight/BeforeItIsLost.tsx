import { keepingOf, shelfCans } from '#core/buying/index';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { usePlan } from '../../../app/plan/PlanContext.tsx';

/** Cans that frost will ruin, and those past their day that a plan counts on: said the evening before, not at the shelf. */
export function BeforeItIsLost() {
  const { facts, plan, conditions } = usePlan();
  const cans = useMemo(() => {
    const keeping = keepingOf(facts, conditions, plan.now);
    const planned = new Set(plan.needs.map(({ productId }) => productId));
    return shelfCans(facts).flatMap((can) => {
      const said = (keeping.get(can.id) ?? []).find(
        ({ kind }) => kind === 'frost' || ((kind === 'expired' || kind === 'stale') && planned.has(can.productId)),
      );
      const name = facts.products.find(({ id }) => id === can.productId)?.name;
      return said && name ? [{ id: can.id, name, text: said.text }] : [];
    });
  }, [facts, conditions, plan.now, plan.needs]);
  if (cans.length === 0) return null;
  return (
    <section className="sheet" aria-label="Before it is lost">
      <h2>Before it is lost</h2>
      <ul>
        {cans.map(({ id, name, text }) => (
          <li key={id} className="mt-1">
            <Link className="font-[650] hover:underline" to="/shelf">
              {name}
            </Link>
            : {text}
          </li>
        ))}
      </ul>
    </section>
  );
}
