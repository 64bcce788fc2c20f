import type { Raw, Upgrade } from './types.ts';

/** Version 7: a piece's budget becomes one of the budgets; lots and prices of what is no paint may be kept, and there were none. */
export const from6: Upgrade = {
  fact: (collection, fact) => (collection === 'pieces' ? withoutBudget(fact) : fact),
  event: (event) => event,
  added: (facts) => ({
    budgets: facts.budgets ?? (facts.pieces ?? []).flatMap(budgetOf),
    lots: facts.lots ?? [],
    goods: facts.goods ?? [],
  }),
};

function withoutBudget(fact: Raw): Raw {
  const { budget: _budget, ...rest } = fact;
  return rest;
}

/** An id of 64 letters leaves no room for more: the budget is then called as the piece, which is another collection. */
function budgetOf({ id, budget }: Raw): Raw[] {
  if (typeof id !== 'string' || budget === undefined) return [];
  return [{ id, pieceIds: [id], amount: budget }];
}
