import type { WarmBy } from '#core/facts/index';

/** Kinds of warmth as a person says them. */
export const WARM_LABELS: Readonly<Record<WarmBy, string>> = { oven: 'low oven', sun: 'full sun', 'warm-room': 'warm room' };

/** What is told of each where it is chosen, beside the label of the paint. */
export const WARM_CAUTIONS: Readonly<Record<WarmBy, string>> = {
  oven: 'An oven of its own, never for food again; no gas, no glowing element; vented; only after flash-off; a thermometer beside the part, for cheap ovens overshoot. Gloves.',
  sun: 'Dark plastic stays out of the sun. In again before the air turns damp.',
  'warm-room': 'Never where people sleep while solvent comes out of the film.',
};
