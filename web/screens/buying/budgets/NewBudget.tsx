import { type Budget, budgetSchema } from '#core/facts/index';
import { localMoment, monthsFrom, parseMoney } from '#core/units/index';
import { useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { FormProblem, SmallField, SmallSelect } from '../../../views/fields/SmallField.tsx';

const MONTHS_AHEAD = 6;

/** Money for several pieces together, or for all that is spent in a month. */
export function NewBudget({ onKept }: { onKept: () => void }) {
  const { facts, plan, workshop } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const months = monthsFrom(localMoment(plan.now, workshop.timeZone).date.slice(0, 7), MONTHS_AHEAD);
  const [holds, setHolds] = useState<'pieces' | 'month'>('pieces');
  const [month, setMonth] = useState(months[0]);
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [typed, setTyped] = useState({ name: '', amount: '' });
  const [problems, setProblems] = useState<{ amount?: string; pieces?: string; whole?: string }>({});
  const pieces = facts.pieces.filter(({ board }) => !board);
  const keep = async () => {
    const amount = parseMoney(typed.amount, workshop.currency);
    const lacks = {
      ...(amount.ok ? {} : { amount: amount.mend }),
      ...(holds === 'pieces' && chosen.length === 0 ? { pieces: 'Choose the pieces it is for.' } : {}),
    };
    setProblems(lacks);
    if (!amount.ok || Object.keys(lacks).length > 0) return;
    const budget: Budget = {
      id: newId(),
      ...(typed.name.trim() ? { name: typed.name.trim() } : {}),
      ...(holds === 'pieces' ? { pieceIds: [...chosen] } : { month }),
      amount: amount.value,
    };
    if (facts.budgets.some((own) => isSame(own, budget)))
      return setProblems({ whole: 'There is a budget for just that already: change it where it stands.' });
    const wrong = budgetSchema.safeParse(budget).error?.issues[0];
    if (wrong) return setProblems({ whole: wrong.message });
    if (await save('budgets', budget, 'Budget set.')) onKept();
  };
  return (
    <form
      className="mt-2 space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <div className="flex flex-wrap items-end gap-2">
        <SmallSelect
          label="For"
          width="!w-40"
          value={holds}
          options={[
            { value: 'pieces', label: 'these pieces' },
            { value: 'month', label: 'a month' },
          ]}
          onChange={setHolds}
        />
        {holds === 'month' && (
          <SmallSelect
            label="Month"
            width="!w-44"
            value={month}
            options={months.map((own) => ({ value: own, label: words.month(own) }))}
            onChange={setMonth}
          />
        )}
      </div>
      {holds === 'pieces' && (
        <fieldset className="flex flex-wrap gap-1.5">
          <legend className="sr-only">Pieces it is for</legend>
          {pieces.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              className="chip !min-h-9"
              aria-pressed={chosen.includes(id)}
              onClick={() => setChosen(chosen.includes(id) ? chosen.filter((own) => own !== id) : [...chosen, id])}
            >
              {name}
            </button>
          ))}
        </fieldset>
      )}
      <FormProblem text={problems.pieces ?? ''} />
      <div className="flex flex-wrap items-end gap-2">
        <SmallField label="Called, if you like" width="!w-44" value={typed.name} onText={(name) => setTyped({ ...typed, name })} />
        <SmallField
          label={`May be spent, ${workshop.currency}`}
          width="!w-28"
          inputMode="decimal"
          problem={problems.amount}
          value={typed.amount}
          onText={(amount) => setTyped({ ...typed, amount })}
        />
        <button type="submit" className="act !min-h-10">
          Set
        </button>
      </div>
      <FormProblem text={problems.whole ?? ''} />
    </form>
  );
}

function isSame(one: Budget, other: Budget): boolean {
  const ids = ({ pieceIds = [] }: Budget) => [...pieceIds].sort().join(' ');
  return one.month === other.month && ids(one) === ids(other);
}
