import { stageReached } from '#core/drying/index';
import type { Facts, Label } from '#core/facts/index';
import { toMinute } from '#core/units/index';
import type { PlanContext } from './context.ts';

/** A still tacky film takes at least this much longer than it has had. */
const TACKY_FACTOR = 1.25;
/** Weight of the family default against observations: k = exp(n/(n+4) × mean ln(observed ÷ predicted)) (trade §8). */
const PRIOR_WEIGHT = 4;
/** σ of ln(real ÷ planned) of a wait nobody has observed (trade §17). */
export const SPREAD = 0.25;

type LearningContext = Pick<PlanContext, 'history' | 'clocks' | 'facts'>;

const cache = new WeakMap<object, Map<string, readonly number[]>>();

/** Observed ÷ predicted of each touch of a product's films; remembered for as long as the same log stands. */
function ratiosOf(productId: string, context: LearningContext): readonly number[] {
  const known = cache.get(context.history) ?? new Map<string, readonly number[]>();
  cache.set(context.history, known);
  const ratios = known.get(productId) ?? observations(productId, context);
  known.set(productId, ratios);
  return ratios;
}

/** The person's own factor for a product: how much longer it takes here than predicted; undefined without observations. */
export function learnedFactor(productId: string, context: LearningContext): number | undefined {
  return factorFrom(ratiosOf(productId, context));
}

/** How many touches the factor of a product rests on. */
export function observationsOf(productId: string, context: LearningContext): number {
  return ratiosOf(productId, context).length;
}

export type Learned = { readonly productId: string; readonly factor: number; readonly observations: number };

/** Every product with a factor of its own, and how many touches it rests on. */
export function learnedProducts(productIds: readonly string[], context: LearningContext): Learned[] {
  return productIds.flatMap((productId) => {
    const factor = learnedFactor(productId, context);
    return factor === undefined ? [] : [{ productId, factor, observations: observationsOf(productId, context) }];
  });
}

/** k from ratios of observed to predicted, shrunk towards 1. */
export function factorFrom(ratios: readonly number[]): number | undefined {
  if (ratios.length === 0) return undefined;
  const mean = ratios.reduce((sum, ratio) => sum + Math.log(ratio), 0) / ratios.length;
  return Math.exp((ratios.length / (ratios.length + PRIOR_WEIGHT)) * mean);
}

/** Observed ÷ predicted of each time a finger touched a film of this product. */
function observations(productId: string, context: LearningContext): number[] {
  const ratios: number[] = [];
  const forgotten = context.history.events.filter((event) => event.kind === 'forget' && event.productId === productId).at(-1);
  for (const event of context.history.events) {
    if (event.kind !== 'dryness' || (forgotten && toMinute(event.at) <= toMinute(forgotten.at))) continue;
    const coats = context.history.coatsOn(event.pieceId, event.partId, event.zoneId).filter((coat) => coat.at <= toMinute(event.at));
    const top = coats.at(-1);
    if (!top || top.productId !== productId) continue;
    const set = coats.filter((coat) => coat.layerId === top.layerId);
    const film = {
      family: top.family,
      label: labelOf(productId, context.facts),
      placeId: top.placeId,
      firstCoatEnd: set[0].at,
      lastCoatEnd: top.at,
      coatRatio: 1,
      filmRatio: set.length / 2,
    };
    const predicted = stageReached(film, event.stage === 'coat' ? 'coatFrom' : event.stage, context.clocks).at;
    const had = toMinute(event.at) - top.at;
    if (predicted === null || had < 1) continue;
    const seen = event.seen === 'dry' ? had : had * TACKY_FACTOR;
    const ratio = seen / (predicted - top.at);
    // Dry found late, or tacky found early, says nothing about the true moment.
    if ((event.seen === 'dry' && ratio < 1) || (event.seen === 'tacky' && ratio > 1)) ratios.push(Math.min(4, Math.max(0.25, ratio)));
  }
  return ratios;
}

function labelOf(productId: string, facts: Facts): Label | undefined {
  const product = facts.products.find((own) => own.id === productId);
  return facts.sheets.find((sheet) => sheet.id === product?.sheetId)?.label;
}

/** A product's spread narrows with the times a finger has touched its films (trade §17). */
export function spreadAfter(observations: number): number {
  return SPREAD / Math.sqrt(1 + observations);
}
