import { roundedUp, supplyKey } from '#core/amounts/index';
import { splitExactly } from '#core/units/index';
import type { PieceShare } from './split.ts';
import type { PricedSupply } from './supplies.ts';

/** What all pieces together still lack beside paint: each kind once, rounded up once, what stands on the shelf taken off once. */
export function suppliesToBuy(pieces: readonly (readonly PricedSupply[])[]): PricedSupply[] {
  const together = new Map<string, PricedSupply>();
  for (const line of pieces.flat()) {
    const key = supplyKey(line);
    const known = together.get(key);
    together.set(key, known ? { ...known, exact: known.exact + line.exact, reckoned: known.reckoned + line.reckoned } : line);
  }
  return [...together.values()]
    .map((line) => {
      const { amount } = roundedUp({ ...line, amount: line.exact });
      const toBuy = line.owned === null ? 0 : Math.max(0, amount - line.owned);
      return { ...line, amount, toBuy, cost: Math.round(toBuy * line.unitPrice) };
    })
    .filter((line) => line.toBuy > 0);
}

/** What each piece bears of a supply that is bought for all of them, by what it uses of it, to the cent. */
export function supplyShares(
  line: PricedSupply,
  pieces: readonly { readonly pieceId: string; readonly money: { readonly supplies: readonly PricedSupply[] } }[],
): PieceShare[] {
  const key = supplyKey(line);
  const takers = pieces.flatMap(({ pieceId, money }) =>
    money.supplies.flatMap((own) => (supplyKey(own) === key ? [{ pieceId, exact: own.exact }] : [])),
  );
  const shares = splitExactly(
    line.cost,
    takers.map(({ exact }) => exact),
  );
  return takers.map(({ pieceId }, at) => ({ pieceId, paid: shares[at] }));
}
