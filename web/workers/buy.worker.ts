import { buy, type ProvenPurchases, type Want } from '#core/buying/index';
import { conditionsOf } from '#core/drying/index';
import type { Facts } from '#core/facts/index';
import { type Savings, savingsOf } from '#core/plan/index';
import { expose } from 'comlink';
import { solveWithHighs } from '../../solver/highs.ts';

/**
 * Who waits at a screen is told the best there is within five seconds, with what could be cheaper at most. The solver looks at the clock
 * only now and then, so it is given less.
 */
const SECONDS = 4.3;

/** The cheapest purchases are worked out here: the solver does not look up until it is done. */
const api = {
  buy: (wants: readonly Want[], facts: Facts, now: number): Promise<ProvenPurchases> => buy(wants, facts, now, solveWithHighs, SECONDS),
  savings: (facts: Facts, now: number): Promise<Savings> =>
    savingsOf({ facts, now, conditions: conditionsOf(facts, now) }, solveWithHighs, SECONDS),
};
export type BuyApi = typeof api;
expose(api);
