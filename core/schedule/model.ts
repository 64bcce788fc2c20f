import type { Minute } from '#core/units/index';
import type { DryingPlaces, Spell } from './hanging.ts';
import type { Load, VesselCounts } from './vessels.ts';

/** The scheduling problem: attended work in free hours, waits in between, windows that open and shut. */

/** One legal stretch for the start of an activity; `to` null: without end. `scuff`: keyed first, which costs these minutes. */
export type Allowed = {
  readonly from: Minute;
  readonly to: Minute | null;
  readonly scuff?: boolean;
  readonly scuffMinutes?: number;
};

/** Set-up inside an activity's minutes that is spared where the same batch is carried on: one shake, one bowl of water, one nozzle. */
export type SetUp = {
  /** What is one batch: the same work with the same mix, of whatever piece. */
  readonly batch: string;
  readonly minutes: number;
  /** Of these, still needed where the booth is come back to after other work; absent: all of them. */
  readonly again?: number;
};

export type Activity = {
  readonly id: string;
  /** Attended minutes without a scuff, its set-up included. */
  readonly minutes: number;
  readonly setUp?: SetUp;
  /** Same mix: sprayed side by side without a change-over; undefined: needs no booth. */
  readonly mix?: string;
  /** Minutes to clear its tool before another mix is sprayed; absent: as the problem says. */
  readonly clearing?: number;
  readonly notBefore?: Minute;
  readonly notBeforeWhy?: string;
  /** What hangs to dry once it has ended, and until when it cannot be touched. */
  readonly hangs?: (start: Minute, end: Minute, endOf: (id: string) => Minute) => readonly Spell[];
  /** The oven or the tub it takes up, and for how long. */
  readonly loads?: (start: Minute, end: Minute, endOf: (id: string) => Minute) => Load;
  /** The soonest moment from one on at which the air allows so many minutes of it; null: never; absent: any air. */
  readonly nextAir?: (from: Minute, minutes: Minute) => Minute | null;
  /** What to do where that is never; absent: it is the air of the spray place. */
  readonly neverWhy?: string;
  /** Sooner where two want the same time: needed-by, turns. */
  readonly priority: number;
  /** Minutes put later in the queue, or earlier, while a better schedule is looked for. */
  readonly turn?: Minute;
  /** The start agreed on: it is kept to that stay where that can be, and comes before what is not agreed. */
  readonly agreed?: Minute;
};

/** Start of `to` as a function of the ends of `from` (planned) — everything done already is inside the function. */
export type Gap = {
  readonly from: readonly string[];
  readonly to: string;
  readonly allowed: (endOf: (id: string) => Minute) => readonly Allowed[];
  /** Steps it shares a window with: placed together, or not at all where no later branch exists. */
  readonly together: readonly string[];
  readonly reason: string;
  /** Its window is open already, by the log, and shuts: what leads to it is done before anything else. */
  readonly opened?: boolean;
};

export type FreeInterval = { readonly from: Minute; readonly to: Minute };

export type Problem = {
  readonly now: Minute;
  readonly free: readonly FreeInterval[];
  readonly activities: readonly Activity[];
  readonly gaps: readonly Gap[];
  /** Clean-up and set-up between two mixes in the booth, minutes, where an activity has none of its own. */
  readonly changeover: number;
  /** Ovens and tubs, and what lies in them already; absent: one of each, empty. */
  readonly vessels?: { readonly counts: VesselCounts; readonly taken: readonly Load[] };
  /** Places where films dry, and what hangs there already; absent: room enough. */
  readonly drying?: { readonly places: DryingPlaces; readonly hanging: readonly Spell[] };
};

export type HoldKind = 'window' | 'person' | 'calendar' | 'resource' | 'places' | 'vessel' | 'conditions' | 'notBefore' | 'nothing';

export type Placed = {
  readonly id: string;
  readonly start: Minute;
  readonly end: Minute;
  readonly scuff: boolean;
  /** Minutes of set-up spared, for it carries on the batch of the step before. */
  readonly saved: number;
  /** What keeps it from starting sooner, and the step that does so. */
  readonly hold: { readonly by: HoldKind; readonly with?: string; readonly text: string };
};

export type Unplaced = { readonly id: string; readonly why: string };
export type Schedule = { readonly placed: ReadonlyMap<string, Placed>; readonly unplaced: readonly Unplaced[] };
