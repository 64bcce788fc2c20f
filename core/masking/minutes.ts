import type { Curve, Edge } from '#core/facts/index';

/** Minutes of tape and cover (BRIEF §9, §12): the same for the order of colours and for the steps of the plan. */

/** Minutes a metre of tape line. */
export const TAPE_MINUTES_A_METRE: Record<Curve, number> = { straight: 4, gentle: 6, tight: 10, double: 15 };
const MASK_BASE = 3;
const UNMASK_BASE = 1;
const COVER_MINUTES_PER_100CM2 = 2;

/** Minutes to mask these edges and cover this area, and to take it off again. */
export function maskMinutes(
  edges: readonly Pick<Edge, 'mm' | 'curve'>[],
  coveredCm2: number,
): { mask: number; unmask: number; cover: number } {
  const line = edges.reduce((sum, edge) => sum + (edge.mm / 1000) * TAPE_MINUTES_A_METRE[edge.curve], 0);
  const metres = edges.reduce((sum, edge) => sum + edge.mm / 1000, 0);
  return { mask: MASK_BASE + line, unmask: UNMASK_BASE + metres, cover: (coveredCm2 / 100) * COVER_MINUTES_PER_100CM2 };
}
