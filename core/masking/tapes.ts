import type { Curve, Edge } from '#core/facts/index';

/** Which tape an edge asks for (trade §9). */

/** Fine-line tapes there are, mm wide. */
const FINE_LINES = [6, 3, 2, 1] as const;
/** The smallest smooth radius of a tape is so many times its width. */
const RADIUS_PER_WIDTH = 8;

/** Usual radius of a line where none was measured, mm. */
const USUAL_RADIUS: Record<Curve, number> = { straight: 24, gentle: 50, tight: 16, double: 10 };

/** The usual fine line for a straight edge is no wider than this, mm. */
const USUAL_WIDTH = 3;

/** The widest fine-line tape that lies smooth along an edge, mm. */
export function fineLineFor({ curve, radiusMm }: Pick<Edge, 'curve' | 'radiusMm'>): number {
  const radius = radiusMm ?? USUAL_RADIUS[curve];
  return FINE_LINES.find((width) => width <= USUAL_WIDTH && width * RADIUS_PER_WIDTH <= radius) ?? 1;
}

export type TapeNeed = { readonly widthMm: number; readonly mm: number };

/** Millimetres of each fine-line width along these edges, widest first. */
export function tapesFor(edges: readonly Pick<Edge, 'mm' | 'curve' | 'radiusMm'>[]): TapeNeed[] {
  const widths = [...new Set(edges.filter(({ mm }) => mm > 0).map(fineLineFor))].sort((a, b) => b - a);
  return widths.map((widthMm) => ({
    widthMm,
    mm: edges.filter((edge) => fineLineFor(edge) === widthMm).reduce((sum, edge) => sum + edge.mm, 0),
  }));
}
