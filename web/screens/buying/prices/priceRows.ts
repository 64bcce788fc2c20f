import { parcelKey, pricePer100Ml } from '#core/buying/index';
import { supplyKey, supplyName, supplyText } from '#core/amounts/index';
import type { Facts, Goods, Offer } from '#core/facts/index';

/** Every price as a row, of paint and of what is none. */
export type PriceRow = {
  readonly id: string;
  readonly what: string;
  readonly shop: string;
  /** What is in a pack, in words; null: just the thing. */
  readonly pack: string | null;
  /** Minor units for 100 mL of paint, or for one of what is no paint. */
  readonly per: number;
  readonly seenOn: string;
  readonly fact: { readonly of: 'offers'; readonly value: Offer } | { readonly of: 'goods'; readonly value: Goods };
  /** The want it would serve. */
  readonly want: string;
};

export function priceRows(facts: Facts, volume: (ml: number) => string): PriceRow[] {
  const nameOf = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
    list.find((own) => own.id === id)?.name ?? '';
  const shopName = (id: string) => nameOf(facts.shops, id);
  return [
    ...facts.offers.map((value) => ({
      id: value.id,
      what: nameOf(facts.products, value.productId),
      shop: shopName(value.shopId),
      pack: volume(value.packMl),
      per: pricePer100Ml(value),
      seenOn: value.seenOn,
      fact: { of: 'offers' as const, value },
      want: value.productId,
    })),
    ...facts.goods.map((value) => ({
      id: value.id,
      what: goodsName(value, facts),
      shop: shopName(value.shopId),
      pack: value.of.kind === 'supply' ? supplyText(value.amount, value.of.unit) : null,
      per: Math.round(value.price / value.amount),
      seenOn: value.seenOn,
      fact: { of: 'goods' as const, value },
      want: wantOf(value),
    })),
  ];
}

function goodsName({ of }: Goods, { pieces }: Facts): string {
  if (of.kind === 'supply') return supplyName({ kind: of.supply, spec: of.spec });
  const piece = pieces.find(({ id }) => id === of.pieceId);
  const parcel = piece?.parcels.find(({ id }) => id === of.parcelId);
  return piece && parcel ? `${parcel.name}, ${piece.name}` : 'A part since taken out';
}

function wantOf({ of }: Goods): string {
  return of.kind === 'supply' ? supplyKey({ kind: of.supply, spec: of.spec }) : parcelKey(of.pieceId, of.parcelId);
}
