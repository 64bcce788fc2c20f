import type { Act, FitStage, Part, Piece, Task, TaskKind } from '#core/facts/index';
import { lastAwaited } from '#core/survey/index';
import { listed } from '#core/units/index';
import type { Hazard } from '#core/safety/index';
import type { PlanContext } from '../../films/index.ts';
import { ACTS_OF_TASK, asksOfFilm, isWhole, PUTS_ON, ROUGH } from '../acts.ts';
import { type Constraint, stepsLookedAt } from '../constraint.ts';
import { after, dwell, onceReached } from '../constraints.ts';
import { pieceKey } from '../keys.ts';
import { pieceWide } from '../pieceWide.ts';
import type { Step } from '../step.ts';
import type { WorkPace } from '../workPace.ts';
import { fitTaskId, fitTasks } from './fitTasks.ts';
import { isTied, type PlannedPart, type Slot, slotsOf, filmsAt } from './placing.ts';

/** Steps of the person's own, and parts that go on before the end: tied to layers, to kinds of work and to each other. */

export type WithTasks = {
  readonly parts: readonly (readonly Step[])[];
  readonly tasks: readonly Step[];
  /** Tasks whose ties contradict each other or lead in a circle, by their id. */
  readonly stuck: readonly string[];
};

/** A part that cannot go on when that was said: it goes on at the end, and nothing loses its date. */
export type LateFit = { readonly partId: string; readonly because: string };

/** With each part at the end that cannot go on when it was said. */
export type Fitted = WithTasks & { readonly piece: Piece; readonly late: readonly LateFit[] };

type Planning = {
  readonly piece: Piece;
  readonly parts: readonly PlannedPart[];
  readonly context: PlanContext;
  readonly pace: WorkPace;
  readonly all: readonly Task[];
  /** The last step of the teardown: nothing of one's own comes before the pictures. */
  readonly apart: Step | undefined;
};

/** @param apart the last step of the teardown, where it is still to come */
export function withTasks(
  piece: Piece,
  parts: readonly PlannedPart[],
  context: PlanContext,
  pace: WorkPace,
  apart: Step | undefined,
): Fitted {
  const asSaid = tasksAmong(piece, parts, context, pace, apart);
  const stuck = piece.parts.filter((part) => part.fit && asSaid.stuck.includes(fitTaskId(part)));
  if (stuck.length === 0) return { ...asSaid, piece, late: [] };
  const atEnd = { ...piece, parts: piece.parts.map((part) => (stuck.includes(part) ? { ...part, fit: { stage: 'end' as const } } : part)) };
  return {
    ...tasksAmong(atEnd, parts, context, pace, apart),
    piece: atEnd,
    late: stuck.map((part) => ({ partId: part.id, because: lateText(part, piece) })),
  };
}

function lateText({ name, fit }: Part, { parts }: Piece): string {
  const host = parts.find(({ id }) => id === fit?.onPartId)?.name ?? 'the other';
  return `${name} goes on at the end: it cannot come ${PLACE_OF_FIT[fit?.stage ?? 'end']} ${host} any more, for the work that is left on both, or what else is tied to it, stands the other way round.`;
}

const PLACE_OF_FIT: Record<FitStage, string> = {
  'before-paint': 'before the paint of',
  'before-layer': 'between the layers of',
  'after-clear': 'after the last coat of',
  end: 'on',
};

function tasksAmong(piece: Piece, parts: readonly PlannedPart[], context: PlanContext, pace: WorkPace, apart: Step | undefined): WithTasks {
  const all = tasksOf(piece);
  const planning: Planning = { piece, parts, context, pace, all, apart };
  const waiting = parts.map((own) => doneTasksIn(own, planning));
  const open = all.filter((task) => !context.history.done.has(taskKey(piece, task)));
  return inOrder(open).reduce<WithTasks>((sofar, task) => withTask(sofar, task, planning), { parts: waiting, tasks: [], stuck: [] });
}

/** Tasks on parts that are there: the person's own, and parts that go on early. */
export function tasksOf(piece: Piece): Task[] {
  const there = new Set(piece.parts.filter(({ gone }) => !gone).map(({ id }) => id));
  return [...(piece.tasks ?? []), ...fitTasks(piece)].flatMap((task) => {
    const partIds = task.partIds.filter((id) => there.has(id));
    return partIds.length > 0 ? [{ ...task, partIds }] : [];
  });
}

/** The task among the steps; one whose ties lead in a circle is not planned, and says so. */
function withTask(sofar: WithTasks, task: Task, planning: Planning): WithTasks {
  const slots = slotsOf(task, actsOf(task), planning.piece, planning.parts);
  if (typeof slots === 'string') return stuckAt(sofar, task, slots, planning);
  const tried = placed(sofar, task, slots, planning, ownWorkDone(task, planning));
  if (tried) return tried;
  const together = asOneBody(task, slots, planning);
  const painted = together && placed(sofar, together.task, together.slots, planning, []);
  return painted ?? stuckAt(sofar, task, circleText(task), planning);
}

function stuckAt(sofar: WithTasks, task: Task, why: string, planning: Planning): WithTasks {
  return { ...sofar, tasks: [...sofar.tasks, stoppedTask(task, why, planning)], stuck: [...sofar.stuck, task.id] };
}

/** With the task in these slots; null where that leads in a circle. */
function placed(sofar: WithTasks, task: Task, slots: readonly Slot[], planning: Planning, own: readonly Constraint[]): WithTasks | null {
  const step = taskStep(task, slots, sofar.tasks, planning, own);
  const held = sofar.parts.map((steps, index) =>
    heldBack(
      steps,
      slots.filter((slot) => slot.own === planning.parts[index]),
      task,
      planning,
    ),
  );
  const tried: WithTasks = { ...sofar, parts: held, tasks: [...sofar.tasks, step] };
  return leadsInACircle(step.id, tried, planning) ? null : tried;
}

function circleText({ name }: Task): string {
  return `“${name}” would have to come before and after the same step, by what it and others are tied to: take one of its ties out.`;
}

/** A part that gets the same coats as what it goes on, and goes on before them, is painted with it as one body. */
function asOneBody(task: Task, slots: readonly Slot[], { parts }: Planning): { task: Task; slots: readonly Slot[] } | null {
  const own = parts.find(({ part }) => task.id === fitTaskId(part));
  const host = slots.find(({ holds }) => holds);
  const next = host?.own.steps[host.at];
  if (!own || !next) return null;
  const at = own.steps.findIndex(({ treatment }) => treatment !== null && treatment === next.treatment);
  if (at < 0) return null;
  const acts = actsOf(task).filter((act) => act !== 'cover');
  return { task: { ...task, acts: [...acts], note: 'painted with it as one body' }, slots: [...slots, { own, at, holds: true }] };
}

function leadsInACircle(id: string, { parts, tasks }: Pick<WithTasks, 'parts' | 'tasks'>, { parts: planned }: Planning): boolean {
  const before = new Map<string, readonly string[]>();
  for (const steps of parts)
    for (const [index, step] of steps.entries())
      before.set(step.id, [...step.constraints.flatMap(stepsLookedAt), ...(index > 0 ? [steps[index - 1].id] : [])]);
  for (const step of tasks) before.set(step.id, step.constraints.flatMap(stepsLookedAt));
  const seen = new Set<string>();
  const open = [...(before.get(id) ?? [])];
  // Rows join the same treatment of several parts: what one of them waits for, all do.
  const mates = matesOf(planned);
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (next === id) return true;
    if (seen.has(next)) continue;
    seen.add(next);
    open.push(...(before.get(next) ?? []), ...(mates.get(next) ?? []).flatMap((mate) => before.get(mate) ?? []));
  }
  return false;
}

function matesOf(parts: readonly PlannedPart[]): ReadonlyMap<string, readonly string[]> {
  const byTreatment = new Map<string, string[]>();
  const steps = parts.flatMap((own) => own.steps);
  for (const { id, treatment } of steps) if (treatment) byTreatment.set(treatment, [...(byTreatment.get(treatment) ?? []), id]);
  return new Map(steps.map(({ id, treatment }) => [id, (treatment ? byTreatment.get(treatment) : undefined) ?? []]));
}

function taskKey(piece: Piece, task: Task): string {
  return pieceKey(piece.id, 'task', task.id);
}

/** What is done in a task: as the person says, else as its kind does. */
export function actsOf({ kind, acts }: Task): readonly Act[] {
  return acts ?? ACTS_OF_TASK[kind];
}

const HAZARDS: Partial<Record<TaskKind, readonly Hazard[]>> = { screw: ['sharp'], 'old-glue': ['sharp'] };

const HOW: Record<TaskKind, string> = {
  own: '',
  glue: 'bare keyed faces, little glue, held until it grips',
  glazing: 'edges only, nothing that fogs; no finger on the inside',
  join: 'dry first, then the joint; wiped at once where it shows',
  'light-test':
    'at its working voltage, every compartment, in the dark; look for leaks and for the tone; low voltage only, mains is a technician’s',
  tyre: 'wrapped or stretched on, seam to the back',
  screw: 'cut to length, the end filed round',
  seals: 'fitted before anything is aligned',
  hang: 'hung and aligned on its seals; marks for later',
  'old-glue': 'scraped and wiped off to a clean keyed face',
};

function taskStep(task: Task, slots: readonly Slot[], earlier: readonly Step[], planning: Planning, own: readonly Constraint[]): Step {
  const { piece, context } = planning;
  const parcel = lastAwaited(
    piece.parcels.filter((own) => own.holds?.taskId === task.id),
    context.now,
  );
  const step = bareTask(task, planning, {
    constraints: [
      ...(planning.apart ? [after(planning.apart.id, 'pictures and teardown come first')] : []),
      ...slots.flatMap((slot) => behind(slot, actsOf(task))),
      ...tiedToTasks(task, planning),
      ...own,
      ...partsOfTheWhole(task, earlier, planning),
    ],
    ...(parcel && parcel.at === null ? { stopped: parcel.why } : {}),
  });
  return parcel && parcel.at !== null ? { ...step, notBefore: parcel.at, notBeforeWhy: parcel.why } : step;
}

function stoppedTask(task: Task, stopped: string, planning: Planning): Step {
  return bareTask(task, planning, { stopped });
}

function bareTask(task: Task, { piece, pace }: Planning, more: Pick<Partial<Step>, 'constraints' | 'stopped'>): Step {
  const names = piece.parts.filter((part) => task.partIds.includes(part.id)).map((part) => part.name);
  const step = pieceWide(piece, 'task', task.id, {
    title: task.name,
    acts: actsOf(task),
    minutes: task.minutes * pace('task', task.name),
    detail: [HOW[task.kind], task.note ?? '', task.aloneMinutes ? 'then left alone' : ''].filter(Boolean).join('; '),
    hazards: HAZARDS[task.kind] ?? [],
    because: `It is a step of your own, on ${listed(names)}.`,
    ...more,
  });
  return { ...step, on: step.on.filter(({ partId }) => task.partIds.includes(partId)) };
}

/** Behind the step before its place, and once every film that lies there bears it: not when the can is put down. */
function behind(slot: Slot, acts: readonly Act[]): Constraint[] {
  const last = slot.own.steps[slot.at - 1];
  const films = filmsAt(slot).flatMap((film) =>
    (asksOfFilm(acts) ?? []).map((stage) => onceReached(film, stage, `the ${film.name} must bear it`)),
  );
  return [...(last ? [after(last.id, 'what comes before it is done first')] : []), ...films];
}

/** What names it as coming before it, and what it names itself. */
function tiedToTasks(task: Task, { piece, all, context }: Planning): Constraint[] {
  const named = task.after && 'taskId' in task.after ? task.after.taskId : undefined;
  return all
    .filter(({ id, before }) => id === named || (before && 'taskId' in before && before.taskId === task.id))
    .map((other) => taskSettled(piece, other, context));
}

/** A part that is fitted early is itself finished first. */
function ownWorkDone(task: Task, { parts }: Planning): Constraint[] {
  const own = parts.find(({ part }) => task.id === fitTaskId(part));
  const last = own?.steps.at(-1);
  return [
    ...(last ? [after(last.id, 'it is finished itself before it goes on')] : []),
    ...(own?.films ?? []).flatMap((zone) => zone.slice(-1)).map((film) => onceReached(film, 'fit', `its ${film.name} must take handling`)),
  ];
}

/** The order of work among what nobody has tied: rough work, what is put on, what is hung or tried, what is closed (trade §2). */
function rankOf(acts: readonly Act[]): number | null {
  if (acts.includes('close')) return 3;
  if (acts.some(isWhole)) return 2;
  if (acts.some((act) => PUTS_ON.includes(act))) return 1;
  return acts.some((act) => ROUGH.includes(act)) ? 0 : null;
}

/** What nobody has tied, in the order of its kind; what is tied stands where it was. */
function inOrder(tasks: readonly Task[]): Task[] {
  const free = tasks.filter((task) => !isTied(task)).sort((a, b) => (rankOf(actsOf(a)) ?? 1) - (rankOf(actsOf(b)) ?? 1));
  return tasks.map((task) => (isTied(task) ? task : (free.shift() as Task)));
}

/** A task that nobody has tied waits for what comes before its kind on the same parts: a whole for its parts, a seal for the solvent. */
function partsOfTheWhole(task: Task, earlier: readonly Step[], { piece, all, context }: Planning): Constraint[] {
  const own = rankOf(actsOf(task));
  if (own === null || isTied(task)) return [];
  return all
    .filter((other) => other.id !== task.id && other.partIds.some((id) => task.partIds.includes(id)))
    .filter((other) => (rankOf(actsOf(other)) ?? own) < own)
    .filter((other) => !comesAfter(other, task, all) && !stoppedAmong(other, earlier))
    .map((other) => taskSettled(piece, other, context));
}

function stoppedAmong({ id }: Task, earlier: readonly Step[]): boolean {
  return earlier.some((step) => step.stopped !== undefined && step.id.split('.')[3] === id);
}

/** The other is tied behind this one, by however many tasks between. */
function comesAfter(other: Task, task: Task, all: readonly Task[], depth = 0): boolean {
  if (depth > all.length) return true;
  const named = (when: Task['after']) => (when && 'taskId' in when ? when.taskId : undefined);
  const befores = all.filter(({ id, before }) => named(before) === other.id && id !== other.id);
  const direct = [named(other.after), ...befores.map(({ id }) => id)].filter((id) => id !== undefined);
  return direct.some((id) => id === task.id || all.some((own) => own.id === id && comesAfter(own, task, all, depth + 1)));
}

/** Once a task is done and has stood for as long as it is left alone. */
export function taskSettled(piece: Piece, task: Task, { history }: PlanContext): Constraint {
  const key = taskKey(piece, task);
  const done = history.done.get(key);
  return dwell(done ? { at: done.at } : { step: key }, [task.aloneMinutes ?? 0, null], `“${task.name}” comes first`);
}

/** The step of a part that a task stands before waits for it. */
function heldBack(steps: readonly Step[], slots: readonly Slot[], task: Task, { piece, context }: Planning): readonly Step[] {
  const holding = slots.find(({ holds }) => holds);
  if (!holding) return steps;
  const wait = taskSettled(piece, task, context);
  return steps.map((step, index) => (index === holding.at ? { ...step, constraints: [...step.constraints, wait] } : step));
}

/** Glue of a task that is done may still be setting. */
function doneTasksIn(own: PlannedPart, { piece, parts, context, all }: Planning): readonly Step[] {
  return all.reduce<readonly Step[]>((steps, task) => {
    if (!context.history.done.has(taskKey(piece, task)) || !task.aloneMinutes) return steps;
    const slots = slotsOf(task, actsOf(task), piece, parts);
    const here = typeof slots === 'string' ? [] : slots.filter((slot) => slot.own === own);
    return heldBack(steps, here, task, { piece, parts, context, all, pace: () => 1, apart: undefined });
  }, own.steps);
}

/** What the fit at the end waits for: every task, and what it leaves to set. */
export function tasksDone(piece: Piece, context: PlanContext): Constraint[] {
  return tasksOf(piece).map((task) => taskSettled(piece, task, context));
}
