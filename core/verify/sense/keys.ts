import type { Part, Piece, Task } from '#core/facts/index';
import type { PlannedStep } from '#core/plan/index';

/** What a step is about, by the ids in its key. */

type OfPiece = { readonly piece: Piece; readonly step: PlannedStep };

/** The words of a step’s key: piece, part or “-”, stage, subject, number. */
export function keyOf(step: PlannedStep): { readonly subject: string; readonly number: number } {
  const [, , , subject, number] = step.id.split('.');
  return { subject, number: Number(number) };
}

/** The task of the person’s own that a step is; undefined for all others. */
export function taskOf({ piece, step }: OfPiece): Task | undefined {
  return step.stage === 'task' ? piece.tasks?.find(({ id }) => id === keyOf(step).subject) : undefined;
}

/** The part that a step fits on another. */
export function fittedPart({ piece, step }: OfPiece): Part | undefined {
  const { subject } = keyOf(step);
  if (step.stage === 'assemble') return piece.parts.find(({ id }) => id === subject);
  return step.stage === 'task' ? piece.parts.find(({ id }) => subject === `fit-${id}`) : undefined;
}
