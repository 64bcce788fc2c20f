import { resolveLayer } from '#core/coats/index';
import type { Act, Facts, Fitting, Part, Piece, Task } from '#core/facts/index';
import type { PlannedStep } from '#core/plan/index';
import type { Minute } from '#core/units/index';
import { LyingFilms, type Told } from '../lying.ts';
import type { PlacedStep, Verified } from '../verified.ts';
import { fittedPart, keyOf, taskOf } from './keys.ts';
import { BARES, TAKES_COLOUR } from './table.ts';

/** What sits on a part besides its films. */
export type Seated = {
  readonly what: Fitting;
  readonly name: string;
  /** The step that puts it there; null: it has been there since before the plan. */
  readonly by: PlannedStep | null;
  /** The task of the person's own that put it there. */
  readonly taskId?: string;
  readonly covered: boolean;
  readonly zoneIds: readonly string[];
};

/** A part as it is when a step comes to it: its films, what sits on it, and what last happened to it. */
export class PartState {
  readonly films: LyingFilms;
  seated: readonly Seated[] = [];
  /** Somebody has found out what it is made of. */
  tested: boolean;
  /** When its surface was worked last, by the log; null: not yet. */
  readonly workedAt: Minute | null;
  /** Steps that have been at it, in order. */
  readonly been: PlannedStep[] = [];
  /** Tape or cover that lies on it, by what it was put on for. */
  readonly taped = new Map<string, { readonly since: Minute | null; readonly acts: readonly Act[] }>();
  readonly #facts: Facts;
  readonly #piece: Piece;
  readonly #part: Part;

  constructor(around: Pick<Verified, 'facts' | 'clocks'>, told: Told, piece: Piece, part: Part) {
    this.#facts = around.facts;
    this.#piece = piece;
    this.#part = part;
    this.films = new LyingFilms(around, told, piece, part);
    const done = told.history.doneOf(piece.id, part.id).map(([key, { at }]) => ({ stage: key.split('.')[2], at }));
    this.tested = part.toldBy !== undefined || done.some(({ stage }) => stage === 'material-test');
    const worked = done.flatMap(({ stage, at }) => (SURFACE_WORK.includes(stage) ? [at] : []));
    this.workedAt = worked.length === 0 ? null : Math.max(...worked);
    for (const task of piece.tasks ?? []) {
      const isDone = told.history.done.has(`${piece.id}.-.task.${task.id}.1`);
      if (isDone && task.partIds.includes(part.id))
        this.#seat(fittingOf(task), task.name, null, task.acts?.includes('cover') ?? false, task.id);
    }
  }

  /** The step has been done. */
  take(step: PlannedStep): void {
    if (step.acts.includes('test')) this.tested = true;
    this.#coat(step);
    if (step.placed && step.warm) this.films.warm(step as PlacedStep);
    if (step.stage === 'flat') for (const { zoneIds } of this.#own(step)) for (const zone of zoneIds) this.films.flat(zone);
    if (step.acts.some((act) => BARES.includes(act) && TAKES_COLOUR.includes(act)) && step.stage.startsWith('strip')) this.films.bare();
    this.#putOn(step);
    const { subject } = keyOf(step);
    if (step.acts.includes('tape') || step.acts.includes('cover'))
      this.taped.set(subject, { since: step.placed?.end ?? null, acts: step.acts });
    if (step.acts.includes('untape')) this.taped.delete(subject);
    this.been.push(step);
  }

  #own(step: PlannedStep) {
    return step.on.filter(({ partId }) => partId === this.#part.id);
  }

  #coat(step: PlannedStep): void {
    const key = step.keys.find((own) => own.startsWith(`${this.#piece.id}.${this.#part.id}.`));
    const layer = key && this.#part.layers.find(({ id }) => id === key.split('.')[3]);
    if (!step.coat || !step.placed || !layer) return;
    const zones = this.#own(step).flatMap(({ zoneIds }) => zoneIds.filter((id) => this.#part.zones.some((zone) => zone.id === id)));
    // Under a clear a decal is as safe as the film over it.
    this.seated = this.seated.map((own) =>
      own.what === 'decal' && own.zoneIds.some((id) => zones.includes(id)) ? { ...own, covered: true } : own,
    );
    this.films.coat(zones, resolveLayer(layer, this.#facts), step as PlacedStep);
  }

  #putOn(step: PlannedStep): void {
    const covered = step.acts.includes('cover');
    const scene = { piece: this.#piece, step };
    const task = taskOf(scene);
    if (task) this.#seat(fittingOf(task), task.name, step, covered, task.id);
    const fitted = fittedPart(scene);
    if (fitted && fitted.id !== this.#part.id) this.#seat(fittingOfPart(fitted), fitted.name, step, covered);
    if (step.stage === 'decal' && step.acts.length > 0) this.#seat('decal', 'the decal', step, false);
  }

  #seat(what: Fitting | undefined, name: string, by: PlannedStep | null, covered: boolean, taskId?: string): void {
    const zoneIds = by ? this.#own(by).flatMap((on) => on.zoneIds) : this.#part.zones.map(({ id }) => id);
    if (what) this.seated = [...this.seated, { what, name, by, covered, zoneIds, ...(taskId ? { taskId } : {}) }];
  }
}

const SURFACE_WORK = ['strip', 'strip-off', 'prep', 'repair'];

/** What a task leaves sitting on its parts. */
function fittingOf({ kind, fits }: Task): Fitting | undefined {
  if (fits) return fits;
  return ({ glazing: 'glazing', seals: 'seal', tyre: 'rubber' } as const)[kind as 'glazing' | 'seals' | 'tyre'];
}

/** What a part is once it sits on another. */
function fittingOfPart(part: Part): Fitting | undefined {
  if (part.staysClear || part.material === 'clear') return 'glazing';
  if (part.material === 'rubber') return 'rubber';
  return part.material === 'vinyl' ? 'seal' : part.staysPlated ? 'badge' : undefined;
}
