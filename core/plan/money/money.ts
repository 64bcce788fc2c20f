import type { Purchases } from '#core/buying/index';
import type { Facts, Piece } from '#core/facts/index';
import { typicalPack } from '#core/buying/index';
import type { PlanContext } from '../films/index.ts';
import type { Step } from '../steps/index.ts';
import { isCommitted } from '#core/survey/index';

/** What a piece costs, in minor units: committed (bought), planned (to buy and use up), used (its share of shared cans). */
export type PieceMoney = {
  readonly committed: number;
  readonly planned: number;
  readonly used: number;
  readonly consumables: number;
  readonly total: number;
  readonly budget: number | null;
  readonly over: number;
  /** True while a price rests on no offer. */
  readonly about: boolean;
};

/** Splits each purchase over the pieces by the mL they take of it. */
export function pieceMoney(
  piece: Piece,
  steps: readonly Step[],
  purchases: Purchases,
  { facts, history: { events } }: Pick<PlanContext, 'facts' | 'history'>,
): PieceMoney {
  const committed =
    events.reduce((sum, event) => sum + (event.kind === 'bought' && event.pieceId === piece.id ? event.paid : 0), 0) +
    piece.parcels.filter(isCommitted).reduce((sum, parcel) => sum + parcel.price, 0);
  let planned = piece.parcels.filter((parcel) => !isCommitted(parcel)).reduce((sum, parcel) => sum + parcel.price, 0);
  let about = false;
  for (const shop of purchases.shops) {
    const shares = shop.lines.map((line) => line.price * shareOf(piece, line.mix, steps));
    const goods = shares.reduce((sum, share) => sum + share, 0);
    planned += goods + (shop.goods > 0 ? (shop.delivery * goods) / shop.goods : 0);
    if (goods > 0 && shop.shopId === null) about = true;
  }
  const used = events.reduce(
    (sum, event) =>
      sum +
      (event.kind === 'done' && event.pieceId === piece.id && event.coat?.ml
        ? event.coat.ml * pricePerMl(event.coat.productId, event.coat.family, event.coat.role, facts)
        : 0),
    0,
  );
  const consumables = steps.filter((step) => step.pieceId === piece.id).reduce((sum, step) => sum + step.consumables, 0);
  const total = Math.round(committed + planned + consumables);
  const budget = piece.budget ?? null;
  return {
    committed,
    planned: Math.round(planned),
    used: Math.round(used),
    consumables,
    total,
    budget,
    over: budget === null ? 0 : Math.max(0, total - budget),
    about,
  };
}

function shareOf(piece: Piece, mix: string, steps: readonly Step[]): number {
  const all = steps.filter((step) => step.coat?.mix === mix && step.stopped === undefined);
  const ml = (list: readonly Step[]) => list.reduce((sum, step) => sum + (step.coat?.ml ?? 0), 0);
  const total = ml(all);
  return total === 0 ? 0 : ml(all.filter((step) => step.pieceId === piece.id)) / total;
}

function pricePerMl(
  productId: string | undefined,
  family: Parameters<typeof typicalPack>[0],
  role: Parameters<typeof typicalPack>[1],
  facts: Facts,
): number {
  const can = facts.cans.find((candidate) => candidate.productId === productId);
  if (can && can.paid > 0) return can.paid / can.packMl;
  const product = facts.products.find((candidate) => candidate.id === productId);
  const pack = product ? { ml: product.typicalMl, price: product.typicalPrice } : typicalPack(family, role);
  return pack.price / pack.ml;
}
