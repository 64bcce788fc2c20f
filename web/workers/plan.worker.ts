import { newId } from '../app/newId.ts';
import { type Conditions, conditionsOf } from '#core/drying/index';
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

type Standing = { readonly facts: Facts; readonly now: number; readonly conditions: Conditions };
let held: Standing | null = null;

/** The facts asked about with the air of that minute; null means those handed over before. */
function standing(facts: Facts | null, now: number): Standing {
  const own = facts ?? held?.facts;
  if (!own) throw new Error('The planner was asked before it had any facts.');
  if (held?.facts !== own || held.now !== now) held = { facts: own, now, conditions: conditionsOf(own, now) };
  return held;
}

/** The plan is worked out here, away from the finger. */
const api = {
  plan(facts: Facts | null, now: number, stayMinutes?: number): PlanView {
    return planView(plan({ ...standing(facts, now), stayMinutes }));
  },
  outlook(facts: Facts | null, now: number, piece: Piece): Outlook {
    const own = standing(facts, now);
    return outlook(piece, own.facts, now, own.conditions);
  },
  ways(ways: readonly Way[], pieceId: string, now: number): PricedWay[] {
    return ways[0] ? priceWays(ways, pieceId, now, conditionsOf(ways[0].facts, now)) : [];
  },
  mends(facts: Facts | null, now: number, piece: Piece, entry: Pick<JointOfPart, 'partId' | 'layerId' | 'joint'>, lab: Lab): Mended[] {
    const own = standing(facts, now);
    return pricedMends(piece, entry, lab, own.facts, now, own.conditions, newId);
  },
  films(facts: Facts | null, now: number): FilmsAhead {
    const own = standing(facts, now);
    return filmsAhead(own.facts, now, own.conditions);
  },
  whatIf(facts: Facts | null, now: number, wish: WhatIf): WhatIfAnswer[] {
    const own = standing(facts, now);
    return whatIf(own.facts, now, own.conditions, wish);
  },
  sharpen(facts: Facts | null, now: number, piece: Piece): SharpenQuestion[] {
    const own = standing(facts, now);
    return sharpen(piece, own.facts, now, own.conditions);
  },
};
export type PlanApi = typeof api;
expose(api);
