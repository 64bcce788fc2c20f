import { paintIn, supplyKey, unitPrice } from '#core/amounts/index';
import type { Budget, EventOf, Facts, LaidCoat, Piece } from '#core/facts/index';
import { boughtOutside, lostPaint, parcelKey, shelfCans, shelfStock, supplyUses, typicalPack } from '#core/buying/index';
import type { PlanContext } from '../films/index.ts';
import type { PricedSupply } from './supplies.ts';
import type { Supplies } from './lacking.ts';
import type { Step } from '../steps/index.ts';
import { reworkCost } from './forecast.ts';
import type { PurchaseShare } from './split.ts';
import { isCommitted } from '#core/survey/index';

/** What a piece costs, in minor units: committed (bought), planned (to buy and use up), used (its share of shared cans, and paint lost on it). */
export type PieceMoney = {
  readonly committed: number;
  readonly planned: number;
  readonly used: number;
  /** Of what is planned, its share of the paint to buy. */
  readonly toBuy: number;
  /** What the paint of its coats still to come is worth by the millilitre, from whatever can. */
  readonly paintAhead: number;
  /** To be bought of papers, tape and the rest, and the lines it is made of. */
  readonly consumables: number;
  readonly supplies: readonly PricedSupply[];
  /** Parts and outside work, ordered or not. */
  readonly parts: number;
  /** Of what is committed, paint and supplies: bought for it or its share of them. */
  readonly bought: number;
  /** What it takes by use, likely: what it has used, what its coats and supplies ahead are worth, and its parts. */
  readonly byUse: number;
  readonly total: number;
  /** The same at the safe end: with the coats that fail in all but one job of ten laid again. */
  readonly forecast: number;
  readonly budget: number | null;
  readonly over: number;
  /** The same in per cent of the budget; 0 where there is none to be over. */
  readonly overPercent: number;
  /** True while a price rests on no offer. */
  readonly about: boolean;
};

/** What of a plan a piece's money is reckoned from. */
export type Bought = {
  /** What each piece bears of the purchases of all. */
  readonly shares: ReadonlyMap<string, PurchaseShare>;
  /** What each piece uses up beside paint. */
  readonly supplies: Supplies;
  /** What the purchases bring, by its key: it is paid for among them. */
  readonly listed: ReadonlySet<string>;
};

export function pieceMoney(
  piece: Piece,
  steps: readonly Step[],
  { shares, supplies: ofAll, listed }: Bought,
  { facts, history }: Pick<PlanContext, 'facts' | 'history'>,
): PieceMoney {
  const spent = spentIn(history, facts);
  const bought = history.bought.reduce((sum, event) => sum + borneOf(event, piece.id), 0);
  const parts = piece.parcels.reduce((sum, parcel) => sum + parcel.price, 0);
  const outside = spent.outside.get(piece.id) ?? 0;
  const committed = bought + outside + piece.parcels.filter(isCommitted).reduce((sum, parcel) => sum + parcel.price, 0);
  const share = shares.get(piece.id);
  const parcels = piece.parcels
    .filter((parcel) => !isCommitted(parcel) && !listed.has(parcelKey(piece.id, parcel.id)))
    .reduce((sum, parcel) => sum + parcel.price, 0);
  const planned = parcels + (share?.minor ?? 0);
  const used =
    history.ofPiece(piece.id).reduce((sum, event) => sum + (event.kind === 'done' && event.coat?.ml ? usedOf(event.coat, facts) : 0), 0) +
    (spent.lost.get(piece.id) ?? 0) +
    (spent.supplies.get(piece.id) ?? 0);
  const supplies = ofAll.get(piece.id) ?? [];
  const consumables = supplies.reduce((sum, line) => (listed.has(supplyKey(line)) ? sum : sum + line.cost), 0);
  const total = Math.round(committed + planned + consumables);
  const ahead = steps.flatMap(({ pieceId, coat, stopped }) => (pieceId === piece.id && coat && stopped === undefined ? [coat] : []));
  const worth = ahead.map((coat) => coat.paintMl * pricePerMl(coat, facts));
  const rework = reworkCost(worth);
  const paintAhead = worth.reduce((sum, cost) => sum + cost, 0);
  const suppliesAhead = supplies.reduce((sum, line) => sum + line.exact * line.unitPrice, 0);
  const budget = ownBudget(piece.id, facts)?.amount ?? null;
  const over = budget === null ? 0 : Math.max(0, total - budget);
  return {
    committed,
    planned,
    used: Math.round(used),
    toBuy: share?.minor ?? 0,
    paintAhead: Math.round(paintAhead),
    consumables: Math.round(consumables),
    supplies,
    parts,
    bought,
    byUse: Math.round(parts + used + paintAhead + suppliesAhead),
    total,
    forecast: total + rework,
    budget,
    over,
    overPercent: budget ? Math.round((over / budget) * 100) : 0,
    about: share?.about ?? false,
  };
}

/** What a piece bears of a purchase, minor units: all of it where it was bought for this piece alone. */
export function borneOf(event: EventOf<'bought'> | EventOf<'stocked'>, pieceId: string): number {
  if (event.shares) return event.shares.find((share) => share.pieceId === pieceId)?.paid ?? 0;
  return event.kind === 'bought' && event.pieceId === pieceId ? event.paid : 0;
}

/** The budget a piece has for itself. */
export function ownBudget(pieceId: string, { budgets }: Pick<Facts, 'budgets'>): Budget | undefined {
  return budgets.find(({ pieceIds }) => pieceIds?.length === 1 && pieceIds[0] === pieceId);
}

/** What each piece has cost beside what was noted for it, minor units: bought outside, lost of its paint, supplies used up. */
type Spent = { readonly outside: Sums; readonly lost: Sums; readonly supplies: Sums };
type Sums = ReadonlyMap<string, number>;

const SPENT = new WeakMap<PlanContext['history'], Spent>();

/** Read off the log once for all pieces. */
function spentIn(history: PlanContext['history'], facts: Facts): Spent {
  const known = SPENT.get(history);
  if (known) return known;
  const stock = shelfStock(facts);
  const spent = {
    outside: summed(boughtOutside(facts).map(({ pieceId, paid }) => [pieceId, paid])),
    lost: summed(lostPaint(facts).flatMap(({ pieceId, cost }) => (pieceId === undefined ? [] : [[pieceId, cost]]))),
    supplies: summed(supplyUses(facts).map(({ pieceId, line }) => [pieceId, line.amount * unitPrice(line, stock).price])),
  };
  SPENT.set(history, spent);
  return spent;
}

function summed(costs: readonly (readonly [pieceId: string, cost: number])[]): Sums {
  const sums = new Map<string, number>();
  for (const [pieceId, cost] of costs) sums.set(pieceId, (sums.get(pieceId) ?? 0) + cost);
  return sums;
}

/** What a coat as it was laid has used, minor units: its paint, without what was mixed in. */
function usedOf(coat: LaidCoat, facts: Facts): number {
  const sheetId = facts.products.find((own) => own.id === coat.productId)?.sheetId;
  const label = facts.sheets.find((own) => own.id === sheetId)?.label;
  return paintIn(coat.ml ?? 0, label, coat.hand).paintMl * pricePerMl(coat, facts);
}

function pricePerMl({ productId, family, role, hand }: Pick<LaidCoat, 'productId' | 'family' | 'role' | 'hand'>, facts: Facts): number {
  const can = shelfCans(facts).find((own) => own.productId === productId && own.paid > 0);
  if (can) return can.paid / can.packMl;
  const product = facts.products.find((candidate) => candidate.id === productId);
  const pack = product ? { ml: product.typicalMl, price: product.typicalPrice } : typicalPack(family, role, hand);
  return pack.price / pack.ml;
}
