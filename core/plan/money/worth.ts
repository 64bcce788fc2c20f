import type { Facts, Piece } from '#core/facts/index';
import { type BoughtFor, boughtFor } from './lots.ts';
import type { PieceMoney } from './money.ts';

/** What a piece comes to in all, beside what it will be worth and what one that is ready would cost; minor units. */

export type Worth = {
  readonly bought: BoughtFor | null;
  /** Money that goes out for the work on it, likely and safe. */
  readonly work: number;
  readonly workSafe: number;
  /** With what it was bought for. */
  readonly allIn: number;
  readonly allInSafe: number;
  /** Left over once it is finished, by its worth; null where nobody has said what it will be worth. */
  readonly gain: number | null;
  /** What repainting saves against one that is ready; below 0: the ready one is cheaper. What the piece itself was bought for is gone either way. */
  readonly saves: number | null;
};

export function worthOf(piece: Piece, money: Pick<PieceMoney, 'total' | 'forecast'>, facts: Pick<Facts, 'lots' | 'pieces'>): Worth {
  const bought = boughtFor(piece.id, facts);
  const came = bought ? bought.price + bought.postage : 0;
  return {
    bought,
    work: money.total,
    workSafe: money.forecast,
    allIn: came + money.total,
    allInSafe: came + money.forecast,
    gain: piece.worth === undefined ? null : piece.worth - came - money.total,
    saves: piece.readyMade === undefined ? null : piece.readyMade - money.total,
  };
}
