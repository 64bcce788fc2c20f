import type { Part, Piece } from '#core/facts/index';
import type { Hazard } from '#core/safety/index';
import { surfaceHazards } from './beforePaint/surfaceParts.ts';

export type HazardousWork = { readonly piece: Piece; readonly part: Part };

/** Hazards of the old surface and those of the work on it, each once. */
export function hazardsOf({ part, piece }: HazardousWork, own: readonly Hazard[]): Hazard[] {
  return [...new Set([...surfaceHazards(part, piece), ...own])];
}
