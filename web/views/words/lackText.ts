import type { PaintNeed } from '#core/buying/index';

/** What is bought of it; what an own mix lacks is mixed, and its paints stand in the list for it. */
export function lackText({ missingMl, toMixMl }: Pick<PaintNeed, 'missingMl' | 'toMixMl'>, volume: (ml: number) => string): string {
  if (toMixMl > 0) return `mixed, ${volume(toMixMl)}`;
  return missingMl > 0 ? volume(missingMl) : 'covered';
}
