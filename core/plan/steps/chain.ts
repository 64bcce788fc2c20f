import type { Source, WorkStage } from '#core/facts/index';
import type { Gap } from '#core/schedule/index';
import { durationText, type Minute } from '#core/units/index';
import type { PartGroup, PlanContext, Ref } from '../films/index.ts';
import { after, carryOn } from './gaps.ts';
import { partKey } from './keys.ts';
import type { Step } from './step.ts';

export type StepDraft = Pick<Step, 'title' | 'minutes'> &
  Partial<
    Pick<
      Step,
      | 'detail'
      | 'hazards'
      | 'because'
      | 'source'
      | 'method'
      | 'grit'
      | 'coat'
      | 'consumables'
      | 'checks'
      | 'looks'
      | 'asks'
      | 'scuffMinutes'
      | 'notBefore'
      | 'notBeforeWhy'
    >
  > & {
    readonly stage: WorkStage;
    /** What it is about within its stage; by place in the lead part's layers so that each part gets its own key. */
    readonly layerIndex?: number;
    readonly subject?: string;
    readonly number?: number;
    /** Zones of the lead part, by place; absent: all. */
    readonly zones?: readonly number[];
  };

type Tail = Omit<Gap, 'to'>;

const SPLITS: readonly WorkStage[] = ['strip', 'strip-off', 'repair', 'prep', 'flat'];
const LONGEST_SITTING = 60;
/** More than this is no evening's work but a wrong size, or the wrong method. */
const MOST_SITTINGS = 40;

/** One sitting of a long step; the first keeps the step's own key, so that a step which grows longer stays done. */
function sitting(draft: StepDraft, number: number, of: number): StepDraft {
  return {
    ...draft,
    minutes: draft.minutes / of,
    consumables: (draft.consumables ?? 0) / of,
    title: `${draft.title} (sitting ${number} of ${of})`,
    number: number === 1 ? draft.number : (draft.number ?? 1) * 100 + number,
  };
}

/** The steps of one group of parts in order; what the log has already is passed over but still timed. */
export class StepChain {
  readonly steps: Step[] = [];
  readonly gaps: Gap[] = [];
  readonly #context: PlanContext;
  readonly #group: PartGroup;
  #last: Ref | null = null;
  #stopped: string | undefined;
  #held: Pick<Step, 'notBefore' | 'notBeforeWhy'> = {};

  constructor(context: PlanContext, group: PartGroup) {
    this.#context = context;
    this.#group = group;
  }

  get last(): Ref | null {
    return this.#last;
  }

  get stopped(): string | undefined {
    return this.#stopped;
  }

  /** From here on nothing is scheduled: a stop verdict. */
  stop(reason: string): void {
    this.#stopped ??= reason;
  }

  /** The next step added waits until then: a part that has not come yet. */
  notBefore(at: Minute, why: string): void {
    this.#held = { notBefore: at, notBeforeWhy: why };
  }

  isDone(draft: Pick<StepDraft, 'stage' | 'layerIndex' | 'subject' | 'number'>): boolean {
    return this.doneAt(draft) !== null;
  }

  doneAt(draft: Pick<StepDraft, 'stage' | 'layerIndex' | 'subject' | 'number'>): Minute | null {
    return this.#context.history.done.get(this.#keys(draft)[0])?.at ?? null;
  }

  /**
   * Adds a step after the one before it; returns when it ended or that it will. Work that can be laid down and taken up
   * again is split into sittings of at most an hour, so that it fits an evening.
   */
  add(draft: StepDraft, tails: readonly Tail[] = []): Ref {
    const wanted = SPLITS.includes(draft.stage) ? Math.ceil(draft.minutes / LONGEST_SITTING) : 1;
    if (wanted > MOST_SITTINGS)
      this.stop(
        `“${draft.title}” would take ${durationText(draft.minutes)} at the bench: check sizes and copies, or choose another method.`,
      );
    const sittings = wanted > MOST_SITTINGS ? 1 : wanted;
    let ref = this.#addOne(sittings > 1 ? sitting(draft, 1, sittings) : draft, tails);
    for (let number = 2; number <= sittings; number++)
      ref = this.#addOne(
        sitting(draft, number, sittings),
        'step' in ref && draft.stage !== 'prep' && draft.stage !== 'repair' ? [carryOn(ref.step)] : [],
      );
    return ref;
  }

  #addOne(draft: StepDraft, tails: readonly Tail[]): Ref {
    const keys = this.#keys(draft);
    const done = this.#context.history.done.get(keys[0]);
    if (done) {
      this.#last = { at: done.at };
      return this.#last;
    }
    const { piece, lead, parts } = this.#group;
    const id = keys[0];
    const previous = this.#last && 'step' in this.#last ? this.#last.step : null;
    if (previous) this.gaps.push({ ...after(previous), to: id });
    for (const tail of tails) this.gaps.push({ ...tail, to: id });
    const zones = draft.zones ?? lead.zones.map((_, index) => index);
    this.steps.push({
      id,
      keys,
      pieceId: piece.id,
      stage: draft.stage,
      title: draft.title,
      detail: draft.detail ?? '',
      minutes: Math.max(draft.coat ? 2 : 1, Math.round(draft.minutes)),
      on: parts.map((part) => ({ partId: part.id, zoneIds: zones.map((index) => part.zones[index].id) })),
      pegs: parts.flatMap((part) => part.pegs),
      scuffMinutes: Math.round(draft.scuffMinutes ?? 0),
      hazards: draft.hazards ?? [],
      because: draft.because ?? '',
      source: draft.source ?? ('default' as Source),
      consumables: Math.round(draft.consumables ?? 0),
      stopped: this.#stopped,
      ...(draft.method ? { method: draft.method } : {}),
      ...(draft.grit ? { grit: draft.grit } : {}),
      ...(draft.coat ? { coat: draft.coat } : {}),
      ...(draft.checks && draft.checks.length > 0 ? { checks: draft.checks } : {}),
      ...(draft.looks ? { looks: draft.looks } : {}),
      ...(draft.asks ? { asks: draft.asks } : {}),
      ...(draft.notBefore ? { notBefore: draft.notBefore, notBeforeWhy: draft.notBeforeWhy } : {}),
      ...this.#held,
    });
    this.#held = {};
    this.#last = { step: id };
    return this.#last;
  }

  #keys(draft: Pick<StepDraft, 'stage' | 'layerIndex' | 'subject' | 'number'>): string[] {
    const { piece, parts } = this.#group;
    return parts.map((part) => {
      const subject = draft.layerIndex === undefined ? (draft.subject ?? '-') : part.layers[draft.layerIndex].id;
      return partKey(piece.id, part.id, draft.stage, subject, draft.number ?? 1);
    });
  }
}
