import { splitExactly } from '#core/units/index';
import type { Facts, Lot } from '#core/facts/index';

/** What pieces were bought for, as they came: alone, or as their share of a lot. */

export type BoughtFor = {
  /** Whole minor units, postage not counted in. */
  readonly price: number;
  readonly postage: number;
};

/**
 * What each piece of a lot bears of its price, to the cent. Typed shares stand as they are, and the rest is shared equally by the
 * pieces without one; where every share is typed the whole price is split by them. By worth: pieces without a worth count as the mean.
 */
export function lotShares(lot: Lot, { pieces }: Pick<Facts, 'pieces'>): ReadonlyMap<string, BoughtFor> {
  const prices = pricesIn(lot, pieces);
  const postage = splitExactly(lot.postage ?? 0, prices);
  return new Map(lot.pieces.map(({ pieceId }, at) => [pieceId, { price: prices[at], postage: postage[at] }]));
}

function pricesIn({ paid, split, pieces: own }: Lot, pieces: Facts['pieces']): number[] {
  if (split === 'by-worth')
    return splitExactly(paid, weightsByWorth(own.map(({ pieceId }) => pieces.find(({ id }) => id === pieceId)?.worth)));
  const typed = split === 'typed' ? own.map(({ share }) => share) : own.map(() => undefined);
  const said = typed.reduce<number>((sum, share) => sum + (share ?? 0), 0);
  const open = typed.filter((share) => share === undefined).length;
  if (open === 0 || said > paid)
    return splitExactly(
      paid,
      typed.map((share) => share ?? 0),
    );
  const rest = splitExactly(
    paid - said,
    Array.from({ length: open }, () => 1),
  );
  return typed.map((share) => share ?? rest.shift() ?? 0);
}

function weightsByWorth(worths: readonly (number | undefined)[]): number[] {
  const known = worths.filter((worth) => worth !== undefined);
  const mean = known.length > 0 ? known.reduce((sum, worth) => sum + worth, 0) / known.length : 1;
  return worths.map((worth) => worth ?? mean);
}

/** What a piece was bought for; null where nobody has said. */
export function boughtFor(pieceId: string, facts: Pick<Facts, 'lots' | 'pieces'>): BoughtFor | null {
  const shares = facts.lots.flatMap((lot) => lotShares(lot, facts).get(pieceId) ?? []);
  if (shares.length === 0) return null;
  return {
    price: shares.reduce((sum, { price }) => sum + price, 0),
    postage: shares.reduce((sum, { postage }) => sum + postage, 0),
  };
}
