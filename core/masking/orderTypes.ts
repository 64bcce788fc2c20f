import type { Edge, Family, Lab, Material } from '#core/facts/index';

/** What the order of colours is asked by, and what is answered (trade §9). */

/** A colour on the stretch it is for. */
export type OrderZone = {
  readonly id: string;
  readonly name: string;
  readonly family: Family;
  readonly lab: Lab;
  /** Share of the contrast below that one coat lets through, 0–1. */
  readonly share: number;
  readonly areaCm2: number;
  /** Attended minutes of one more coat of it; absent: reckoned for a square of its area from a can. */
  readonly coatMinutes?: number;
  /** Brushed: no overspray, so nothing is masked for it and it reaches nothing. */
  readonly brushed?: boolean;
  /** It is set by heat before anything touches it: then it takes tape, whatever its family. */
  readonly heatSet?: boolean;
  /** It shows what lies below it: nothing may reach it first. */
  readonly transparent?: boolean;
};

export type OrderQuestion = {
  readonly zones: readonly OrderZone[];
  readonly edges: readonly Pick<Edge, 'a' | 'b' | 'mm' | 'curve'>[];
  /** Colour of what lies below all of them. */
  readonly ground: Lab;
  /** Absent: metal. A covered plastic softens sooner. */
  readonly material?: Material;
  /** Copies that are masked and sprayed one by one; absent: one. */
  readonly copies?: number;
};

/** Evening-minutes. The first four are minutes at the bench, the last three are weights. */
export type OrderCost = {
  /** Tape on and off. */
  readonly masking: number;
  readonly covering: number;
  readonly extraCoats: number;
  /** A clear over what never takes tape by itself, and its scuff. */
  readonly locking: number;
  /** A dark colour's rim under a later light one. */
  readonly darkBelow: number;
  readonly waits: number;
  readonly lifting: number;
};

/** One colour going on: over its own zone alone, or over later ones too, and what is under tape meanwhile. */
export type OrderStep = {
  readonly zoneId: string;
  readonly open: boolean;
  readonly taped: readonly string[];
  /** Cleared before tape may touch it. */
  readonly locked: boolean;
};

/** One colour brushed instead of sprayed: what the cheapest order costs then, and what that shows. */
export type BrushedWay = { readonly zoneId: string; readonly cost: number; readonly shows: string };

export type OrderAnswer = {
  readonly order: readonly string[];
  /** Evening-minutes, waits and risk weighed in. */
  readonly cost: number;
  readonly parts: OrderCost;
  readonly steps: readonly OrderStep[];
  readonly runnerUp?: { readonly order: readonly string[]; readonly cost: number; readonly because: string };
  /** Each colour brushed instead, where that was asked for. */
  readonly brushed?: readonly BrushedWay[];
  readonly because: string;
};

/** No order of these colours can be laid, and why. */
export type OrderStop = { readonly stop: string; readonly because: string };

export const NO_COST: OrderCost = { masking: 0, covering: 0, extraCoats: 0, locking: 0, darkBelow: 0, waits: 0, lifting: 0 };

export function totalCost(cost: OrderCost): number {
  return cost.masking + cost.covering + cost.extraCoats + cost.locking + cost.darkBelow + cost.waits + cost.lifting;
}

export function addCost(one: OrderCost, other: OrderCost): OrderCost {
  return {
    masking: one.masking + other.masking,
    covering: one.covering + other.covering,
    extraCoats: one.extraCoats + other.extraCoats,
    locking: one.locking + other.locking,
    darkBelow: one.darkBelow + other.darkBelow,
    waits: one.waits + other.waits,
    lifting: one.lifting + other.lifting,
  };
}
