import type { Known, SenseRule } from '#core/facts/index';
import type { Plan } from '#core/plan/index';

/** What of a plan is read: the moment, and its steps with their places in time. */
export type Sensed = Pick<Plan, 'now' | 'steps' | 'free'>;

/** Who chose what is found: the tool by itself, or the person. */
export type Chooser = 'tool' | 'person';

/** The nearest way on. `change`: what one press would do. */
export type Mend = { readonly text: string; readonly change?: MendChange };

/** A change of facts that mends a finding. */
export type MendChange =
  /** A task moves behind a layer of a part, or to where the tool puts it by itself. */
  | { readonly kind: 'task-after'; readonly taskId: string; readonly partId: string; readonly layerId: string }
  | { readonly kind: 'task-anywhere'; readonly taskId: string }
  /** A part goes on at the end. */
  | { readonly kind: 'fit-at-end'; readonly partId: string }
  /** A layer is no longer flatted. */
  | { readonly kind: 'no-flatting'; readonly partId: string; readonly layerId: string }
  /** A layer gets so many coats. */
  | { readonly kind: 'more-coats'; readonly partId: string; readonly layerId: string; readonly coats: number };

/** What a practitioner who reads the plan would call out. */
export type Finding = {
  readonly rule: SenseRule;
  readonly pieceId: string;
  readonly partId?: string;
  readonly layerId?: string;
  readonly taskId?: string;
  /** The step it stands at, by id. */
  readonly step: string;
  readonly because: string;
  readonly mend?: Mend;
  readonly chosenBy: Chooser;
  /** The person has said “I know”: quiet, and still marked. */
  readonly known?: Known;
};
