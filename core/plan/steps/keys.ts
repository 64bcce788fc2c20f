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

/** The key of one coat of a layer. */
export function coatKey(pieceId: string, partId: string, layerId: string, number: number): string {
  return partKey(pieceId, partId, 'coat', layerId, number);
}
