import { coatMinutes, NEXT_COAT_SETUP_MINUTES, SPRAY_SETUP_MINUTES } from '#core/amounts/index';
import { coatsToHide, joint } from '#core/coats/index';
import type { Material } from '#core/facts/index';
import { workGrowth } from '#core/units/index';
import { maskMinutes } from './minutes.ts';
import { addCost, NO_COST, type OrderCost, type OrderQuestion, type OrderZone, totalCost } from './orderTypes.ts';
import { tapeSafety } from './tapeSafety.ts';

/** What one colour costs, given which zones are painted and which colours were left open: looked up by sets of zones as bits. */

/** A wait for tape-safe, in evening-minutes (trade §9). */
const WAIT_COST = 30;
/** Chance that tape lifts the film below it: once that is tape-safe, and forced as soon as it bears a hand (trade §9). */
const TAPE_LIFTS = { safe: 0.02, forced: 0.25 } as const;
/** What a lifted edge takes to mend, evening-minutes. */
const LIFTED_MINUTES = 60;
/** What forcing tape early puts at risk, evening-minutes. */
export const FORCING_MINUTES = Math.round(LIFTED_MINUTES * (TAPE_LIFTS.forced - TAPE_LIFTS.safe));
const LIFTING_COST = LIFTED_MINUTES * TAPE_LIFTS.safe;
const SCUFF_AT_100CM2 = 3;
/** What light before dark is worth, evening-minutes: a dark rim shows as a shade and a ridge under the light one (trade §9). */
export const DARK_UNDER_LIGHT_MINUTES = 10;
/** From how much darker, L*, the ground of another colour counts as dark. */
const DARKER = 15;

/** One colour going on: its place, the sets of painted and of open colours before it, and whether it too is left open. */
export type Laying = { readonly zone: number; readonly painted: number; readonly open: number; readonly leavesOpen: boolean };

export class StepCosts {
  readonly #zones: readonly OrderZone[];
  readonly #copies: number;
  readonly #pairs: readonly (readonly Pair[])[];
  /** Zones that each one touches. */
  readonly #touching: readonly number[];
  /** Zones that are sprayed: beside a brush nothing goes under tape. */
  readonly #sprayed: number;
  /** Coats that hide the ground below all of them, by zone. */
  readonly #overGround: readonly number[];
  /** Evening-minutes of a mask, by zone and by the set under tape. */
  readonly #masks: readonly Float64Array[];
  /** What the colours left open cost that reached a zone, by zone and by their set; infinite where a joint stops. */
  readonly #grounds: readonly Float64Array[];

  /** Evening-minutes of what is left to touch each zone once it is painted. */
  readonly #leaving: Float64Array;

  constructor(question: OrderQuestion) {
    const { zones, ground } = question;
    this.#zones = zones;
    this.#copies = question.copies ?? 1;
    this.#pairs = zones.map((own) => zones.map((other) => pairOf(own, other, question)));
    this.#touching = this.#pairs.map((row) => setOf(row.map(({ touch }) => touch)));
    this.#sprayed = setOf(zones.map(({ brushed }) => !brushed));
    this.#overGround = zones.map((own) => coatsToHide(ground, own.lab, own.share).coats);
    this.#masks = zones.map((_, zone) => this.#tableOf(zone, (taped) => totalCost(this.#maskCost(zone, taped))));
    this.#grounds = zones.map((_, zone) => this.#tableOf(zone, (reached) => totalCost(this.#reachedCost(zone, reached))));
    this.#leaving = Float64Array.from(zones, (zone) => totalCost(leavingCost(zone)));
  }

  get count(): number {
    return this.#zones.length;
  }

  touching(zone: number): number {
    return this.#touching[zone];
  }

  lightness(zone: number): number {
    return this.#zones[zone].lab.l;
  }

  /** Neighbours still to come that it will be under tape for. */
  tapedFor(zone: number, painted: number): number {
    return this.#touching[zone] & ~painted & this.#sprayed;
  }

  needsLock(zone: number): boolean {
    return tapeSafety(this.#zones[zone].family) === 'locked';
  }

  /** Evening-minutes of laying one colour; infinite where it cannot be laid so. */
  minutes({ zone, painted, open, leavesOpen }: Laying): number {
    return this.maskMinutes(zone, painted, leavesOpen) + this.grounds(zone)[open & this.#touching[zone]];
  }

  /** Of that, what does not hang on the colours left open: its mask, and what it must wait for before the next. */
  maskMinutes(zone: number, painted: number, leavesOpen: boolean): number {
    const near = this.#touching[zone];
    const leaving = this.tapedFor(zone, painted) === 0 ? 0 : this.#leaving[zone];
    return this.#masks[zone][leavesOpen ? near & painted : near] + leaving;
  }

  /** And what hangs on them, by the set of open colours that touch it. */
  grounds(zone: number): Float64Array {
    return this.#grounds[zone];
  }

  /** The same by its parts. */
  parts(laying: Laying): OrderCost {
    const { zone, painted, open } = laying;
    const near = this.#touching[zone];
    const leaving = this.tapedFor(zone, painted) === 0 ? NO_COST : leavingCost(this.#zones[zone]);
    return addCost(addCost(this.#maskCost(zone, this.taped(laying)), leaving), this.#reachedCost(zone, open & near));
  }

  /** Zones under tape while it goes on. */
  taped({ zone, painted, leavesOpen }: Laying): number {
    if (this.#zones[zone].brushed) return 0;
    return leavesOpen ? this.#touching[zone] & painted : this.#touching[zone];
  }

  /** Why a colour cannot be laid beside what is left to do, or over what reached it; null where it can. */
  stopOf({ zone, painted, open }: Laying): string | null {
    const own = this.#zones[zone];
    const near = this.#touching[zone];
    if (this.tapedFor(zone, painted) !== 0 && tapeSafety(own.family, own.heatSet) === 'never')
      return `${own.name} can never be taped: it goes on after all that touches it.`;
    const under = members(open & near).find((other) => this.#pairs[zone][other].stops);
    if (under === undefined) return null;
    return showsThrough(own)
      ? `${own.name} is transparent: overspray of ${this.#zones[under].name} would show through it.`
      : `${own.name} would not sit on overspray of ${this.#zones[under].name}.`;
  }

  #tableOf(zone: number, value: (set: number) => number): Float64Array {
    const table = new Float64Array(1 << this.count);
    for (let set = 0; set < table.length; set++) if ((set & ~this.#touching[zone]) === 0) table[set] = value(set);
    return table;
  }

  /** The start of a mask counts once, its lines and covers add up. */
  #maskCost(zone: number, taped: number): OrderCost {
    if (taped === 0 || this.#zones[zone].brushed) return NO_COST;
    let [masking, covering] = [BASE.mask + BASE.unmask, 0];
    for (const other of members(taped)) {
      masking += this.#pairs[zone][other].line;
      covering += this.#pairs[zone][other].cover;
    }
    return { ...NO_COST, masking: masking * this.#copies, covering: covering * this.#copies, lifting: LIFTING_COST };
  }

  /** The coats it needs more than over the plain ground, for the worst that reached it, and a dark rim below a light one. */
  #reachedCost(zone: number, reached: number): OrderCost {
    const pairs = members(reached).map((other) => this.#pairs[zone][other]);
    if (pairs.some(({ stops }) => stops)) return { ...NO_COST, extraCoats: Number.POSITIVE_INFINITY };
    const most = Math.max(this.#overGround[zone], ...pairs.map(({ coats }) => coats));
    return {
      ...NO_COST,
      extraCoats: (most - this.#overGround[zone]) * extraCoatMinutes(this.#zones[zone]),
      darkBelow: pairs.some(({ darker }) => darker) ? DARK_UNDER_LIGHT_MINUTES : 0,
    };
  }
}

const BASE = maskMinutes([], []);

/** One colour beside another. */
type Pair = {
  readonly touch: boolean;
  /** Minutes of the line between, tape on and off, without the start of a mask. */
  readonly line: number;
  /** Minutes to cover the other. */
  readonly cover: number;
  /** Coats of the one that hide the other. */
  readonly coats: number;
  /** It does not sit on the other's overspray. */
  readonly stops: boolean;
  /** The other's overspray is a dark one under a light one. */
  readonly darker: boolean;
};

function pairOf(own: OrderZone, other: OrderZone, { edges, material = 'steel' }: OrderQuestion): Pair {
  const between = edges.filter(({ a, b }) => own !== other && ((a === own.id && b === other.id) || (a === other.id && b === own.id)));
  const minutes = maskMinutes(between, [other.areaCm2]);
  return {
    touch: between.length > 0,
    line: minutes.mask + minutes.unmask - BASE.mask - BASE.unmask,
    cover: minutes.cover,
    coats: other.brushed ? 0 : coatsToHide(other.lab, own.lab, own.share).coats,
    stops: between.length > 0 && !other.brushed && (showsThrough(own) || !sitsOn(own, other, material)),
    darker: !other.brushed && own.lab.l - other.lab.l > DARKER,
  };
}

/** Whether the dried, keyed overspray of another colour carries it. */
function sitsOn(own: OrderZone, other: OrderZone, material: Material): boolean {
  const film = { family: other.family, material, state: 'dry' as const, scuffed: true, role: 'colour' as const };
  return joint(film, { family: own.family, role: 'colour' }).verdict !== 'stop';
}

function showsThrough({ family, transparent }: OrderZone): boolean {
  return transparent === true || family === 'candy';
}

/** What a colour costs that later ones touch: it becomes tape-safe once, under a locking clear where its film is too soft. */
function leavingCost(own: OrderZone): OrderCost {
  const safety = tapeSafety(own.family, own.heatSet);
  if (safety === 'never') return { ...NO_COST, waits: Number.POSITIVE_INFINITY };
  if (safety === 'clock') return { ...NO_COST, waits: WAIT_COST };
  const locking = SPRAY_SETUP_MINUTES + extraCoatMinutes(own) + SCUFF_AT_100CM2 * workGrowth(own.areaCm2, 'scuff');
  return { ...NO_COST, locking, waits: 2 * WAIT_COST };
}

function extraCoatMinutes({ coatMinutes: known, areaCm2 }: OrderZone): number {
  const sideMm = Math.sqrt(areaCm2 * 100);
  return known ?? NEXT_COAT_SETUP_MINUTES + coatMinutes([{ longMm: sideMm, shortMm: sideMm }], 'aerosol', 1);
}

/** Places in a set, lowest first. */
export function members(set: number): number[] {
  const found: number[] = [];
  for (let rest = set; rest !== 0; rest &= rest - 1) found.push(31 - Math.clz32(rest & -rest));
  return found;
}

function setOf(flags: readonly boolean[]): number {
  return flags.reduce((set, flag, index) => (flag ? set | (1 << index) : set), 0);
}
