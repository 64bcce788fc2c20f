import { newId } from '../app/writing/newId.ts';
import { type Conditions, conditionsOf } from '#core/drying/index';
import type { ProvenPurchases } from '#core/buying/index';
import type { Facts, Lab, Piece } from '#core/facts/index';
import {
  BetterPlan,
  type Compared,
  compareSystems,
  type Change,
  changesFor,
  filmsAhead,
  type FilmsAhead,
  firstPortion,
  type Gain,
  gainOf,
  type JointOfPart,
  type Mended,
  type Outlook,
  outlook,
  plan,
  type Plan,
  planAnew,
  planInTwo,
  type PinTried,
  type PlannedStep,
  planView,
  type PlanView,
  type PricedWay,
  pricedMends,
  priceWays,
  sharpen,
  type Resumed,
  resumedOn,
  type Shown,
  type ShownStep,
  startWith,
  tryPin,
  type SharpenQuestion,
  type Way,
  type WhatIf,
  type WhatIfAnswer,
  whatIf,
} from '#core/plan/index';
import type { Turns } from '#core/schedule/index';
import { type Finding, sense } from '#core/verify/index';
import { expose } from 'comlink';

type Standing = { readonly facts: Facts; readonly now: number; readonly conditions: Conditions };
let held: Standing | null = null;

/** What would make one piece end sooner: the plan as it is and the changes to try, kept while they are tried one by one. */
type Trials = { readonly of: Standing; readonly pieceId: string; readonly asIs: Plan; readonly changes: readonly Change[] };
let trials: Trials | null = null;

/** A change that was tried, what it gains, and how many there are in all; none where there is nothing to try. */
export type Tried = { readonly label: string; readonly gain: Gain | null; readonly all: number };

/** The same for one step: when it would begin. */
export type StepTried = { readonly label: string; readonly where: string; readonly start: number | null; readonly all: number };

function trialsOf(piece: Piece, own: Standing): Trials {
  if (trials?.of === own && trials.pieceId === piece.id) return trials;
  const anew = planAnew(own.facts);
  const asIs = plan({ ...own, facts: anew, datesOf: [] });
  trials = { of: own, pieceId: piece.id, asIs, changes: changesFor(piece, anew, asIs, own.conditions) };
  return trials;
}

/** How far a search for a better plan has come. */
export type Looked = { readonly round: number; readonly of: number; readonly over?: boolean };
export type Better = Whole & { readonly turns: Turns };
let looking: BetterPlan | null = null;
let stopped: BetterPlan | null = null;

/** Facts as they are handed over: the lists that have changed since the last time; the first time all of them. */
export type Handed = Partial<Facts>;

/**
 * The facts asked about with the air of that minute; null means those handed over before. A list that has not changed stays the one
 * it was, and with it all that is remembered of it.
 */
function standing(handed: Handed | null, now: number): Standing {
  const own = handed ? ({ ...held?.facts, ...handed } as Facts) : held?.facts;
  if (!own) throw new Error('The planner was asked before it had any facts.');
  if (held?.facts !== own || held.now !== now) held = { facts: own, now, conditions: conditionsOf(own, now) };
  return held;
}

/** The whole of the plan that was told without its dates last. */
let begun: (() => Plan) | null = null;

/** A plan, and what a practitioner who reads it would call out. */
export type Whole = { readonly plan: PlanView; readonly findings: readonly Finding[] };

function read(whole: Plan): Whole {
  if (!held) throw new Error('A plan was read before there were facts.');
  return { plan: planView(whole), findings: sense(whole, held.facts, held.conditions) };
}

function onlyPieces(facts: Facts, ids: readonly string[]): Facts {
  const wanted = new Set(ids);
  return { ...facts, pieces: facts.pieces.filter(({ id }) => wanted.has(id)) };
}

/** The plan is worked out here, away from the finger. */
const api = {
  plan(handed: Handed | null, now: number): PlanView {
    return planView(plan(standing(handed, now)));
  },
  /** The plan without likely and safe dates: what is pressed at the bench shows a fifth sooner. */
  soon(handed: Handed | null, now: number, stayMinutes?: number, turns?: Turns, proven?: ProvenPurchases): PlanView {
    begun = null;
    const { undated, whole } = planInTwo({ ...standing(handed, now), stayMinutes, turns, proven });
    begun = whole;
    return planView(undated);
  },
  /** The same with its dates and what is to be said of it; asked for right behind it. */
  whole(): Whole {
    if (!begun) throw new Error('The planner was asked for the whole of a plan that was not begun.');
    return read(begun());
  },
  /** The plan of what comes first in a large workshop; null for a small one. */
  portion(handed: Handed | null, now: number, lookedAt: string | undefined): PlanView | null {
    const own = standing(handed, now);
    const ids = firstPortion(own.facts, now, lookedAt);
    return ids && planView(plan({ ...own, facts: onlyPieces(own.facts, ids) }));
  },
  /** A plan of nothing: with it every page opens on which nothing is planned. */
  nothing(handed: Handed | null, now: number): PlanView {
    const own = standing(handed, now);
    return planView(plan({ ...own, facts: { ...own.facts, pieces: [], events: [] }, datesOf: [] }));
  },
  /** The plan of some pieces alone. */
  planFor(handed: Handed | null, now: number, pieceIds: readonly string[]): PlanView {
    const own = standing(handed, now);
    return planView(plan({ ...own, facts: onlyPieces(own.facts, pieceIds), datesOf: [] }));
  },
  /** Whole systems on one piece side by side, each as if it were alone. */
  compare(handed: Handed | null, now: number, pieceId: string, partId?: string): Compared[] {
    return compareSystems({ ...standing(handed, now), pieceId, ...(partId === undefined ? {} : { partId }) });
  },
  /** Looks for a better plan until the rounds are used up, it is stopped, or a newer search begins; null where there is none. */
  async better(
    handed: Handed | null,
    now: number,
    turns: Turns | undefined,
    proven: ProvenPurchases | undefined,
    tell: (looked: Looked) => void,
  ): Promise<Better | null> {
    const search = new BetterPlan({ ...standing(handed, now), turns, proven });
    looking = search;
    while (looking === search && search.next()) {
      tell({ round: search.round, of: search.of });
      // Whoever asks for something else is let in between two rounds.
      await new Promise((resolve) => setTimeout(resolve));
    }
    const found = looking === search || stopped === search ? search.found() : null;
    return found && { ...read(found.plan), turns: found.turns };
  },
  /** The search ends with the best so far. */
  enough(): void {
    stopped = looking;
    looking = null;
  },
  outlook(handed: Handed | null, now: number, piece: Piece): Outlook {
    const own = standing(handed, now);
    return outlook(piece, own.facts, now, own.conditions);
  },
  ways(ways: readonly Way[], pieceId: string, now: number): PricedWay[] {
    return ways[0] ? priceWays(ways, pieceId, now, conditionsOf(ways[0].facts, now)) : [];
  },
  mends(handed: Handed | null, now: number, piece: Piece, entry: Pick<JointOfPart, 'partId' | 'layerId' | 'joint'>, lab: Lab): Mended[] {
    const own = standing(handed, now);
    return pricedMends(piece, entry, lab, own.facts, now, own.conditions, newId);
  },
  films(handed: Handed | null, now: number): FilmsAhead {
    const own = standing(handed, now);
    return filmsAhead(own.facts, now, own.conditions);
  },
  whatIf(handed: Handed | null, now: number, wish: WhatIf): WhatIfAnswer[] {
    const own = standing(handed, now);
    return whatIf(own.facts, now, own.conditions, wish);
  },
  /** A step put to another time, and what comes of it. */
  pinned(handed: Handed | null, now: number, step: Pick<PlannedStep, 'id' | 'keys'>, at: number, shown: Shown): PinTried {
    return tryPin(standing(handed, now), step, at, shown);
  },
  /** What lying aside until a day costs a piece. */
  resumed(handed: Handed | null, now: number, piece: Piece, date: string): Resumed {
    return resumedOn(date, piece, standing(handed, now));
  },
  /** When one step would begin with the change of that number; null where there are no more. */
  stepSooner(handed: Handed | null, now: number, piece: Piece, shown: ShownStep, number: number): StepTried | null {
    const { asIs, changes } = trialsOf(piece, standing(handed, now));
    const change = changes[number];
    return change ? { label: change.label, where: change.where, start: startWith(change, shown, asIs.now), all: changes.length } : null;
  },
  sooner(handed: Handed | null, now: number, piece: Piece, number: number): Tried | null {
    const { asIs, changes } = trialsOf(piece, standing(handed, now));
    const change = changes[number];
    if (!change) return null;
    return { label: change.label, gain: gainOf(change, piece.id, asIs), all: changes.length };
  },
  sharpen(handed: Handed | null, now: number, piece: Piece): SharpenQuestion[] {
    const own = standing(handed, now);
    return sharpen(piece, own.facts, now, own.conditions);
  },
};
export type PlanApi = typeof api;
expose(api);
