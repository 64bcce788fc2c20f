import type { Conditions } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import { type Plan, plan } from '../plan.ts';

/** Another way to go on: the facts as they would be. */
export type Way = { readonly label: string; readonly facts: Facts };

/** What a way comes to for one piece, beside all the others as they are. */
export type PricedWay = {
  readonly label: string;
  readonly likely: Minute | null;
  readonly safe: Minute | null;
  readonly money: number;
  /** What it takes by use. */
  readonly byUse: number;
  readonly minutes: number;
  readonly sessions: number;
  readonly stopped: string | null;
};

/** Plans each way and says what it costs in dates, money and minutes; the first is what the others are compared with. */
export function priceWays(ways: readonly Way[], pieceId: string, now: Minute, conditions: Conditions): PricedWay[] {
  return ways.map(({ label, facts }) => pricedOf(label, plan({ facts, now, conditions, datesOf: [pieceId] }), pieceId));
}

/** What a plan says of one piece, as a way among others. */
export function pricedOf(label: string, result: Plan, pieceId: string): PricedWay {
  const own = result.pieces.find((piece) => piece.pieceId === pieceId);
  return {
    label,
    likely: own?.likely ?? null,
    safe: own?.safe ?? null,
    money: own?.money.total ?? 0,
    byUse: own?.money.byUse ?? 0,
    minutes: own?.attendedMinutes ?? 0,
    sessions: own?.sessions ?? 0,
    stopped: own?.stopped ?? null,
  };
}

/** The facts with one piece put in the place of the one of its id. */
export function withPiece(facts: Facts, piece: Facts['pieces'][number]): Facts {
  return { ...facts, pieces: facts.pieces.map((own) => (own.id === piece.id ? piece : own)) };
}
