import { type AirChange, changedAir, type Conditions } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import { type Plan, plan } from '../plan.ts';

/** What the person wonders about: other air from now on, or a later start. */
export type WhatIf = AirChange & { readonly startInMinutes?: number };

export type WhatIfAnswer = {
  readonly pieceId: string;
  /** End of the first plan that keeps every window. */
  readonly end: Minute | null;
  readonly sessions: number;
  readonly stopped: string | null;
};

/** The first feasible plan of every piece under a wish, without the runs that make its likely and safe dates. */
export function whatIf(facts: Facts, now: Minute, conditions: Conditions, wish: WhatIf): WhatIfAnswer[] {
  const result: Plan = plan({
    facts,
    now: now + (wish.startInMinutes ?? 0),
    conditions: changedAir(conditions, wish),
    datesOf: [],
  });
  return result.pieces.map((piece) => ({
    pieceId: piece.pieceId,
    end: piece.planned,
    sessions: piece.sessions,
    stopped: piece.stopped ?? null,
  }));
}
