import type { Known, Piece, Task } from '#core/facts/index';
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
      return {
        ...piece,
        parts: piece.parts.map((part) => (part.id === change.partId ? { ...part, layers: unflatted(part.layers, change.layerId) } : part)),
      };
  }
}

function unflatted(layers: Piece['parts'][number]['layers'], layerId: string) {
  return layers.map(({ flatAfter, ...layer }) => (layer.id === layerId || flatAfter === undefined ? layer : { ...layer, flatAfter }));
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
