import type { PieceView } from '#core/plan/index';
import { counted } from '#core/units/index';
import { Link } from 'react-router';
import { usePlan } from '../../app/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';
import { BudgetBar } from '../../views/BudgetBar.tsx';

/** Every piece with a budget as one bar; over by money and per cent, said before the till. */
export function Budgets() {
  const { plan } = usePlan();
  const held = plan.pieces.filter(({ money }) => money.budget !== null).sort((a, b) => b.money.over - a.money.over);
  const within = held.filter(({ money }) => money.over === 0);
  if (held.length === 0) return null;
  return (
    <section className="sheet" aria-label="Budgets">
      <h2>Budgets</h2>
      <Bars held={held.filter(({ money }) => money.over > 0)} />
      {within.length > 0 && (
        <details className="mt-3" open={within.length === held.length && held.length < 4}>
          <summary className="min-h-9 cursor-pointer">{counted(within.length, 'piece')} within their budget</summary>
          <Bars held={within} />
        </details>
      )}
    </section>
  );
}

function Bars({ held }: { held: readonly PieceView[] }) {
  const { pieceById } = usePlan();
  const words = useWords();
  return (
    <ul className="mt-2 space-y-4">
      {held.map(({ pieceId, money }) => (
        <li key={pieceId}>
          <p className="flex justify-between gap-3">
            <Link to={`/pieces/${pieceId}/money`} className="font-[650] text-ink">
              {pieceById.get(pieceId)?.name}
            </Link>
            <span className="figure">
              {words.money(money.total, money.about)} of {words.money(money.budget ?? 0)}
            </span>
          </p>
          <div className="mt-1">
            <BudgetBar money={money} />
          </div>
        </li>
      ))}
    </ul>
  );
}
