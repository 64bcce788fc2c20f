import type { Placed } from '#core/schedule/index';
import type { Minute } from '#core/units/index';
import type { SeenStage } from '../films/index.ts';
import type { Step } from '../steps/index.ts';

/** What a coat costs whose window is missed. */
export type LaterPrice = {
  readonly from: Minute;
  /** Minutes more at the bench. */
  readonly minutes: number;
  /** Paper, minor units of money. */
  readonly cost: number;
};

export type WetNearby = {
  readonly who: readonly { readonly pieceId: string; readonly partId: string; readonly pegs: readonly number[] }[];
  /** When the last of them is touch-dry. */
  readonly until: Minute;
};

/** What of an own mix the jar lacks is mixed before the coat that needs it: once, for all pieces that take it (trade §10). */
export type Pour = {
  readonly productId: string;
  readonly name: string;
  /** mL, all coats of all pieces still to come, with what clears the nozzle. */
  readonly ml: number;
  readonly parts: readonly { readonly productId: string; readonly name: string; readonly ml: number }[];
  /** "mix 18 mL first, for all 2 pieces: …" */
  readonly text: string;
};

export type PlannedStep = Step & {
  readonly placed: Placed | null;
  readonly unplacedWhy?: string;
  /** The step without a date that keeps this one from having any; absent: the reason is its own. */
  readonly heldBy?: string;
  /** The legal stretch its start lies in; `to` null where it does not shut. */
  readonly window: { readonly from: Minute; readonly to: Minute | null } | null;
  /** Until when it may not be done as things stand, and what it waits for, in words; absent: it may be done now. */
  readonly opens?: { readonly at: Minute; readonly why: string };
  /** When it could start again if this window were missed; null where it never could or never shuts. */
  readonly missedUntil: Minute | null;
  /** It is then keyed first. */
  readonly missedScuffs?: boolean;
  /** What it costs to miss that window; absent: nothing, or it never opens again. */
  readonly later?: LaterPrice;
  /** When what is mixed for it must be used up; absent: nothing is mixed, or it keeps. */
  readonly mixGoodUntil?: Minute;
  /** What is mixed right before it. */
  readonly pour?: Pour;
  /** The stage of the film it waits for that a finger, a nail or paper can tell. */
  readonly felt?: SeenStage;
  /** When it was pinned to by hand. */
  readonly pinnedTo?: Minute;
  /** The pin could not be kept. */
  readonly pinLost?: boolean;
  /** What has to be done with the part once the step is done. */
  readonly afterwards?: string;
  /** A mask: when its film bears a hand, though not yet tape; absent where tape need not wait. */
  readonly forcedFrom?: Minute;
  /** What hangs wet while this throws dust or overspray: moved or covered first. */
  readonly wetNearby?: WetNearby;
};
