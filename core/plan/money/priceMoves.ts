import { buyGreedily, type Want } from '#core/buying/index';
import type { Facts } from '#core/facts/index';
import { purchaseShares } from './split.ts';

/** What another price of one pack does to the list and to who bears it; minor units, above 0: dearer. */
export type PriceMoves = { readonly total: number; readonly pieces: readonly { readonly pieceId: string; readonly minor: number }[] };

/** Both lists one improvement at a time, so that the difference is the price and nothing else. */
export function priceMoves(wants: readonly Want[], facts: Facts, offerId: string, price: number): PriceMoves {
  const changed = wants.map((want) => ({
    ...want,
    packs: want.packs.map((pack) => (pack.offerId === offerId ? { ...pack, price } : pack)),
  }));
  const [before, after] = [wants, changed].map((own) => buyGreedily(own, facts));
  const [was, is] = [purchaseShares(before, wants), purchaseShares(after, changed)];
  const ids = [...new Set([...was.keys(), ...is.keys()])];
  return {
    total: after.total - before.total,
    pieces: ids
      .map((pieceId) => ({ pieceId, minor: (is.get(pieceId)?.minor ?? 0) - (was.get(pieceId)?.minor ?? 0) }))
      .filter(({ minor }) => minor !== 0)
      .sort((a, b) => Math.abs(b.minor) - Math.abs(a.minor)),
  };
}
