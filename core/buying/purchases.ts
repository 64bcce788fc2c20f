import { DAY, type Minute } from '#core/units/index';
import type { ShortWhy } from './cheapest/short.ts';
import type { Pack, Want } from './want.ts';

/** What is bought, line by line, shop by shop. */

export type PurchaseLine = Pick<Want, 'of' | 'name' | 'unit' | 'productId' | 'supply' | 'parcel'> & {
  /** The want it serves. */
  readonly want: string;
  readonly offerId?: string;
  readonly shopId?: string;
  /** What one pack holds, in the unit. */
  readonly pack: number;
  readonly count: number;
  readonly price: number;
  readonly source: 'label' | 'default';
  readonly leadDays: number;
  /** When what it brings is wanted first: what was at hand, or quicker here, comes before it. Null where nothing has a day yet. */
  readonly neededBy: Minute | null;
  /** When it has to be ordered at the latest to be here in time; null where nothing has a day yet. */
  readonly orderBy: Minute | null;
  /** What all packs of this want leave over beside the touch-up jar; on its first line, 0 on the others. */
  readonly left: number;
};

export type ShopTotal = {
  readonly shopId: string | null;
  readonly name: string;
  readonly goods: number;
  readonly delivery: number;
  readonly lines: readonly PurchaseLine[];
  readonly underMinimum: number;
};
export type Purchases = {
  readonly shops: readonly ShopTotal[];
  readonly total: number;
  /** Nothing cheaper exists. */
  readonly proven: boolean;
  /** Where that was tried and not proven: nothing cheaper than this exists. */
  readonly bound?: number;
  /** What no shop can serve, with the reason. */
  readonly short: readonly ShortWant[];
};

export type ShortWant = { readonly want: string; readonly name: string; readonly why: ShortWhy };

/** What is here by a day is here before its evening, minutes. */
export const BEFORE_EVENING: Minute = 6 * 60;

/** Where no shop is known to have it. */
export const ANY_SHOP_NAME = 'Any shop, at a usual price';

/** So many packs of one kind as a line. @param left what all packs of the want leave over */
export function purchaseLine(
  want: Want,
  pack: Pack,
  { count, left, neededBy }: Pick<PurchaseLine, 'count' | 'left' | 'neededBy'>,
): PurchaseLine {
  const { key, packs: _packs, amount: _amount, portions: _portions, byPiece: _byPiece, ...own } = want;
  return {
    ...own,
    want: key,
    ...(pack.offerId === null ? {} : { offerId: pack.offerId }),
    ...(pack.shopId === null ? {} : { shopId: pack.shopId }),
    pack: pack.amount,
    count,
    price: count * pack.price,
    source: pack.shopId === null ? 'default' : 'label',
    leadDays: pack.leadDays,
    neededBy,
    orderBy: neededBy === null ? null : neededBy - pack.leadDays * DAY,
    left,
  };
}
