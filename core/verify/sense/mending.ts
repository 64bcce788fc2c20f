import type { Known, Layer, Piece, Task } from '#core/facts/index';
import type { Finding, MendChange } from './finding.ts';

/** What one press does about a finding: the facts that mend it, or the person's “I know”, and both taken back. */

/** The piece as the mend has it. */
export function mendedPiece(piece: Piece, change: MendChange): Piece {
  switch (change.kind) {
    case 'task-after':
      return ofTask(piece, change.taskId, (task) => ({ ...untied(task), after: { partId: change.partId, layerId: change.layerId } }));
    case 'task-anywhere':
      return ofTask(piece, change.taskId, untied);
    case 'fit-at-end':
      return { ...piece, parts: piece.parts.map(({ fit, ...part }) => (part.id === change.partId || !fit ? part : { ...part, fit })) };
    case 'no-flatting':
      return ofLayer(piece, change, ({ flatAfter: _dropped, ...layer }) => layer);
    case 'more-coats':
      return ofLayer(piece, change, (layer) => ({ ...layer, coats: change.coats }));
  }
}

function ofLayer(piece: Piece, of: { readonly partId: string; readonly layerId: string }, change: (layer: Layer) => Layer): Piece {
  const parts = piece.parts.map((part) =>
    part.id === of.partId ? { ...part, layers: part.layers.map((layer) => (layer.id === of.layerId ? change(layer) : layer)) } : part,
  );
  return { ...piece, parts };
}

function ofTask(piece: Piece, taskId: string, change: (task: Task) => Task): Piece {
  return { ...piece, tasks: (piece.tasks ?? []).map((task) => (task.id === taskId ? change(task) : task)) };
}

function untied({ after: _after, before: _before, ...task }: Task): Task {
  return task;
}

/** “I know”, said of this finding alone. */
export function withKnown(piece: Piece, { rule, partId, layerId, taskId }: Finding): Piece {
  const word: Known = { rule, ...(partId ? { partId } : {}), ...(layerId ? { layerId } : {}), ...(taskId ? { taskId } : {}) };
  return { ...piece, knows: [...(piece.knows ?? []), word] };
}

/** The word taken back. */
export function withoutKnown({ knows = [], ...piece }: Piece, word: Known): Piece {
  const left = knows.filter((own) => JSON.stringify(own) !== JSON.stringify(word));
  return left.length > 0 ? { ...piece, knows: left } : piece;
}
