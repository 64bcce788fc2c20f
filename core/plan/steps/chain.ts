import type { Part, Piece, Source, WorkStage } from '#core/facts/index';
import { durationText, type Minute } from '#core/units/index';
import { attemptOf, type PlanContext, type Ref, type SentBack } from '../films/index.ts';
import { usualActs } from './acts.ts';
import { after, carryOn, dwell } from './constraints.ts';
import { type Constraint, momentsLookedAt } from './constraint.ts';
import { type FirstPosition, inPosition, partKey } from './keys.ts';
import type { Inspection, Step } from './step.ts';
import type { WorkPace } from './workPace.ts';

export type StepDraft = Pick<Step, 'title' | 'minutes'> &
  Partial<
    Pick<
      Step,
      | 'acts'
      | 'detail'
      | 'hazards'
      | 'because'
      | 'source'
      | 'method'
      | 'grit'
      | 'coat'
      | 'cup'
      | 'warm'
      | 'supplies'
      | 'checks'
      | 'looks'
      | 'asks'
      | 'scuffMinutes'
      | 'setup'
      | 'treatment'
      | 'tight'
    >
  > & {
    readonly stage: WorkStage;
    /** What it is about within its stage: a layer's place in the part's list, or a word. */
    readonly layerIndex?: number;
    readonly subject?: string;
    readonly number?: number;
    /** Zones by place; absent: all. */
    readonly zones?: readonly number[];
    /** mL this part takes of a coat. */
    readonly ml?: number;
  };

type Keyed = Pick<StepDraft, 'stage' | 'layerIndex' | 'subject' | 'number'>;

/** Work that can be laid down and taken up again. */
const SPLITS: readonly WorkStage[] = ['wash', 'strip', 'repair', 'prep', 'clean', 'flat', 'rinse', 'bare-care', 'touch-in', 'mask'];
export const LONGEST_SITTING = 60;
/** More than this of one treatment is no evening's work but a wrong size, or the wrong method. */
export const MOST_TREATMENT_MINUTES = 40 * 60;

/** One sitting of a long step; the first keeps the step's own key, so that a step which grows longer stays done. */
function sitting({ asks, ...draft }: StepDraft, number: number, of: number): StepDraft {
  return {
    ...draft,
    // What came of it is asked once, when all of it is done.
    ...(asks && number === of ? { asks } : {}),
    minutes: draft.minutes / of,
    supplies: (draft.supplies ?? []).map((line) => ({ ...line, amount: line.amount / of })),
    title: `${draft.title} (sitting ${number} of ${of})`,
    number: number === 1 ? draft.number : (draft.number ?? 1) * 100 + number,
    treatment: draft.treatment ? `${draft.treatment} sitting ${number} of ${of}` : null,
  };
}

/** What a chain of steps is made for. */
export type ChainOf = { readonly piece: Piece; readonly part: Part; readonly sentBack: SentBack | null };

/** The steps of one part in order; what the log has already is passed over but still timed. */
export class StepChain {
  readonly steps: Step[] = [];
  readonly of: ChainOf;
  readonly #context: PlanContext;
  readonly #pace: WorkPace;
  #last: Ref | null = null;
  /** The part is not at hand for so long after the last step: it lies in the warm. */
  #away = 0;
  #stopped: string | undefined;
  #toInspect: Inspection[] = [];
  #position: FirstPosition | null = null;

  constructor(context: PlanContext, of: ChainOf, pace: WorkPace) {
    this.#context = context;
    this.of = of;
    this.#pace = pace;
  }

  get last(): Ref | null {
    return this.#last;
  }

  get stopped(): string | undefined {
    return this.#stopped;
  }

  /** Layers that are finished and not yet looked at. */
  get toInspect(): readonly Inspection[] {
    return this.#toInspect;
  }

  /** The part lies in the warm for so many minutes after the last step. */
  keepAway(minutes: number): void {
    this.#away = minutes;
  }

  /** What any step after the last one waits for: its end, and that the part is at hand again. */
  followed(reason?: string): Constraint[] {
    const last = this.#last;
    if (!last) return [];
    if (this.#away > 0) return [dwell(last, [this.#away, null], 'it lies in the warm until then')];
    return 'step' in last ? [after(last.step, reason)] : [];
  }

  /** From here on nothing is scheduled: a stop verdict. */
  stop(reason: string): void {
    this.#stopped ??= reason;
  }

  /** A layer is finished: the step that comes next begins with a look at it. */
  inspectNext(inspection: Inspection): void {
    this.#toInspect.push(inspection);
  }

  /** Steps added by `work` are those of the first of two positions: their keys say so. */
  inPosition(position: FirstPosition | null, work: () => void): void {
    this.#position = position;
    work();
    this.#position = null;
  }

  isDone(draft: Keyed): boolean {
    return this.doneAt(draft) !== null;
  }

  doneAt(draft: Keyed): Minute | null {
    return this.#context.history.done.get(this.keyOf(draft))?.at ?? null;
  }

  keyOf(draft: Keyed): string {
    const { piece, part, sentBack } = this.of;
    const subject = draft.layerIndex === undefined ? (draft.subject ?? '-') : part.layers[draft.layerIndex].id;
    const key = partKey(piece.id, part.id, draft.stage, subject, (draft.number ?? 1) + attemptOf(sentBack, draft.stage, subject));
    return inPosition(key, this.#position);
  }

  /**
   * Adds a step after the one before it; returns when it ended or that it will. Long work is split into sittings of an hour;
   * `between` says what one sitting asks of the next.
   */
  add(draft: StepDraft, constraints: readonly Constraint[] = [], between: (ref: Ref) => readonly Constraint[] = () => []): Ref {
    const minutes = draft.minutes * this.#pace(draft.stage, draft.treatment ?? null);
    const paced = { ...draft, minutes };
    if (minutes > MOST_TREATMENT_MINUTES)
      this.stop(
        `“${draft.title}” would take ${durationText(minutes)} at the bench: the size is wrong, or the method. Check sizes and copies, or choose a quicker method.`,
      );
    const sittings = SPLITS.includes(draft.stage) && !this.#stopped ? Math.max(1, Math.ceil(minutes / LONGEST_SITTING)) : 1;
    let ref = this.#addOne(sittings > 1 ? sitting(paced, 1, sittings) : paced, constraints);
    for (let number = 2; number <= sittings; number++) {
      const carries = 'step' in ref && draft.stage !== 'prep' && draft.stage !== 'repair' ? [carryOn(ref.step)] : [];
      ref = this.#addOne(sitting(paced, number, sittings), [...carries, ...between(ref)]);
    }
    return ref;
  }

  #addOne(draft: StepDraft, constraints: readonly Constraint[]): Ref {
    const id = this.keyOf(draft);
    const done = this.#context.history.done.get(id);
    if (done) {
      this.#last = { at: done.at };
      this.#away = 0;
      this.#toInspect = [];
      return this.#last;
    }
    const { piece, part } = this.of;
    const follows = this.followed();
    const zones = draft.zones ?? part.zones.map((_, index) => index);
    const setup = draft.setup ?? 0;
    this.steps.push({
      id,
      keys: [id],
      pieceId: piece.id,
      stage: draft.stage,
      acts: draft.acts ?? usualActs(draft),
      title: this.#position && draft.zones ? `${draft.title}, ${this.#position}` : draft.title,
      detail: draft.detail ?? '',
      minutes: Math.max(draft.coat ? 2 : 1, Math.round(draft.minutes + setup)),
      setup,
      on: [{ partId: part.id, zoneIds: zones.map((index) => part.zones[index].id), ...(draft.ml === undefined ? {} : { ml: draft.ml }) }],
      pegs: part.pegs,
      scuffMinutes: Math.round(draft.scuffMinutes ?? 0),
      hazards: draft.hazards ?? [],
      because: draft.because ?? '',
      source: draft.source ?? ('default' as Source),
      supplies: draft.supplies ?? [],
      stopped: this.#stopped,
      constraints: [...follows, ...constraints].map((constraint) => ({ ...constraint, scuffMinutes: Math.round(draft.scuffMinutes ?? 0) })),
      batch: batchOf(draft),
      treatment: treatmentOf(draft, constraints, this.#position),
      tight: draft.tight ?? false,
      ...(draft.method ? { method: draft.method } : {}),
      ...(draft.grit ? { grit: draft.grit } : {}),
      ...(draft.coat ? { coat: draft.coat } : {}),
      ...(draft.cup ? { cup: draft.cup } : {}),
      ...(draft.warm ? { warm: draft.warm } : {}),
      ...(draft.checks && draft.checks.length > 0 ? { checks: draft.checks } : {}),
      ...(draft.looks ? { looks: draft.looks } : {}),
      ...(draft.asks ? { asks: draft.asks } : {}),
      ...(this.#toInspect.length > 0 ? { inspects: this.#toInspect } : {}),
    });
    this.#toInspect = [];
    this.#last = { step: id };
    this.#away = 0;
    return this.#last;
  }
}

/** Coats of one mix and tool are one batch whatever their number; other work by what is done. */
function batchOf({ coat, setup, treatment }: StepDraft): string | null {
  if (!setup) return null;
  return coat ? `coat ${coat.mix} ${coat.hand}` : (treatment ?? null);
}

/** A step that shares a window with work already done is joined only with parts where that was done at the same time. */
function treatmentOf({ treatment, tight }: StepDraft, constraints: readonly Constraint[], position: FirstPosition | null): string | null {
  if (!treatment) return null;
  const own = position ? `${treatment} ${position}` : treatment;
  const since = tight ? constraints.flatMap(momentsLookedAt) : [];
  return since.length === 0 ? own : `${own} @${Math.round(Math.max(...since) / SAME_TIME_MINUTES)}`;
}

/** Work on two parts done within so many minutes was done together. */
const SAME_TIME_MINUTES = 20;
