import { supplyKey } from '#core/amounts/index';
import { boughtOutside, parcelKey, type Purchases } from '#core/buying/index';
import { type Budget, type Facts, type LogEvent, type Parcel, standingEvents } from '#core/facts/index';
import { isCommitted } from '#core/survey/index';
import { localMoment, type Minute, monthsFrom, noonOf, toMinute } from '#core/units/index';
import type { PieceMoney } from './money.ts';

/** What is spent, still to be spent and forecast of each budget: of one piece, of several together, of a month of the workshop. */

export type BudgetState = {
  readonly budget: Budget;
  readonly committed: number;
  readonly planned: number;
  /** Committed and planned. */
  readonly total: number;
  /** The same at the safe end, with rework. */
  readonly forecast: number;
  readonly over: number;
  /** Of the budget; 0 where it is 0 and per cent of it say nothing. */
  readonly overPercent: number;
  readonly about: boolean;
};

/** What of a plan budgets are held against. */
export type Spending = {
  readonly now: Minute;
  readonly purchases: Purchases;
  readonly pieces: readonly { readonly pieceId: string; readonly money: PieceMoney; readonly starts: Minute | null }[];
};

/** Those that are over come first, by how much. */
export function budgetStates(facts: Facts, spending: Spending): BudgetState[] {
  return facts.budgets
    .map((budget) => stateOf(budget, budget.pieceIds ? ofPieces(budget.pieceIds, spending) : ofMonth(budget.month ?? '', facts, spending)))
    .sort((a, b) => b.over - a.over);
}

type Sums = Pick<BudgetState, 'committed' | 'planned' | 'forecast' | 'about'>;

function stateOf(budget: Budget, sums: Sums): BudgetState {
  const total = sums.committed + sums.planned;
  const over = Math.max(0, total - budget.amount);
  return { budget, ...sums, total, over, overPercent: budget.amount > 0 ? Math.round((over / budget.amount) * 100) : 0 };
}

function ofPieces(pieceIds: readonly string[], { pieces }: Spending): Sums {
  const own = pieces.filter(({ pieceId }) => pieceIds.includes(pieceId)).map(({ money }) => money);
  const sum = (of: (money: PieceMoney) => number) => own.reduce((all, money) => all + of(money), 0);
  return {
    committed: sum(({ committed }) => committed),
    planned: sum(({ total, committed }) => total - committed),
    forecast: sum(({ forecast }) => forecast),
    about: own.some(({ about }) => about),
  };
}

/** Everything that was or is to be paid within a month: pieces too, and what they share. Rework falls in the month the work begins. */
function ofMonth(month: string, facts: Facts, spending: Spending): Sums {
  const timeZone = facts.workshop[0]?.timeZone ?? 'UTC';
  const isIn = (at: Minute) => localMoment(at, timeZone).date.startsWith(month);
  const committed = [...paidBy(facts.events), ...boughtOutside(facts), ...paidForPieces(facts)].reduce(
    (sum, { at, paid }) => sum + (isIn(at) ? paid : 0),
    0,
  );
  const ahead = paidAhead(facts, spending);
  const planned = ahead.reduce((sum, { at, paid }) => sum + (isIn(Math.max(at, spending.now)) ? paid : 0), 0);
  const rework = spending.pieces.reduce(
    (sum, { money, starts }) => sum + (isIn(starts ?? spending.now) ? money.forecast - money.total : 0),
    0,
  );
  return {
    committed,
    planned,
    forecast: committed + planned + rework,
    about: spending.purchases.shops.some(({ shopId, lines }) => shopId === null && lines.length > 0),
  };
}

/** What goes out in a month, spent and still to be spent, and what may be spent in it; minor units. */
export type MonthOfMoney = { readonly month: string; readonly committed: number; readonly planned: number; readonly budget: number | null };

/** Months from some before now to some after it, whether anything is paid in them or not. */
export function moneyByMonth(facts: Facts, spending: Spending, before: number, after: number): MonthOfMoney[] {
  const timeZone = facts.workshop[0]?.timeZone ?? 'UTC';
  const thisMonth = localMoment(spending.now, timeZone).date.slice(0, 7);
  return monthsFrom(thisMonth, before + 1 + after, -before).map((month) => {
    const { committed, planned } = ofMonth(month, facts, spending);
    return { month, committed, planned, budget: facts.budgets.find((budget) => budget.month === month)?.amount ?? null };
  });
}

type Payment = { readonly at: Minute; readonly paid: number };

function paidBy(events: readonly LogEvent[]): Payment[] {
  return standingEvents(events).flatMap((event) =>
    event.kind === 'bought' || event.kind === 'stocked' ? [{ at: toMinute(event.at), paid: event.paid }] : [],
  );
}

/** What has gone out for pieces as they came, and for parts on their way. */
function paidForPieces({ lots, pieces }: Facts): Payment[] {
  return [
    ...lots.flatMap(({ boughtOn, paid, postage = 0 }) => (boughtOn === undefined ? [] : [{ at: noonOf(boughtOn), paid: paid + postage }])),
    ...pieces.flatMap(({ parcels }) =>
      parcels.flatMap((parcel) => {
        const day = dayOf(parcel);
        return isCommitted(parcel) && day !== null ? [{ at: noonOf(day), paid: parcel.price }] : [];
      }),
    ),
  ];
}

function dayOf({ orderedAt, due }: Parcel): string | null {
  return orderedAt ?? due ?? null;
}

/** What is still to be paid, and when at the latest: a delivery with the first of what it brings. */
function paidAhead(facts: Facts, { now, purchases, pieces }: Spending): Payment[] {
  const listed = new Set(purchases.shops.flatMap(({ lines }) => lines.map(({ want }) => want)));
  const lists = purchases.shops.flatMap(({ lines, delivery }) => {
    const orders = lines.map(({ orderBy, price }) => ({ at: orderBy ?? now, paid: price }));
    return delivery > 0 ? [...orders, { at: Math.min(...orders.map(({ at }) => at)), paid: delivery }] : orders;
  });
  const beside = pieces.flatMap(({ money, starts }) =>
    money.supplies.filter((line) => !listed.has(supplyKey(line))).map(({ cost }) => ({ at: starts ?? now, paid: cost })),
  );
  const parts = facts.pieces.flatMap(({ id, parcels, finished }) =>
    parcels
      .filter((parcel) => !finished && !isCommitted(parcel) && !listed.has(parcelKey(id, parcel.id)))
      .map(({ price }) => ({ at: now, paid: price })),
  );
  return [...lists, ...beside, ...parts];
}
