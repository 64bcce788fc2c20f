import type { Family, Hand, Lab, Role, Source, StripMethod, WorkStage } from '#core/facts/index';
import type { Hazard } from '#core/safety/index';
import type { Minute } from '#core/units/index';

/** One thing to do at the bench, to one part or to several that go through it side by side. */
export type Step = {
  /** The key of its first part; `keys` has one a part. */
  readonly id: string;
  readonly keys: readonly string[];
  readonly pieceId: string;
  readonly stage: WorkStage;
  readonly title: string;
  readonly detail: string;
  readonly on: readonly { readonly partId: string; readonly zoneIds: readonly string[] }[];
  readonly pegs: readonly number[];
  readonly minutes: number;
  readonly scuffMinutes: number;
  readonly hazards: readonly Hazard[];
  readonly because: string;
  readonly source: Source;
  readonly method?: StripMethod;
  readonly grit?: number;
  readonly coat?: CoatOfStep;
  /** What is looked at before this step counts as done; an item not passed sends the part back. */
  readonly checks?: readonly string[];
  /** Minutes after the stripper went on at which one looks. */
  readonly looks?: readonly number[];
  /** How it came out is asked at the bench: it decides what follows. */
  readonly asks?:
    | { readonly kind: 'stripped' | 'patch'; readonly method: StripMethod; readonly application: number }
    | { readonly kind: 'tile'; readonly layerIds: readonly string[] };
  /** Consumables used, minor units of money. */
  readonly consumables: number;
  /** Not before, from a parcel or a purchase. */
  readonly notBefore?: Minute;
  readonly notBeforeWhy?: string;
  /** Why it cannot be scheduled: a stop verdict here or below. */
  readonly stopped?: string;
};

export type CoatOfStep = {
  readonly layerId: string;
  readonly productId?: string;
  readonly name: string;
  readonly family: Family;
  readonly role: Role;
  readonly lab: Lab;
  readonly hand: Hand;
  readonly filmUm: number;
  readonly number: number;
  readonly of: number;
  readonly ml: number;
  readonly mix: string;
  readonly holds: 'film' | 'sweeps';
};
