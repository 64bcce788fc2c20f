import type { BudgetState } from '#core/plan/index';
import { counted, listed, localMoment } from '#core/units/index';
import { useState } from 'react';
import { Link } from 'react-router';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { BudgetBar } from '../../../views/drawn/BudgetBar.tsx';
import { MoneyField } from '../../../views/fields/MoneyField.tsx';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { NewBudget } from './NewBudget.tsx';

/** Every budget as one bar, of a piece, of several or of a month; over by money and per cent, said before the till. */
export function Budgets() {
  const { plan, pieceById, workshop } = usePlan();
  const [adding, setAdding] = useState(false);
  const thisMonth = localMoment(plan.now, workshop.timeZone).date.slice(0, 7);
  const held = plan.budgets.filter(({ budget }) => isStanding(budget, thisMonth, (id) => pieceById.has(id)));
  const over = held.filter((state) => state.over > 0);
  const shared = held.filter((state) => state.over === 0 && isShared(state));
  const within = held.filter((state) => state.over === 0 && !isShared(state));
  return (
    <section className="sheet" aria-label="Budgets">
      <div className="flex items-baseline justify-between">
        <h2>Budgets</h2>
        <button type="button" className="linklike min-h-9 text-small" aria-expanded={adding} onClick={() => setAdding(!adding)}>
          {adding ? 'not now' : 'another'}
        </button>
      </div>
      {adding && <NewBudget onKept={() => setAdding(false)} />}
      <Bars held={[...over, ...shared]} />
      {within.length > 0 && (
        <details className="mt-3" open={within.length === held.length && held.length < 4}>
          <summary className="min-h-9 cursor-pointer">{counted(within.length, 'piece')} within their budget</summary>
          <Bars held={within} />
        </details>
      )}
      {held.length === 0 && !adding && (
        <p className="second mt-1">None yet. One may hold for a piece, for several together, or for all that is spent in a month.</p>
      )}
    </section>
  );
}

function isShared({ budget }: BudgetState): boolean {
  return budget.pieceIds?.length !== 1;
}

/** A month that is over and a piece that is gone hold nothing any more. */
function isStanding({ pieceIds, month }: BudgetState['budget'], thisMonth: string, isHere: (pieceId: string) => boolean): boolean {
  return pieceIds ? pieceIds.some(isHere) : (month ?? '') >= thisMonth;
}

function Bars({ held }: { held: readonly BudgetState[] }) {
  return (
    <ul className="mt-2 space-y-4">
      {held.map((state) => (
        <BudgetRow key={state.budget.id} state={state} />
      ))}
    </ul>
  );
}

function BudgetRow({ state }: { state: BudgetState }) {
  const { pieceById } = usePlan();
  const { save, remove } = useSaving();
  const words = useWords();
  const { budget } = state;
  const names = listed((budget.pieceIds ?? []).flatMap((id) => pieceById.get(id)?.name ?? []));
  const title = budget.name ?? (budget.month === undefined ? names : words.month(budget.month));
  return (
    <li>
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        {budget.pieceIds?.length === 1 ? (
          <Link to={`/pieces/${budget.pieceIds[0]}/money`} className="font-[650] text-ink">
            {title}
          </Link>
        ) : (
          <span className="font-[650] text-ink">{title}</span>
        )}
        <span className="figure">
          {words.money(state.total, state.about)} of {words.money(budget.amount)}
        </span>
      </div>
      {budget.name !== undefined && <p className="second text-small">{budget.month === undefined ? names : words.month(budget.month)}</p>}
      <div className="mt-1">
        <BudgetBar money={{ ...state, budget: budget.amount }} />
      </div>
      {isShared(state) && (
        <details className="text-small">
          <summary className="second min-h-9 cursor-pointer">change</summary>
          <div className="flex items-end gap-2">
            <MoneyField
              label="May be spent"
              value={budget.amount}
              onKeep={(amount) => amount !== undefined && void save('budgets', { ...budget, amount }, 'Budget set.')}
            />
            <RemoveButton what={`the budget ${title}`} onRemove={() => void remove('budgets', budget.id, 'No budget there any more.')} />
          </div>
        </details>
      )}
    </li>
  );
}
