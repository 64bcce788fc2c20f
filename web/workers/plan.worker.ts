import { conditionsOf } from '#core/drying/index';
import type { Facts, Piece } from '#core/facts/index';
import {
  type Outlook,
  outlook,
  plan,
  planView,
  type PlanView,
  type PricedWay,
  priceWays,
  sharpen,
  type SharpenQuestion,
  type Way,
} from '#core/plan/index';
import { expose } from 'comlink';

/** The plan is worked out here, away from the finger. */
const api = {
  plan(facts: Facts, now: number, stayMinutes?: number): PlanView {
    return planView(plan({ facts, now, conditions: conditionsOf(facts, now), stayMinutes }));
  },
  outlook(piece: Piece, facts: Facts, now: number): Outlook {
    return outlook(piece, facts, now, conditionsOf(facts, now));
  },
  ways(ways: readonly Way[], pieceId: string, now: number): PricedWay[] {
    return ways[0] ? priceWays(ways, pieceId, now, conditionsOf(ways[0].facts, now)) : [];
  },
  sharpen(piece: Piece, facts: Facts, now: number): SharpenQuestion[] {
    return sharpen(piece, facts, now, conditionsOf(facts, now));
  },
};
export type PlanApi = typeof api;
expose(api);
