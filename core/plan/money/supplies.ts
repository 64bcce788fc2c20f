import { addedUp, roundedUp, supplyKey, unitPrice } from '#core/amounts/index';
import { sessionSupplies } from '#core/buying/index';
import type { Piece, Stock, SupplyLine } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import type { Step } from '../steps/index.ts';

/** What a piece still uses up beside paint, line by line: what is on the shelf of it is used, the rest is bought. */
export type PricedSupply = SupplyLine & {
  /** Before it was rounded up to what is at hand: what several pieces share a pack by. */
  readonly exact: number;
  /** Reckoned, before the person corrected it. */
  readonly reckoned: number;
  readonly corrected: boolean;
  /** Of it on the shelf; null: some, never counted, taken to be enough. */
  readonly owned: number | null;
  readonly toBuy: number;
  /** Minor units of money for one unit. */
  readonly unitPrice: number;
  /** Minor units of money for what is to be bought: its share, where other pieces use of it too. */
  readonly cost: number;
  readonly source: 'own' | 'default';
};

/** A stay at the bench with the steps of all its pieces: gloves and tack cloths go by it. */
export type StayWith = { readonly from: Minute; readonly steps: readonly Step[] };

/**
 * @param steps those of the piece
 * @param stays those in which it is worked on
 * @param worn whether the piece has had its gloves of the day of a stay already
 */
export function pieceSupplies(
  piece: Piece,
  steps: readonly Step[],
  stock: readonly Stock[],
  stays: readonly StayWith[],
  worn: (pieceId: string, at: Minute) => boolean,
): PricedSupply[] {
  const own = steps.filter(({ stopped }) => stopped === undefined);
  const gloves = stays.filter(({ from }) => !worn(piece.id, from)).flatMap((stay) => ofSession(piece, stay.steps));
  return addedUp([...own.flatMap((step) => step.supplies), ...gloves])
    .filter((line) => roundedUp(line).amount > 0)
    .map((line) => priced(line, piece.supplies?.[supplyKey(line)], stock));
}

/** Gloves a pair a session, two with stripper; the share of this piece where others are worked on too (trade §12). */
function ofSession(piece: Piece, steps: readonly Step[]): SupplyLine[] {
  const mine = steps.filter((step) => step.pieceId === piece.id);
  const gloved = mine.filter(
    (step) => step.coat !== undefined || step.method !== undefined || step.stage === 'clean' || step.stage === 'metal-prep',
  );
  return sessionSupplies({
    gloved: gloved.length > 0,
    stripper: mine.some((step) => step.stage === 'strip-on' || step.stage === 'strip-off'),
    sprayed: mine.some((step) => step.coat !== undefined),
    share: 1 / Math.max(1, new Set(steps.map((step) => step.pieceId)).size),
  });
}

function priced(exact: SupplyLine, corrected: number | undefined, stock: readonly Stock[]): PricedSupply {
  const line = roundedUp(exact);
  const amount = corrected ?? line.amount;
  const row = stock.find((candidate) => candidate.kind === line.kind && candidate.spec === line.spec);
  const owned = row === undefined ? 0 : (row.left ?? null);
  const toBuy = owned === null ? 0 : Math.max(0, amount - owned);
  const { price, source } = unitPrice(line, stock);
  return {
    ...line,
    amount,
    exact: corrected ?? exact.amount,
    reckoned: line.amount,
    corrected: corrected !== undefined,
    owned,
    toBuy,
    unitPrice: price,
    cost: Math.round(toBuy * price),
    source,
  };
}
