import { buy, buyingProblem, cheapest, datedPortions, type Need, type Serving, type Solve, type Want } from '#core/buying/index';
import { supplyKey } from '#core/amounts/index';
import type { Conditions } from '#core/drying/index';
import type { Facts, Piece, Product, Workshop } from '#core/facts/index';
import { DAY, type Minute } from '#core/units/index';
import { purchaseShares, suppliesToBuy } from '../money/index.ts';
import { type Plan, plan } from '../plan.ts';
import { MOST_WAYS, savingWays } from './saving.ts';
import type { SavingWay } from './savingWay.ts';

/**
 * What each way to spend less really saves: all is planned anew with it and bought anew, to the cent. One that stops a piece or makes
 * a joint worse is not offered. The best combination comes out of the same integer programme, with a binary a way.
 */

export type PricedSaving = Pick<SavingWay, 'id' | 'label' | 'lost'> & {
  /** Minor units less than as it is. */
  readonly saved: number;
  /** Pieces over their budget that it bears on: by how much less, or below 0 more, each of them costs then. */
  readonly ofBudgets: readonly { readonly pieceId: string; readonly saved: number }[];
  /** By how much the piece that pays most for it ends later; below 0: sooner. */
  readonly later: Minute;
  /** What has to be saved to take it. */
  readonly changes: { readonly pieces: readonly Piece[]; readonly products: readonly Product[]; readonly workshop?: Workshop };
};

export type Savings = {
  readonly ways: readonly PricedSaving[];
  /** The best of them together, where that saves more than any by itself. */
  readonly together: PricedSaving | null;
};

export type SavingQuestion = { readonly facts: Facts; readonly now: Minute; readonly conditions: Conditions };

/** A saving smaller than this nobody gives anything up for, minor units. */
const LEAST_SAVED = 10;
/** A need that more ways than this bear on is planned with the most saving of them. */
const MOST_ON_A_NEED = 4;

export async function savingsOf(question: SavingQuestion, solve: Solve, seconds?: number): Promise<Savings> {
  const asIs = planOf(question.facts, question);
  const base = await spendOf(asIs, question, solve, seconds);
  const found: Tried[] = [];
  for (const way of savingWays(question.facts, asIs)) {
    const own = planOf(way.apply(question.facts), question);
    if (!isSound(own, asIs)) continue;
    const spend = await spendOf(own, question, solve, seconds);
    if (base.total - spend.total >= LEAST_SAVED)
      found.push({ way, plan: own, saved: base.total - spend.total, supplies: base.supplies - spend.supplies, costs: spend.costs });
  }
  const ways = found.sort((a, b) => b.saved - a.saved).slice(0, MOST_WAYS);
  const priced = ways.map(({ way, plan: own, saved, costs }) =>
    pricedOf(way, { saved, costs }, { own, asIs, base: base.costs }, question.facts),
  );
  const best = await bestOf(
    ways.filter(({ way }) => !way.shifts),
    asIs,
    question,
    solve,
    seconds,
  );
  const together = best.length > 1 ? await pricedTogether(best, base, asIs, question, solve, seconds) : null;
  return { ways: priced, together: together && together.saved > (priced[0]?.saved ?? 0) ? together : null };
}

function planOf(facts: Facts, { now, conditions }: SavingQuestion): Plan {
  return plan({ facts, now, conditions, datesOf: [] });
}

/** All there is to spend, what of it stands on no list because no shop has a price for it, and what each piece costs. */
type Spend = { readonly total: number; readonly supplies: number; readonly costs: ReadonlyMap<string, number> };
type Tried = {
  readonly way: SavingWay;
  readonly plan: Plan;
  readonly saved: number;
  readonly supplies: number;
  readonly costs: Spend['costs'];
};

/** The cheapest list, and all that is used up beside it. */
async function spendOf(own: Plan, { facts, now }: SavingQuestion, solve: Solve, seconds?: number): Promise<Spend> {
  const { purchases } = await buy(own.wants, facts, now, solve, seconds);
  // What a piece costs with the list as it is bought: its share of that in the place of the one its plan has.
  const [planned, bought] = [own.purchases, purchases].map((list) => purchaseShares(list, own.wants));
  const minor = (shares: typeof planned, pieceId: string) => shares.get(pieceId)?.minor ?? 0;
  const costs = new Map(own.pieces.map(({ pieceId, money }) => [pieceId, money.total - minor(planned, pieceId) + minor(bought, pieceId)]));
  const listed = new Set(own.wants.map(({ key }) => key));
  const supplies = suppliesToBuy(own.pieces.map(({ money }) => money.supplies))
    .filter((line) => !listed.has(supplyKey(line)))
    .reduce((sum, { cost }) => sum + cost, 0);
  return { total: purchases.total + supplies, supplies, costs };
}

const RANK = { sits: 0, care: 1, stop: 2 } as const;

/** No piece is stopped by it, and no joint is worse than it was. */
function isSound(own: Plan, asIs: Plan): boolean {
  return own.pieces.every((piece) => {
    const before = asIs.pieces.find(({ pieceId }) => pieceId === piece.pieceId);
    if (!before || (piece.stopped && !before.stopped) || (piece.planned === null && before.planned !== null)) return false;
    if (piece.missing.length > before.missing.length) return false;
    return piece.steps.joints.every(({ partId, layerId, joint }) => {
      const was = before.steps.joints.filter((entry) => entry.partId === partId && entry.layerId === layerId);
      return RANK[joint.verdict] <= Math.max(0, ...was.map((entry) => RANK[entry.joint.verdict]));
    });
  });
}

type Beside = { readonly own: Plan; readonly asIs: Plan; readonly base: Spend['costs'] };

function pricedOf(
  way: Pick<SavingWay, 'id' | 'label' | 'lost' | 'apply'>,
  { saved, costs }: { readonly saved: number; readonly costs: Spend['costs'] },
  { own, asIs, base }: Beside,
  facts: Facts,
): PricedSaving {
  const later = asIs.pieces.map(({ pieceId, planned }) => {
    const then = own.pieces.find((piece) => piece.pieceId === pieceId)?.planned ?? null;
    return planned === null || then === null ? 0 : then - planned;
  });
  const tight = asIs.pieces.filter(({ pieceId, money }) => money.budget !== null && (base.get(pieceId) ?? 0) > money.budget);
  return {
    id: way.id,
    label: way.label,
    lost: way.lost,
    saved,
    ofBudgets: tight
      .map(({ pieceId }) => ({ pieceId, saved: (base.get(pieceId) ?? 0) - (costs.get(pieceId) ?? 0) }))
      .filter(({ saved: own }) => own !== 0),
    later: Math.max(...later, Math.min(0, ...later)),
    changes: changesOf(way.apply(facts), facts),
  };
}

function changesOf(changed: Facts, facts: Facts): PricedSaving['changes'] {
  const asItWas = ({ id }: Piece) => JSON.stringify(facts.pieces.find((own) => own.id === id));
  return {
    pieces: changed.pieces.filter((piece) => JSON.stringify(piece) !== asItWas(piece)),
    products: changed.products.filter(({ id }) => !facts.products.some((own) => own.id === id)),
    ...(changed.workshop[0] === facts.workshop[0] ? {} : { workshop: changed.workshop[0] }),
  };
}

type Found = { readonly way: SavingWay; readonly supplies: number };

/** The combination that is cheapest of all, by one programme in which each way is taken or left. */
async function bestOf(found: readonly Found[], asIs: Plan, question: SavingQuestion, solve: Solve, seconds?: number): Promise<SavingWay[]> {
  if (found.length < 2) return found.map(({ way }) => way);
  const planned = new Map<string, readonly Want[]>([['', asIs.wants]]);
  const wantsWith = (taken: readonly SavingWay[]): readonly Want[] => {
    const key = taken.map(({ id }) => id).join(' + ');
    const known =
      planned.get(key) ??
      planOf(
        taken.reduce((own, way) => way.apply(own), question.facts),
        question,
      ).wants;
    planned.set(key, known);
    return known;
  };
  const ways = found.map(({ way }) => way);
  const wants = new Map([[], ...ways.map((way) => [way])].flatMap((taken) => wantsWith(taken).map((want) => [want.key, want] as const)));
  const problem = buyingProblem([...wants.values()], question.facts, question.now);
  const needs = [...wants.keys()].flatMap((key): Need[] => {
    const touching = ways.filter((way) => !isSame(wantsWith([way]), asIs.wants, key)).slice(0, MOST_ON_A_NEED);
    const options = subsetsOf(touching).map((taken) => {
      const want = wantsWith(taken).find((own) => own.key === key);
      return { taking: taken.map(({ id }) => id), portions: want ? datedPortions(want, question.now) : [] };
    });
    const portions = options.flatMap((option) => option.portions);
    return [...new Set(portions.map(({ id }) => id))].map((id) => ({
      id,
      byDay: Math.min(...portions.filter((own) => own.id === id).map(({ byDay }) => byDay)),
      servings: options.map(
        (option): Serving => ({ product: key, ml: option.portions.find((own) => own.id === id)?.amount ?? 0, taking: option.taking }),
      ),
      ways: touching.map((way) => way.id),
    }));
  });
  const answer = await cheapest(
    { ...problem, needs, ways: found.map(({ way, supplies }) => ({ id: way.id, saves: supplies })), apart: apartOf(ways) },
    solve,
    seconds,
  );
  return ways.filter(({ id }) => answer.ways.has(id));
}

function isSame(one: readonly Want[], other: readonly Want[], key: string): boolean {
  const [a, b] = [one, other].map((wants) => wants.find((own) => own.key === key)?.amount ?? 0);
  return Math.abs(a - b) < 0.05;
}

function subsetsOf<T>(list: readonly T[]): T[][] {
  return Array.from({ length: 2 ** list.length }, (_, mask) => list.filter((_own, at) => (mask >> at) & 1));
}

/** Ways that change the same thing. */
function apartOf(ways: readonly SavingWay[]): [string, string][] {
  return ways.flatMap((one, at) =>
    ways
      .slice(at + 1)
      .flatMap((other): [string, string][] => (one.touches.some((own) => other.touches.includes(own)) ? [[one.id, other.id]] : [])),
  );
}

async function pricedTogether(
  best: readonly SavingWay[],
  base: Spend,
  asIs: Plan,
  question: SavingQuestion,
  solve: Solve,
  seconds?: number,
): Promise<PricedSaving | null> {
  const apply = (facts: Facts) => best.reduce((own, way) => way.apply(own), facts);
  const own = planOf(apply(question.facts), question);
  if (!isSound(own, asIs)) return null;
  const spend = await spendOf(own, question, solve, seconds);
  const all = {
    id: best.map(({ id }) => id).join(' + '),
    label: best.map(({ label }) => label).join('; '),
    lost: [...new Set(best.map(({ lost }) => lost))].join('; '),
    apply,
  };
  return pricedOf(all, { saved: base.total - spend.total, costs: spend.costs }, { own, asIs, base: base.costs }, question.facts);
}

/** Whole days by which something ends later; below 0: sooner. */
export function daysLater(later: Minute): number {
  return Math.round(later / DAY);
}
