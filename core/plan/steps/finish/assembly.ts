import { type Fastening, type Part, type Piece, plain, type Task } from '#core/facts/index';
import { fitOrder, GLUE_SETS_MINUTES, glueNote, lastAwaited, partAreaCm2, unreachableLater } from '#core/survey/index';
import { counted, listed } from '#core/units/index';
import type { PlanContext, PlannedFilm } from '../../films/index.ts';
import { ACTS_OF_JOINT, isWhole } from '../acts.ts';
import type { Constraint } from '../constraint.ts';
import { dwell, onceReached } from '../constraints.ts';
import { pieceKey } from '../keys.ts';
import { pieceWide } from '../pieceWide.ts';
import type { Step } from '../step.ts';
import { isTied } from '../tasks/placing.ts';
import { actsOf, taskSettled, tasksOf } from '../tasks/taskSteps.ts';
import type { WorkPace } from '../workPace.ts';

/** Putting the piece together again, part by part in the order of fitting, each with its minutes and what it waits for. */

const FIT_MINUTES = 3;
const NEXT_COPY_MINUTES = 1;

/** A part as far as it is planned: the last of its own steps, and what lies on top of each of its zones. */
export type FinishedPart = { readonly part: Part; readonly ends: readonly Constraint[]; readonly tops: readonly PlannedFilm[] };

export type Assembling = {
  readonly made: readonly FinishedPart[];
  readonly stopped: string | undefined;
  readonly pace: WorkPace;
};

/** One part going on: onto what is together by then, by which joints. */
type Going = { readonly part: Part; readonly together: readonly Part[]; readonly joints: readonly Fastening[] };

/** Each part after the first, onto what is together by then. */
export function assemblySteps(piece: Piece, context: PlanContext, assembling: Assembling): Step[] {
  const goings = goingOn(piece);
  return goings.flatMap((going, index) => {
    if (context.history.done.has(assemblyKey(piece, going.part))) return [];
    return [assemblyStep(piece, going, onceOn(piece, goings[index - 1], context), context, assembling)];
  });
}

/** What the last checks wait for: the last part that goes on, and its glue. */
export function assembled(piece: Piece, context: PlanContext): Constraint[] {
  return onceOn(piece, goingOn(piece).at(-1), context);
}

/** In the order of fitting; parts that went on earlier, are gone or never came off are passed over. */
function goingOn(piece: Piece): Going[] {
  const [base, ...others] = fitOrder(piece).filter(
    (part) => !part.gone && !part.tile && !part.maskedInPlace && (part.fit?.stage ?? 'end') === 'end' && !staysIn(piece, part),
  );
  // What is hung or closed by a step of its own comes after all that goes on it (trade §2).
  const wholes = new Set(wholeTasks(piece).flatMap(({ partIds }) => partIds));
  const parts = base ? [base, ...others.filter(({ id }) => !wholes.has(id)), ...others.filter(({ id }) => wholes.has(id))] : [];
  return parts.slice(1).map((part, index) => {
    const together = parts.slice(0, index + 1);
    return { part, together, joints: jointsTo(piece, part, together) };
  });
}

/** Steps of the person's own that hang, try or close what is together, and that nobody has tied to a moment. */
export function wholeTasks(piece: Piece): Task[] {
  return tasksOf(piece).filter((task) => !isTied(task) && actsOf(task).some(isWhole));
}

/** What a hanging, a trial or a closing waits for: parts that go onto its own, and are none of them. */
export function goingOnBefore(piece: Piece, task: Task): string[] {
  const wholes = new Set(wholeTasks(piece).flatMap(({ partIds }) => partIds));
  return goingOn(piece).flatMap(({ part, together, joints }) => {
    const onto = joints.length > 0 ? joints.flatMap(({ a, b }) => [a, b]) : [together[0].id];
    const touches = task.partIds.some((id) => onto.includes(id));
    return touches && !wholes.has(part.id) ? [assemblyKey(piece, part)] : [];
  });
}

/** A peened axle is left as it is: the smaller part that turns on it never came off the larger. */
function staysIn({ fastenings = [], parts }: Piece, part: Part): boolean {
  const own = fastenings.filter(({ a, b }) => a === part.id || b === part.id);
  const others = parts.filter(({ id }) => id !== part.id && own.some(({ a, b }) => a === id || b === id));
  return own.length > 0 && own.every(({ kind }) => kind === 'axle') && others.some((other) => partAreaCm2(other) > partAreaCm2(part));
}

function jointsTo({ fastenings = [] }: Piece, part: Part, together: readonly Part[]): Fastening[] {
  const ids = new Set(together.map(({ id }) => id));
  return fastenings.filter(({ a, b }) => (a === part.id && b !== undefined && ids.has(b)) || (b === part.id && ids.has(a)));
}

/** Once a part is on, and its glue has set. */
function onceOn(piece: Piece, going: Going | undefined, { history }: PlanContext): Constraint[] {
  if (!going) return [];
  const key = assemblyKey(piece, going.part);
  const done = history.done.get(key);
  const glued = going.joints.some(({ kind }) => kind === 'glue');
  const reason = glued ? 'the glue sets before anything pulls on it' : `${going.part.name.toLowerCase()} goes on first`;
  return [dwell(done ? { at: done.at } : { step: key }, [glued ? GLUE_SETS_MINUTES : 0, null], reason)];
}

function assemblyKey(piece: Piece, part: Part): string {
  return pieceKey(piece.id, 'assemble', part.id);
}

function assemblyStep(
  piece: Piece,
  { part, together, joints }: Going,
  follows: readonly Constraint[],
  context: PlanContext,
  { made, stopped, pace }: Assembling,
): Step {
  const hosts = together.filter((own) => joints.some(({ a, b }) => a === own.id || b === own.id));
  const onto = hosts.length > 0 ? hosts : together.slice(0, 1);
  const own = made.filter((finished) => finished.part.id === part.id || onto.some(({ id }) => id === finished.part.id));
  const awaited = lastAwaited(
    piece.parcels.filter(({ holds }) => holds?.partId === part.id && holds.stage === 'assemble'),
    context.now,
  );
  const step = pieceWide(piece, 'assemble', part.id, {
    acts:
      joints.length > 0 ? [...new Set(joints.flatMap(({ kind }) => ACTS_OF_JOINT[kind]))] : part.staysClear ? ['glue-on'] : ['slide-on'],
    title: `Fit ${part.name.toLowerCase()} ${part.copies > 1 ? `× ${part.copies} ` : ''}to ${listed(onto.map(({ name }) => name.toLowerCase()))}`,
    minutes: pace('assemble', null) * (FIT_MINUTES + NEXT_COPY_MINUTES * (part.copies - 1)),
    detail: detailOf(piece, part, onto, joints),
    hazards: [],
    because: 'Parts go together once the films of both take screws and sliding, in the order in which nothing is shut in.',
    constraints: [
      ...follows,
      ...own.flatMap(({ ends }) => ends),
      ...own.flatMap(({ tops }) => tops.map((film) => onceReached(film, 'fit', `the ${film.name} must take handling and screws`))),
      ...tasksOf(piece)
        .filter((task) => task.partIds.includes(part.id))
        .map((task) => taskSettled(piece, task, context)),
    ],
    ...(stopped ? { stopped } : awaited?.at === null ? { stopped: awaited.why } : {}),
  });
  return {
    ...step,
    on: step.on.filter(({ partId }) => partId === part.id || onto.some(({ id }) => id === partId)),
    pegs: part.pegs,
    ...(awaited && awaited.at !== null ? { notBefore: awaited.at, notBeforeWhy: awaited.why } : {}),
  };
}

function detailOf(piece: Piece, part: Part, onto: readonly Part[], joints: readonly Fastening[]): string {
  const materialOf = new Map(piece.parts.map(({ id, material }) => [id, material]));
  return [
    ...joints.map((joint) => `${counted(joint.count, plain(joint.kind))}${joint.note ? `, ${joint.note}` : ''}`),
    ...joints
      .filter(({ kind }) => kind === 'glue')
      .map(({ a, b }) => glueNote(materialOf.get(a) ?? 'unknown', materialOf.get(b ?? a) ?? 'unknown')),
    ...(joints.some(({ kind }) => kind === 'clip') ? ['a strip of tape or felt where the clip rubs'] : []),
    ...(joints.some(({ heads }) => heads === 'replace') ? ['new screws where the heads are seen'] : []),
    ...(joints.length === 0 ? [part.staysClear ? glueNote(part.material, onto[0].material) : 'as it came off, without force'] : []),
    ...unreachableLater(piece)
      .filter(({ partId }) => partId === part.id)
      .map(({ text }) => text.replace(/\.$/, '')),
  ].join('; ');
}
