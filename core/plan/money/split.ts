import type { PurchaseLine, Purchases, Want } from '#core/buying/index';
import { splitExactly } from '#core/units/index';
import { unservedOf } from './unserved.ts';

/** What is bought for several pieces, borne by each to the cent. */

/** What one piece bears of the purchases, minor units; `about`: some of it rests on no offer. */
export type PurchaseShare = { readonly minor: number; readonly about: boolean };

/** What each piece bears of what a line costs, by how much it takes of it. @param paid whole minor units */
export function lineShares({ want }: Pick<PurchaseLine, 'want'>, paid: number, wants: readonly Want[]): PieceShare[] {
  const takers = wants.find(({ key }) => key === want)?.byPiece ?? [];
  const shares = splitExactly(
    paid,
    takers.map(({ amount }) => amount),
  );
  return takers.map(({ pieceId }, at) => ({ pieceId, paid: shares[at] }));
}

export type PieceShare = { readonly pieceId: string; readonly paid: number };

/** Every line by what each piece takes of it, every delivery by the goods it brings each piece; what no shop serves, about. */
export function purchaseShares(purchases: Purchases, wants: readonly Want[]): ReadonlyMap<string, PurchaseShare> {
  const shares = new Map<string, { minor: number; about: boolean }>();
  const add = (pieceId: string, minor: number, about: boolean) => {
    const known = shares.get(pieceId) ?? { minor: 0, about: false };
    shares.set(pieceId, { minor: known.minor + minor, about: known.about || about });
  };
  for (const { want, about } of unservedOf(purchases, wants))
    for (const { pieceId, paid } of lineShares({ want }, about ?? 0, wants)) add(pieceId, paid, true);
  for (const shop of purchases.shops) {
    const goods = new Map<string, number>();
    for (const line of shop.lines) {
      for (const { pieceId, paid } of lineShares(line, line.price, wants)) {
        add(pieceId, paid, shop.shopId === null);
        goods.set(pieceId, (goods.get(pieceId) ?? 0) + paid);
      }
    }
    const bearers = [...goods];
    const delivery = splitExactly(
      shop.delivery,
      bearers.map(([, minor]) => minor),
    );
    for (const [at, [pieceId]] of bearers.entries()) add(pieceId, delivery[at], false);
  }
  return shares;
}
