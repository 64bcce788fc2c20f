import type { FilmState } from '#core/drying/index';
import type { BelowFamily, Family, Hand, Material, Role } from '#core/facts/index';

/** What a joint is asked by, and what is answered. */

export type JointVerdict = 'sits' | 'care' | 'stop';

export type Below = {
  /** null when the surface is bare. */
  readonly family: BelowFamily | null;
  readonly material: Material;
  readonly state: FilmState;
  readonly scuffed?: boolean;
  readonly metallic?: boolean;
  readonly role?: Role;
  readonly ageDays?: number;
  /** What a rub with thinner has shown of unknown old paint, instead of the table's. */
  readonly resistance?: number;
  /** Reference hours since the last coat; absent: the needed point of that state is reached. */
  readonly hours?: number;
};

export type Above = {
  readonly family: Family;
  readonly role?: Role;
  readonly thinner?: Family;
  readonly coat?: 'mist' | 'thin' | 'normal' | 'wet';
  readonly by?: Hand;
  readonly forPlastics?: boolean;
  readonly promoter?: boolean;
};

/** One rule's answer. */
export type Finding = { readonly verdict: JointVerdict; readonly rule: string; readonly because: string };

export type JointAnswer = {
  readonly verdict: JointVerdict;
  readonly rule: string;
  readonly because: string;
  readonly source: 'own' | 'label' | 'default';
  readonly findings: readonly Finding[];
};

const RANK: Record<JointVerdict, number> = { sits: 0, care: 1, stop: 2 };

export function worseOf<T extends { verdict: JointVerdict }>(one: T, other: T): T {
  return RANK[other.verdict] > RANK[one.verdict] ? other : one;
}

export function isBetter(one: JointVerdict, than: JointVerdict): boolean {
  return RANK[one] < RANK[than];
}

/** What is known beyond the tables: the person's own evidence, and what the label of the upper product says. */
export type Known = { readonly own?: Finding | null; readonly label?: Finding | null };
