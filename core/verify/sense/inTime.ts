import type { Part, Task } from '#core/facts/index';
import { durationText } from '#core/units/index';
import { TOLERANCE } from '../verified.ts';
import { fittedPart, taskOf } from './keys.ts';
import { does, laterOn, type Rule, type Scene, zonesOf } from './scene.ts';
import type { Mend } from './finding.ts';
import type { Seated } from './partState.ts';
import { DOING, PUTS_ON, ruins, TAKES_COLOUR, UNDOES } from './table.ts';

/** Rules of order in a whole job: recorded before undone, ruined by nothing, put together last, sprayed in one go (trade §2). */

/** Before anything is undone it is recorded. */
export const recordFirst: Rule = (scene) => {
  const { step, recorded, piece, part, order, at } = scene;
  if (piece.board) return [];
  const act = does(step, UNDOES);
  if (!recorded && act && !step.acts.includes('record'))
    return [
      {
        rule: 'record-first',
        because: `${part.name} is ${DOING[act]} before it has been photographed and measured: afterwards that is not there to be seen.`,
        mend: { text: 'Photograph every side first.' },
      },
    ];
  const takes = does(step, TAKES_COLOUR);
  const reading = takes && order.slice(at + 1).find((own) => own.stage === 'reference' && own.on.some(({ partId }) => partId === part.id));
  return reading
    ? [
        {
          rule: 'record-first',
          because: `${part.name} is ${DOING[takes]} before “${reading.title}”: the paint it is read from is gone by then.`,
          mend: { text: 'Read the colour first.' },
        },
      ]
    : [];
};

/** What an act would ruin is not there, or is masked. */
export const ruinsFitted: Rule = (scene) => {
  const { step, state, part } = scene;
  // A patch is tried where nobody sees it, and away from what sits there.
  if (step.stage === 'test-patch') return [];
  const zones = zonesOf(scene);
  const worst = state.seated.flatMap((seated) => {
    // A decal lies on its own zone; a mask beside it leaves it alone.
    const apart = seated.what === 'decal' && !seated.zoneIds.some((id) => zones.includes(id));
    const act = apart ? undefined : step.acts.find((own) => ruins(own, seated.what, seated.covered) !== null);
    return act ? [{ act, seated, how: ruins(act, seated.what, seated.covered) ?? '' }] : [];
  })[0];
  // A clear locks a decal in; anything else over it hides it.
  if (!worst) return [];
  const { by, taskId } = worst.seated;
  const task = scene.piece.tasks?.find(({ id }) => id === taskId);
  const fitted = by ? fittedPart({ piece: scene.piece, step: by }) : undefined;
  const chosen = by === null || isSaid(task) || isSaid(taskOf(scene)) || fitted?.fit !== undefined;
  return [
    {
      rule: 'ruins-fitted',
      ...(taskId ? { taskId } : {}),
      because: `${subjectOf(worst.seated)} is on ${part.name} when it is ${DOING[worst.act]}: ${worst.how}.`,
      mend: mendFor(worst.seated, task, fitted),
      chosenBy: chosen ? 'person' : 'tool',
    },
  ];
};

/** What is there already comes off again; what is still to come is put later by one press where it is somebody's choice. */
function mendFor({ by }: Seated, task: Task | undefined, fitted: Part | undefined): Mend {
  if (by === null) return { text: 'Take it off again first, or cover it so that nothing reaches it.' };
  const later = 'Put it on after all that would ruin it.';
  if (task) return { text: later, change: { kind: 'task-anywhere', taskId: task.id } };
  return fitted?.fit ? { text: later, change: { kind: 'fit-at-end', partId: fitted.id } } : { text: 'Put it on after that, or cover it.' };
}

/** What sits there, as it begins a sentence: a part by its name, else by the step that puts it there. */
function subjectOf({ name, by, taskId, what }: Seated): string {
  if (what === 'decal') return 'The decal';
  return taskId ? `What “${name}” ${by ? 'puts' : 'has put'} there` : name;
}

/** Somebody has said when. */
function isSaid(task: Task | undefined): boolean {
  return task?.after !== undefined || task?.before !== undefined;
}

/** A whole waits for its parts. */
export const wholeWaits: Rule = (scene) => {
  const { step, part } = scene;
  const act = does(step, ['hang', 'close', 'test']);
  if (!act || step.stage === 'fit' || step.stage === 'material-test') return [];
  const later = laterOn(scene).filter((own) => own.id !== step.id && !own.stopped);
  const inner = later.find(
    (own) => (own.stage === 'task' || own.stage === 'assemble') && does(own, PUTS_ON) && !isTrim(scene, own) && !isSameWork(scene, own),
  );
  const coat = act === 'close' ? later.find((own) => own.coat) : undefined;
  const missed = inner ?? coat;
  const task = taskOf(scene);
  if (!missed) return [];
  return [
    {
      rule: 'whole-waits',
      ...(task ? { taskId: task.id } : {}),
      because: `“${step.title}” comes before “${missed.title}” on ${part.name}: ${coat === missed ? 'what is shut in is no longer to be sprayed' : 'it is done twice, or out of reach'}.`,
      mend: {
        text: task ? 'Do it once its parts are on.' : 'Do it after that.',
        ...(task ? { change: { kind: 'task-anywhere', taskId: task.id } as const } : {}),
      },
    },
  ];
};

/** Another closing of the same, or the part itself going where it was tried. */
function isSameWork({ piece, part }: Scene, own: Scene['step']): boolean {
  return own.acts.includes('close') || fittedPart({ piece, step: own })?.id === part.id;
}

/** Tyres, badges and decals go onto a whole that is together. */
function isTrim(scene: Scene, own: Scene['step']): boolean {
  const task = taskOf({ piece: scene.piece, step: own });
  return task?.kind === 'tyre' || task?.fits === 'rubber' || task?.fits === 'badge' || task?.fits === 'decal';
}

/** Coats whose window allows it are not split over evenings; transparent and metallic ones never. */
export const oneGo: Rule = (scene) => {
  const { step, state, part, sensed } = scene;
  const { coat, placed } = step;
  if (!coat || !placed) return [];
  const zones = zonesOf(scene);
  // The other side of a part is another set of coats.
  const sameZones = (own: Scene['step']) => own.on.some((on) => on.partId === part.id && on.zoneIds.some((id) => zones.includes(id)));
  const before = state.been.findLast((own) => own.coat?.layerId === coat.layerId && own.placed && own.id !== step.id && sameZones(own));
  if (!before?.placed || before.stage !== 'coat') return [];
  const stay = sensed.free.findIndex(({ to }) => (before.placed?.start ?? 0) < to);
  if (stay < 0 || placed.start < sensed.free[stay].to) return [];
  const never = coat.family === 'candy' || coat.role === 'metallic';
  const [zone] = zones.filter((id) => state.films.on(id).at(-1)?.resolved.layer.id === coat.layerId);
  const times = zone ? state.films.times(state.films.on(zone)) : null;
  const opens = times?.opens ?? null;
  const until = Math.min(
    sensed.free[stay].to,
    times?.shuts === null || times === null ? Number.POSITIVE_INFINITY : times.shuts + step.minutes,
  );
  const chosen = step.pinnedTo !== undefined || placed.hold.by === 'notBefore' || step.notBefore !== undefined;
  if (!never && (opens === null || chosen || !isIdle(scene, opens, step.minutes, until))) return [];
  return [
    {
      rule: 'one-go',
      layerId: coat.layerId,
      because: `“${step.title}” comes ${durationText(placed.start - before.placed.end)} after the coat before it${never ? ': transparent and metallic coats show every break' : ', though it could have gone on in the same stay'}.`,
      mend: { text: 'All its coats in one stay.' },
      ...(chosen ? { chosenBy: 'person' as const } : {}),
    },
  ];
};

/** Nobody works, for so long, between a moment and the end of the stay. */
function isIdle({ sensed }: Scene, from: number, minutes: number, to: number): boolean {
  const busy = sensed.steps
    .flatMap(({ placed }) => (placed && placed.end > from - TOLERANCE && placed.start < to ? [placed] : []))
    .sort((a, b) => a.start - b.start);
  let free = from;
  for (const { start, end } of busy) {
    if (start - free >= minutes + SPARE_MINUTES) return true;
    free = Math.max(free, end);
  }
  return to - free >= minutes + SPARE_MINUTES;
}

/** To change the paint, shake and clear. */
const SPARE_MINUTES = 35;

/** A step without a date names the culprit, never another step without a date. */
export const noDate: Rule = ({ step, sensed }) => {
  if (step.placed || step.stopped) return [];
  const holder = step.heldBy === undefined ? undefined : sensed.steps.find(({ keys }) => keys.includes(step.heldBy ?? ''));
  const because = !step.unplacedWhy
    ? `“${step.title}” has no date, and nothing says why.`
    : holder && !holder.placed
      ? `“${step.title}” has no date because “${holder.title}” has none: that is no reason.`
      : null;
  return because ? [{ rule: 'no-date', because, mend: { text: 'Name what holds it, and what would free it.' } }] : [];
};
