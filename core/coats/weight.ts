import type { Layer, Weight } from '#core/facts/index';

/** Film, mL and hiding of a coat against a normal one (trade §6). */
export const WEIGHT_OF: Record<Weight, number> = { mist: 0.4, thin: 0.7, normal: 1, heavy: 1.5 };

/** The weight of each coat of a layer, first to last: as chosen, else normal. */
export function weightsOf(layer: Pick<Layer, 'coats' | 'weights'>): Weight[] {
  return Array.from({ length: layer.coats }, (_, index) => layer.weights?.[index] ?? 'normal');
}

/** Normal coats that the coats of a layer come to together. */
export function normalCoats(weights: readonly Weight[]): number {
  return weights.reduce((sum, weight) => sum + WEIGHT_OF[weight], 0);
}
