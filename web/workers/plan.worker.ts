import { conditionsOf } from '#core/drying/index';
import type { Facts, Lab, Piece } from '#core/facts/index';
import {
  filmsAhead,
  type FilmsAhead,
  type JointOfPart,
  type Mended,
  type Outlook,
  outlook,
  plan,
  planView,
  type PlanView,
  type PricedWay,
  pricedMends,
  priceWays,
  sharpen,
  type SharpenQuestion,
  type Way,
  type WhatIf,
  type WhatIfAnswer,
  whatIf,
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
  mends(piece: Piece, entry: Pick<JointOfPart, 'partId' | 'layerId' | 'joint'>, lab: Lab, facts: Facts, now: number): Mended[] {
    return pricedMends(piece, entry, lab, facts, now, conditionsOf(facts, now), () => crypto.randomUUID());
  },
  films(facts: Facts, now: number): FilmsAhead {
    return filmsAhead(facts, now, conditionsOf(facts, now));
  },
  whatIf(facts: Facts, now: number, wish: WhatIf): WhatIfAnswer[] {
    return whatIf(facts, now, conditionsOf(facts, now), wish);
  },
  sharpen(piece: Piece, facts: Facts, now: number): SharpenQuestion[] {
    return sharpen(piece, facts, now, conditionsOf(facts, now));
  },
};
export type PlanApi = typeof api;
expose(api);
