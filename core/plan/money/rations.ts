import { type PaintNeed, type Purchases, type Reach, reachOf, usualCost } from '#core/buying/index';
import type { Facts } from '#core/facts/index';
import { coatsIn, hiddenSpots, type HiddenSpot, type PlannedStep, type RunsDry, runsDryAt } from '../dates/index.ts';

/** Paint that barely stretches, or does not: seen before it is mixed or shaken, with where to thin it out and what more would cost. */

export type Ration = {
  readonly mix: string;
  readonly name: string;
  readonly reach: Reach;
  /** Coats that what is here is more than enough for; below 0: so many are missing. */
  readonly marginCoats: number;
  /** The first coat it does not reach; null where it lasts. */
  readonly runsDry: RunsDry | null;
  /** Faces nobody sees, sprayed half as heavy, until it is enough; seen faces stay full, and metal stays covered. */
  readonly spots: readonly HiddenSpot[];
  readonly savesMl: number;
  /** Thinned out there, it lasts. */
  readonly lasts: boolean;
  /** What the list buys of it, minor units; null where it buys none. */
  readonly refill: number | null;
  /** Where it was mixed here: what the paints of a second mix cost. A second mix is never quite the first. */
  readonly remix: number | null;
};

/** Less than a coat over is no margin: a run, a windy day or a second look takes it. */
const MARGIN_COATS = 1;

/** @param facts with their zones divided @param steps those still to come */
export function rationsOf(needs: readonly PaintNeed[], steps: readonly PlannedStep[], purchases: Purchases, facts: Facts): Ration[] {
  return needs
    .filter(({ what, shelfMl }) => what === 'paint' && shelfMl > 0)
    .map((need) => rationOf(need, steps, purchases, facts))
    .filter(({ marginCoats, reach }) => marginCoats < MARGIN_COATS || reach.tight)
    .sort((a, b) => a.marginCoats - b.marginCoats);
}

function rationOf(need: PaintNeed, steps: readonly PlannedStep[], purchases: Purchases, facts: Facts): Ration {
  const own = coatsIn(need, steps);
  const reach = reachOf(need);
  const aCoat = need.coatsMl / Math.max(1, own.length);
  const short = need.neededMl - need.shelfMl;
  const spots: HiddenSpot[] = [];
  for (const spot of hiddenSpots(own, facts)) {
    if (savedBy(spots) >= short && spots.length > 0) break;
    spots.push(spot);
  }
  const lines = purchases.shops.flatMap((shop) => shop.lines.filter(({ want }) => want === need.mix));
  return {
    mix: need.mix,
    name: need.name,
    reach,
    marginCoats: aCoat > 0 ? -short / aCoat : 0,
    runsDry: runsDryAt(need, own),
    spots,
    savesMl: savedBy(spots),
    lasts: savedBy(spots) >= short,
    refill: lines.length > 0 ? lines.reduce((sum, { price }) => sum + price, 0) : null,
    remix: remixCost(need, short, facts),
  };
}

function savedBy(spots: readonly HiddenSpot[]): number {
  return spots.reduce((sum, { savesMl }) => sum + savesMl, 0);
}

function remixCost({ productId, hand }: PaintNeed, short: number, { products, sheets }: Facts): number | null {
  const mix = products.find(({ id }) => id === productId)?.mix;
  if (!mix || short <= 0) return null;
  const whole = mix.parts.reduce((sum, { ml }) => sum + ml, 0);
  return mix.parts.reduce((sum, part) => {
    const product = products.find(({ id }) => id === part.productId);
    const sheet = sheets.find(({ id }) => id === product?.sheetId);
    if (!product || !sheet) return sum;
    return sum + usualCost({ product, family: sheet.family, role: sheet.role, hand: sheet.hand ?? hand }, (part.ml / whole) * short);
  }, 0);
}
