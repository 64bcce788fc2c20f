import { type Act, type Part, type Piece, type Task, type When, WORK_STAGES } from '#core/facts/index';
import type { PlannedFilm } from '../../films/index.ts';
import { asksOfFilm, isWhole, PUTS_ON, ROUGH } from '../acts.ts';
import type { Step } from '../step.ts';

/** Where a step of the person's own stands among the steps of a part: where they tied it, else where what it does belongs. */

/** One part as far as it is planned: its steps in order, and the films of each of its zones, bottom to top. */
export type PlannedPart = { readonly part: Part; readonly steps: readonly Step[]; readonly films: readonly (readonly PlannedFilm[])[] };

/** Before `steps[at]` of that part; at their number: after all of them. */
export type Slot = {
  readonly own: PlannedPart;
  readonly at: number;
  /** The step that follows waits for the task. */
  readonly holds: boolean;
};

/** @returns the slots of a task on each part it is about or tied to, or why its ties contradict each other */
export function slotsOf(task: Task, acts: readonly Act[], piece: Piece, parts: readonly PlannedPart[]): readonly Slot[] | string {
  const tied = isTied(task);
  const slots: Slot[] = [];
  for (const own of parts) {
    const from = fromOf(task.after, own, piece);
    const to = toOf(task.before, own, piece);
    if (from !== null && to !== null && from > to) return contradiction(task, own);
    if (to !== null) slots.push({ own, at: to, holds: true }, ...(from === null ? [] : [{ own, at: from, holds: false }]));
    else if (from !== null)
      slots.push({ own, at: from, holds: from < own.steps.length && asksOfFilm(acts) !== null && !sharesWindow(own, from) });
    // Tied to another part, rough work still comes before what it would spoil here.
    else if (task.partIds.includes(own.part.id) && (!tied || isRough(acts))) slots.push({ own, ...usualPlace(acts, own) });
  }
  return slots;
}

/** The person has said when, at some part. */
export function isTied({ after, before }: Task): boolean {
  return (after !== undefined && !('taskId' in after)) || (before !== undefined && !('taskId' in before));
}

function contradiction({ name }: Task, { part }: PlannedPart): string {
  return `“${name}” is to come after something on ${part.name} that itself comes after what it is to come before: take one of its two ties out.`;
}

/** Work on its surface is behind it. */
function isPainted(steps: readonly Step[]): boolean {
  return !steps.some(({ stage }) => stage === 'prep' || stage === 'clean');
}

function isRough(acts: readonly Act[]): boolean {
  return acts.some((act) => ROUGH.includes(act)) && !acts.some((act) => PUTS_ON.includes(act) || isWhole(act));
}

/** Rough work stands before the part is cleaned for paint; what is put on, and what nobody knows, once all coats are on. */
function usualPlace(acts: readonly Act[], { steps }: PlannedPart): { at: number; holds: boolean } {
  const rough = isRough(acts);
  // Before the papers: what they are for is then all of it done.
  const clean = steps.findIndex(({ stage }) => isFrom(stage, 'prep'));
  if (!rough) return { at: steps.length, holds: false };
  if (clean >= 0 && steps[clean].coat === undefined && !isPainted(steps)) return { at: clean, holds: true };
  // Where paint lies already it comes before the next layer, never between two coats of one that has been begun.
  const next = steps.findIndex(({ coat, stage }) => coat?.number === 1 || stage === 'decal' || stage === 'detail');
  return next < 0 ? { at: steps.length, holds: false } : { at: next, holds: true };
}

function isFrom(stage: Step['stage'], from: Step['stage']): boolean {
  return WORK_STAGES.indexOf(stage) >= WORK_STAGES.indexOf(from);
}

/** What follows shares a short window with what is before it: nothing has a place between. */
function sharesWindow({ steps }: PlannedPart, at: number): boolean {
  const [before, next] = [steps[at - 1], steps[at]];
  return before !== undefined && next.constraints.some(({ together }) => together.some((id) => before.keys.includes(id)));
}

/** Behind the last step that a moment names; null where it names none of this part. */
function fromOf(when: When | undefined, { part, steps }: PlannedPart, piece: Piece): number | null {
  if (!when || 'taskId' in when || when.partId !== part.id) return null;
  const last = steps.findLastIndex((step) =>
    'layerId' in when ? isOfLayer(step, part, piece, when.layerId) : !isFrom(step.stage, next(when.stage)),
  );
  const unmasked = steps.findIndex((step, index) => index > last && step.stage !== 'unmask');
  return unmasked < 0 ? steps.length : unmasked;
}

function next(stage: Step['stage']): Step['stage'] {
  return WORK_STAGES[Math.min(WORK_STAGES.length - 1, WORK_STAGES.indexOf(stage) + 1)];
}

function toOf(when: When | undefined, { part, steps }: PlannedPart, piece: Piece): number | null {
  if (!when || 'taskId' in when || when.partId !== part.id) return null;
  const at = steps.findIndex((step) => ('layerId' in when ? isOfLayer(step, part, piece, when.layerId) : isFrom(step.stage, when.stage)));
  return at < 0 ? steps.length : at;
}

function isOfLayer(step: Step, part: Part, piece: Piece, layerId: string): boolean {
  return step.keys.some((key) => key.startsWith(`${piece.id}.${part.id}.`) && key.split('.')[3] === layerId);
}

/** The topmost film of each zone when a task's turn comes: laid already, or by steps before it. */
export function filmsAt({ own: { steps, films }, at }: Slot): readonly PlannedFilm[] {
  const later = new Set(steps.slice(at).flatMap(({ coat }) => (coat ? [coat.layerId] : [])));
  return films.flatMap((zone) => {
    const film = zone.findLast(({ layerId, soFar }) => soFar !== undefined || !later.has(layerId));
    if (!film) return [];
    return film.soFar && later.has(film.layerId) ? [{ ...film, last: film.soFar }] : [film];
  });
}
