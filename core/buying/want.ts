import { supplyKey, supplyName } from '#core/amounts/index';
import type { Facts, Goods, Product, SupplyKind, SupplyUnit } from '#core/facts/index';
import type { PaintNeed } from './paintNeed.ts';
import type { Portion } from './portions.ts';
import { BOTTLED, TYPICAL_HARDENER, TYPICAL_HOBBY_THINNER, TYPICAL_REDUCER, usualPacks } from './typical.ts';

/** Whatever has to be bought, paint or not, with every pack of it that a shop has. */

/** A pack in a shop; without a shop, a usual pack at a usual price. */
export type Pack = {
  readonly offerId: string | null;
  readonly shopId: string | null;
  /** What it holds, in the unit of the want. */
  readonly amount: number;
  readonly price: number;
  readonly leadDays: number;
  /** Packs there are; absent: as many as are wanted. */
  readonly stock?: number;
};

export type Want = {
  readonly key: string;
  readonly of: PaintNeed['what'] | 'supply' | 'parcel';
  readonly name: string;
  readonly unit: SupplyUnit;
  /** Still to be bought, in its unit. */
  readonly amount: number;
  /** The same bit by bit, in the order it is wanted. */
  readonly portions: readonly Portion[];
  /** What each piece takes of it, in its unit: what its cost is shared out by. */
  readonly byPiece: readonly { readonly pieceId: string; readonly amount: number }[];
  readonly packs: readonly Pack[];
  /** The product of a paint, the kind and spec of a supply, or the parcel of a piece. */
  readonly productId?: string;
  readonly supply?: { readonly kind: SupplyKind; readonly spec: string };
  readonly parcel?: { readonly pieceId: string; readonly parcelId: string };
};

/** What is wanted beside paint: papers, tape and the rest that all pieces together lack, and parts nobody has ordered. */
export type BesideWanted = {
  readonly supplies: readonly {
    readonly kind: SupplyKind;
    readonly spec: string;
    readonly unit: SupplyUnit;
    readonly toBuy: number;
    readonly portions: readonly Portion[];
    readonly byPiece: Want['byPiece'];
  }[];
  readonly parcels: readonly { readonly pieceId: string; readonly parcelId: string; readonly name: string }[];
};

/** Less than this is no reason to buy, in any unit. */
const LEAST_MISSING = 0.05;
export const USUAL_LEAD_DAYS = 1;

/** What a piece waits for, as a want. */
export function parcelKey(pieceId: string, parcelId: string): string {
  return `parcel ${pieceId} ${parcelId}`;
}

/** Paint always stands on the list, at a usual price where no shop has it; the rest where some shop has a price for it. */
export function wantsOf(needs: readonly PaintNeed[], { supplies, parcels }: BesideWanted, facts: Facts): Want[] {
  const beside: Omit<Want, 'packs'>[] = [
    ...supplies.map(({ kind, spec, unit, toBuy, portions, byPiece }) => ({
      key: supplyKey({ kind, spec }),
      of: 'supply' as const,
      name: supplyName({ kind, spec }),
      unit,
      amount: toBuy,
      portions,
      byPiece,
      supply: { kind, spec },
    })),
    // A piece waits for it day by day, so its price decides and not a day.
    ...parcels.map(({ pieceId, parcelId, name }) => ({
      key: parcelKey(pieceId, parcelId),
      of: 'parcel' as const,
      name,
      unit: 'piece' as const,
      amount: 1,
      portions: [{ amount: 1, neededBy: null }],
      byPiece: [{ pieceId, amount: 1 }],
      parcel: { pieceId, parcelId },
    })),
  ];
  return [
    ...needs.map((need) => wantOfPaint(need, facts)),
    ...beside.map((want) => ({ ...want, packs: goodsFor(want, facts) })).filter(({ packs }) => packs.length > 0),
  ].filter(({ amount }) => amount > LEAST_MISSING);
}

function wantOfPaint(need: PaintNeed, facts: Facts): Want {
  const { mix, what, name, missingMl, portions, productId } = need;
  return {
    key: mix,
    of: what,
    name,
    unit: 'mL',
    amount: missingMl,
    portions,
    byPiece: need.byPiece.map(({ pieceId, ml }) => ({ pieceId, amount: ml })),
    packs: packsOf(need, facts),
    ...(productId === undefined ? {} : { productId }),
  };
}

function packsOf(need: PaintNeed, facts: Facts): Pack[] {
  // Reducer and hardener stand among the cleaners, under the name they are bought by.
  const own =
    need.what === 'paint'
      ? facts.offers.filter((offer) => offer.productId === need.productId).map((offer) => packIn(offer, offer.packMl, facts))
      : goodsFor({ supply: { kind: 'cleaner', spec: need.name }, unit: 'mL' }, facts);
  if (own.length > 0) return own;
  const product = facts.products.find(({ id }) => id === need.productId);
  return usualOf(need, product).map(({ ml, price }) => ({ offerId: null, shopId: null, amount: ml, price, leadDays: USUAL_LEAD_DAYS }));
}

function goodsFor({ supply, parcel, unit }: Pick<Want, 'supply' | 'parcel' | 'unit'>, facts: Facts): Pack[] {
  const isIt = ({ of }: Goods) =>
    of.kind === 'supply'
      ? supply !== undefined && of.supply === supply.kind && of.spec === supply.spec && of.unit === unit
      : parcel !== undefined && of.pieceId === parcel.pieceId && of.parcelId === parcel.parcelId;
  return facts.goods.filter(isIt).map((goods) => packIn(goods, goods.amount, facts));
}

function packIn(
  { id, shopId, price, stock }: { readonly id: string; readonly shopId: string; readonly price: number; readonly stock?: number },
  amount: number,
  { shops }: Facts,
): Pack {
  const leadDays = shops.find((shop) => shop.id === shopId)?.leadDays ?? USUAL_LEAD_DAYS;
  return { offerId: id, shopId, amount, price, leadDays, ...(stock === undefined ? {} : { stock }) };
}

/** Usual packs of what is needed: paint by its family and hand, reducer and hardener by their own. */
function usualOf({ what, family, role, hand }: PaintNeed, product: Product | undefined): { readonly ml: number; readonly price: number }[] {
  if (what === 'reducer') return [BOTTLED.includes(family) ? TYPICAL_HOBBY_THINNER : TYPICAL_REDUCER];
  return what === 'hardener' ? [TYPICAL_HARDENER] : usualPacks(family, role, hand, product);
}
