import type { Curve, Edge } from '#core/facts/index';
import { areaGrowth } from '#core/units/index';

/** Minutes of tape and cover (trade §9, §12): the same for the order of colours and for the steps of the plan. */

/** Minutes a metre of tape line. */
export const TAPE_MINUTES_A_METRE: Record<Curve, number> = { straight: 4, gentle: 6, tight: 10, double: 15 };
const MASK_BASE = 3;
const UNMASK_BASE = 1;
const COVER_MINUTES_PER_100CM2 = 2;

/** Up to here covering goes with the area; beyond it sheets of paper grow with the piece, as all work by area does. */
const COVERED_BY_HAND_CM2 = 300;

/** Minutes to cover one zone: 2 a 100 cm² (trade §9), on large ones by the power that all work by area follows (trade §12). */
function coverMinutes(areaCm2: number): number {
  const byHand = Math.min(areaCm2, COVERED_BY_HAND_CM2);
  return (byHand / 100) * COVER_MINUTES_PER_100CM2 * Math.max(1, areaGrowth(areaCm2, COVERED_BY_HAND_CM2));
}

/** Minutes to mask these edges and cover zones of these areas, and to take it off again. */
export function maskMinutes(
  edges: readonly Pick<Edge, 'mm' | 'curve'>[],
  coveredCm2: readonly number[],
): { mask: number; unmask: number; cover: number } {
  const line = edges.reduce((sum, edge) => sum + (edge.mm / 1000) * TAPE_MINUTES_A_METRE[edge.curve], 0);
  const metres = edges.reduce((sum, edge) => sum + edge.mm / 1000, 0);
  return { mask: MASK_BASE + line, unmask: UNMASK_BASE + metres, cover: coveredCm2.reduce((sum, area) => sum + coverMinutes(area), 0) };
}
