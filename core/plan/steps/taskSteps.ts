import {
  type Act,
  type FasteningKind,
  type Fit,
  type Part,
  type Piece,
  type Task,
  type TaskKind,
  type When,
  WORK_STAGES,
} from '#core/facts/index';
import { GLUE_SETS_MINUTES, glueNote, lastAwaited, lostByFitting } from '#core/survey/index';
import { listed } from '#core/units/index';
import type { Hazard } from '#core/safety/index';
import type { PlanContext, PlannedFilm } from '../films/index.ts';
import { ACTS_OF_JOINT, ACTS_OF_TASK } from './acts.ts';
import type { Constraint } from './constraint.ts';
import { after, dwell, onceReached } from './constraints.ts';
import { pieceKey } from './keys.ts';
import { pieceWide } from './pieceWide.ts';
import type { Step } from './step.ts';
import type { WorkPace } from './workPace.ts';

/** Steps of the person's own, and parts that go on before the end: tied to layers, to kinds of work and to each other. */

/** One part as far as it is planned: its steps in order, and the film each of its layers leaves. */
export type PlannedPart = { readonly part: Part; readonly steps: readonly Step[]; readonly films: readonly PlannedFilm[] };

export type WithTasks = { readonly parts: readonly (readonly Step[])[]; readonly tasks: readonly Step[] };

export function withTasks(piece: Piece, parts: readonly PlannedPart[], context: PlanContext, pace: WorkPace): WithTasks {
  const all = [...(piece.tasks ?? []), ...fitTasks(piece)];
  if (all.length === 0) return { parts: parts.map(({ steps }) => steps), tasks: [] };
  const open = all.filter((task) => !context.history.done.has(taskKey(piece, task)));
  const tasks = open.map((task) => taskStep(piece, task, all, parts, context, pace));
  return {
    tasks,
    parts: parts.map((own) =>
      open.reduce<readonly Step[]>((steps, task) => heldBack(steps, own, piece, task), doneTasksIn(own, all, piece, context)),
    ),
  };
}

function taskKey(piece: Piece, task: Task): string {
  return pieceKey(piece.id, 'task', task.id);
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

/** What is done in a task: as the person says, else as its kind does; what is covered at once is covered with it. */
function actsOf({ kind, acts }: Task): readonly Act[] {
  return acts ?? ACTS_OF_TASK[kind];
}

function taskStep(
  piece: Piece,
  task: Task,
  all: readonly Task[],
  parts: readonly PlannedPart[],
  context: PlanContext,
  pace: WorkPace,
): Step {
  const names = piece.parts.filter((part) => task.partIds.includes(part.id)).map((part) => part.name);
  const parcel = lastAwaited(
    piece.parcels.filter((own) => own.holds?.taskId === task.id),
    context.now,
  );
  const step = pieceWide(piece, 'task', task.id, {
    title: task.name,
    acts: actsOf(task),
    minutes: task.minutes * pace('task', task.name),
    detail: [HOW[task.kind], task.note ?? '', task.aloneMinutes ? 'then left alone' : ''].filter(Boolean).join('; '),
    hazards: HAZARDS[task.kind] ?? [],
    because: `It is a step of your own, on ${listed(names)}.`,
    constraints: [
      ...(task.after ? afterThat(task.after, piece, all, parts, context) : []),
      ...beforeIt(task, piece, all, context),
      ...ownWorkDone(task, parts),
    ],
    ...(parcel && parcel.at === null ? { stopped: parcel.why } : {}),
  });
  return {
    ...step,
    on: step.on.filter(({ partId }) => task.partIds.includes(partId)),
    ...(parcel && parcel.at !== null ? { notBefore: parcel.at, notBeforeWhy: parcel.why } : {}),
  };
}

/** Tasks that name this one as what they come before. */
function beforeIt(task: Task, piece: Piece, all: readonly Task[], context: PlanContext): Constraint[] {
  return all
    .filter(({ before }) => before && 'taskId' in before && before.taskId === task.id)
    .map((other) => taskSettled(piece, other, context));
}

/** A part that is fitted early is itself finished first. */
function ownWorkDone(task: Task, parts: readonly PlannedPart[]): Constraint[] {
  const own = parts.find(({ part }) => task.id === fitTaskId(part));
  const last = own?.steps.at(-1);
  return [
    ...(last ? [after(last.id, 'it is finished itself before it goes on')] : []),
    ...(own?.films ?? []).map((film) => onceReached(film, 'fit', `its ${film.name} must take handling`)),
  ];
}

/** What a task waits for: another task and its setting, a layer that bears a hand, or the last of a kind of work. */
function afterThat(when: When, piece: Piece, all: readonly Task[], parts: readonly PlannedPart[], context: PlanContext): Constraint[] {
  if ('taskId' in when) {
    const before = all.find((task) => task.id === when.taskId);
    return before ? [taskSettled(piece, before, context)] : [];
  }
  const own = parts.find(({ part }) => part.id === when.partId);
  if (!own) return [];
  if ('layerId' in when) {
    const last = own.steps.filter((step) => isOfLayer(step, own.part, piece, when.layerId)).at(-1);
    const film = own.films.find(({ layerId }) => layerId === when.layerId);
    return [
      ...(last ? [after(last.id, 'the layer before it is finished first')] : []),
      ...(film ? [onceReached(film, 'handle', `the ${film.name} must bear a hand`)] : []),
    ];
  }
  const last = own.steps.filter((step) => WORK_STAGES.indexOf(step.stage) <= WORK_STAGES.indexOf(when.stage)).at(-1);
  return last ? [after(last.id, 'what comes before it is done first')] : [];
}

/** Once a task is done and has stood for as long as it is left alone. */
export function taskSettled(piece: Piece, task: Task, { history }: PlanContext): Constraint {
  const key = taskKey(piece, task);
  const done = history.done.get(key);
  return dwell(done ? { at: done.at } : { step: key }, [task.aloneMinutes ?? 0, null], `“${task.name}” comes first`);
}

/** The first step of a part that a task comes before waits for it. */
function heldBack(steps: readonly Step[], own: PlannedPart, piece: Piece, task: Task): readonly Step[] {
  const at = placeBefore(steps, own.part, piece, task.before);
  if (at < 0) return steps;
  const wait = dwell({ step: taskKey(piece, task) }, [task.aloneMinutes ?? 0, null], `“${task.name}” comes first`);
  return steps.map((step, index) => (index === at ? { ...step, constraints: [...step.constraints, wait] } : step));
}

/** Glue of a task that is done may still be setting. */
function doneTasksIn(own: PlannedPart, all: readonly Task[], piece: Piece, context: PlanContext): readonly Step[] {
  return all.reduce<readonly Step[]>((steps, task) => {
    const done = context.history.done.get(taskKey(piece, task));
    const at = done && task.aloneMinutes ? placeBefore(steps, own.part, piece, task.before) : -1;
    if (at < 0) return steps;
    return steps.map((step, index) =>
      index === at ? { ...step, constraints: [...step.constraints, taskSettled(piece, task, context)] } : step,
    );
  }, own.steps);
}

function placeBefore(steps: readonly Step[], part: Part, piece: Piece, when: When | undefined): number {
  if (!when || 'taskId' in when || when.partId !== part.id) return -1;
  if ('layerId' in when) return steps.findIndex((step) => isOfLayer(step, part, piece, when.layerId));
  return steps.findIndex((step) => WORK_STAGES.indexOf(step.stage) >= WORK_STAGES.indexOf(when.stage));
}

function isOfLayer(step: Step, part: Part, piece: Piece, layerId: string): boolean {
  return step.keys.some((key) => key.startsWith(`${piece.id}.${part.id}.`) && key.split('.')[3] === layerId);
}

/** What the fit at the end waits for: every task, and what it leaves to set. */
export function tasksDone(piece: Piece, context: PlanContext): Constraint[] {
  return [...(piece.tasks ?? []), ...fitTasks(piece)].map((task) => taskSettled(piece, task, context));
}

const FIT_MINUTES = 5;
const COVER_MINUTES = 2;

/** Parts that go on before the end, as tasks between the layers of what they sit on. */
export function fitTasks(piece: Piece): Task[] {
  return piece.parts.flatMap((part) => {
    const host = piece.parts.find((own) => own.id === part.fit?.onPartId);
    if (!part.fit || part.fit.stage === 'end' || !host || part.gone) return [];
    return [fitTask(piece, part, host, part.fit)];
  });
}

function fitTaskId(part: Part): string {
  return `fit-${part.id}`;
}

function fitTask(piece: Piece, part: Part, host: Part, fit: Fit): Task {
  const joint = (piece.fastenings ?? []).find(({ a, b }) => (a === part.id && b === host.id) || (a === host.id && b === part.id));
  const glued = joint ? joint.kind === 'glue' : part.staysClear;
  const covered = fit.stage !== 'after-clear';
  return {
    id: fitTaskId(part),
    kind: part.staysClear ? 'glazing' : glued ? 'glue' : 'own',
    name: `Fit ${part.name} on ${host.name}`.slice(0, 80),
    partIds: [part.id, host.id],
    minutes: FIT_MINUTES * part.copies + (covered ? COVER_MINUTES * part.copies : 0),
    ...(glued ? { aloneMinutes: GLUE_SETS_MINUTES } : {}),
    ...momentsOf(host, fit),
    acts: [...actsOfFit(part, joint?.kind, glued), ...(covered ? (['cover'] as const) : [])],
    note: [
      glued ? glueNote(part.material, host.material) : '',
      covered ? 'covered before the coats that follow' : '',
      ...lostByFitting(piece, part, fit).map((text) => text.replace(/\.$/, '')),
    ]
      .filter(Boolean)
      .join('; ')
      .slice(0, 200),
  };
}

/** How a part goes on its host: by its joint; without one as it came off. */
function actsOfFit(part: Part, kind: FasteningKind | undefined, glued: boolean): readonly Act[] {
  if (kind) return ACTS_OF_JOINT[kind];
  return glued || part.staysClear ? ['glue-on'] : ['slide-on'];
}

/** Before paint: between surface and cleaning. Before a layer: once the one below it bears a hand. After clear: at the end of its coats. */
function momentsOf(host: Part, fit: Fit): Pick<Task, 'after' | 'before'> {
  if (fit.stage === 'before-paint') return { after: { partId: host.id, stage: 'prep' }, before: { partId: host.id, stage: 'clean' } };
  const at = host.layers.findIndex((layer) => layer.id === fit.layerId);
  const below = host.layers[at - 1];
  if (fit.stage === 'after-clear' || at < 0)
    return host.layers.length > 0 ? { after: { partId: host.id, layerId: host.layers.at(-1)?.id ?? '' } } : {};
  return {
    ...(below ? { after: { partId: host.id, layerId: below.id } } : {}),
    ...(host.layers[at] ? { before: { partId: host.id, layerId: host.layers[at].id } } : {}),
  };
}
