import type { Act, Family, Hand, Lab, Mend, Role, Source, StripMethod, SupplyLine, Warm, Weight, WorkStage } from '#core/facts/index';
import type { Hazard } from '#core/safety/index';
import type { Minute } from '#core/units/index';
import type { Constraint } from './constraint.ts';
import type { Cup } from './paint/cup.ts';

/** One treatment of one part; or of several that get the same treatment together, once their steps are joined into a row. */
export type Step = {
  /** The key of its first part; `keys` has one a part. */
  readonly id: string;
  readonly keys: readonly string[];
  readonly pieceId: string;
  readonly stage: WorkStage;
  /** What is done to the parts, as data. */
  readonly acts: readonly Act[];
  readonly title: string;
  readonly detail: string;
  readonly on: readonly StepOn[];
  readonly pegs: readonly number[];
  /** Attended minutes, set-up included once. */
  readonly minutes: number;
  /** Of these, the set-up that steps of one treatment share. */
  readonly setup: number;
  readonly scuffMinutes: number;
  readonly hazards: readonly Hazard[];
  readonly because: string;
  readonly source: Source;
  readonly method?: StripMethod;
  readonly grit?: number;
  readonly coat?: CoatOfStep;
  /** What is mixed in it; absent: nothing is. */
  readonly cup?: Cup;
  /** The spell of warmth that begins with it. */
  readonly warm?: Warm;
  /** What is looked at before this step counts as done; an item not passed sends the part back. */
  readonly checks?: readonly string[];
  /** Finished layers that are looked at before this step begins: passed with it, or one of three other ends. */
  readonly inspects?: readonly Inspection[];
  /** Minutes after the stripper went on at which one looks. */
  readonly looks?: readonly number[];
  /** How it came out is asked at the bench: it decides what follows. */
  readonly asks?: Asked;
  readonly supplies: readonly SupplyLine[];
  /** Not before, from a parcel or a purchase. */
  readonly notBefore?: Minute;
  readonly notBeforeWhy?: string;
  /** Why it cannot be scheduled: a stop verdict here or below. */
  readonly stopped?: string;
  readonly constraints: readonly Constraint[];
  /** Steps with the same word, of whatever piece, are one batch and share its set-up; null: none to share. */
  readonly batch: string | null;
  /** Steps of one piece with the same word are one treatment; null: never joined. */
  readonly treatment: string | null;
  /** Joined only with parts whose step before was joined with this one's too: they share a window. */
  readonly tight: boolean;
};

export type StepOn = {
  readonly partId: string;
  readonly zoneIds: readonly string[];
  /** mL as sprayed that this part takes of a coat. */
  readonly ml?: number;
};

export type Asked =
  | { readonly kind: 'stripped' | 'patch'; readonly method: StripMethod; readonly application: number }
  | { readonly kind: 'tile'; readonly layerIds: readonly string[] }
  | { readonly kind: 'treated'; readonly markId: string; readonly mend: Mend }
  | { readonly kind: 'corner' }
  | { readonly kind: 'sheen' }
  | { readonly kind: 'cup-test'; readonly productId: string; readonly thinner: Family }
  | { readonly kind: 'parted'; readonly fasteningIds: readonly string[] };

/** A finished layer that is looked at (trade §2). */
export type Inspection = {
  readonly partId: string;
  readonly layerId: string;
  readonly name: string;
  readonly what: 'primer' | 'colour' | 'clear';
};

export type CoatOfStep = {
  readonly layerId: string;
  readonly productId?: string;
  readonly name: string;
  readonly family: Family;
  readonly role: Role;
  readonly lab: Lab;
  readonly hand: Hand;
  /** Dry film of this coat, µm, its weight counted in. */
  readonly filmUm: number;
  readonly weight: Weight;
  readonly number: number;
  readonly of: number;
  /** As sprayed, all parts of the step. */
  readonly ml: number;
  /** Of that, paint from its bottle; the rest is reducer and hardener. */
  readonly paintMl: number;
  readonly reducerMl: number;
  readonly hardenerMl: number;
  readonly filmMl: number;
  readonly sweepsMl: number;
  readonly mix: string;
  readonly holds: 'film' | 'sweeps';
  /** Of one load of the booth, what its parts take side by side. */
  readonly boothShare: number;
};
