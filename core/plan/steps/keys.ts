import type { WorkStage } from '#core/facts/index';

/**
 * Step keys: ids given once (piece, part, layer) with stage, coat and attempt. Renaming or inserting a layer never
 * re-points a log event; readable names are for display only.
 */
export function partKey(pieceId: string, partId: string, stage: WorkStage, subject = '-', number = 1): string {
  return `${pieceId}.${partId}.${stage}.${subject}.${number}`;
}

export function pieceKey(pieceId: string, stage: WorkStage, subject = '-', number = 1): string {
  return partKey(pieceId, '-', stage, subject, number);
}

/** The first of two positions of a part; the second has the key of a part with one. */
export type FirstPosition = 'back';

export function inPosition(key: string, position: FirstPosition | null): string {
  return position ? `${key}.${position}` : key;
}

/** The key of one coat of a layer. */
export function coatKey(pieceId: string, partId: string, layerId: string, number: number, position: FirstPosition | null = null): string {
  return inPosition(partKey(pieceId, partId, 'coat', layerId, number), position);
}

/** The key of the warm spell after a layer. */
export function warmKey(pieceId: string, partId: string, layerId: string): string {
  return partKey(pieceId, partId, 'warm', layerId);
}
