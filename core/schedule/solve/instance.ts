import type { Minute } from '#core/units/index';
import type { FreeInterval } from '../model.ts';

/** A scheduling problem with constant waits: work, gaps, resources, what is kept between, and the person's hours. */

export const GOALS = ['soonest', 'fewest-sessions', 'calmest'] as const;
export type Goal = (typeof GOALS)[number];

export type Work = {
  readonly id: string;
  readonly minutes: Minute;
  /** Needs the person: wholly inside one free interval, one at a time. */
  readonly attended: boolean;
  /** Units of resources while it runs. */
  readonly uses: ReadonlyMap<string, number>;
  readonly mix?: string;
  readonly notBefore?: Minute;
  /** Its end at the latest. */
  readonly notAfter?: Minute;
};

/** Minutes from the end of one to the start of another: any one of the stretches; null: without end. Sorted, apart. */
export type Wait = { readonly min: Minute; readonly max: Minute | null };
export type WaitBetween = { readonly from: number; readonly to: number; readonly allowed: readonly Wait[] };

/** Units of a resource held from the start of one to the end of another. */
export type Kept = { readonly resource: string; readonly units: number; readonly from: number; readonly to: number };

export type Instance = {
  readonly work: readonly Work[];
  readonly waits: readonly WaitBetween[];
  readonly kept: readonly Kept[];
  readonly free: readonly FreeInterval[];
  readonly capacity: ReadonlyMap<string, number>;
  /** Minutes between two of different mix that use a resource. */
  readonly changeover: ReadonlyMap<string, Minute>;
};

export type Starts = readonly Minute[];

export function finishOf({ work }: Pick<Instance, 'work'>, starts: Starts): Minute {
  return work.reduce((latest, { minutes }, at) => Math.max(latest, starts[at] + minutes), 0);
}

/** Which free interval each attended piece of work lies in, and how many are used. */
export function sessionsIn({ work, free }: Pick<Instance, 'work' | 'free'>, starts: Starts): number[] {
  const used = new Set<number>();
  for (const [at, { attended, minutes }] of work.entries()) {
    if (!attended) continue;
    const index = free.findIndex((span) => span.from <= starts[at] && starts[at] + minutes <= span.to);
    if (index >= 0) used.add(index);
  }
  return [...used].sort((a, b) => a - b);
}

/** Two on one resource that must keep their distance: different mixes. */
export function distanceBetween({ changeover }: Pick<Instance, 'changeover'>, one: Work, other: Work): Minute | null {
  if (one.mix === undefined || other.mix === undefined || one.mix === other.mix) return null;
  const shared = [...one.uses.keys()].flatMap((resource) => (other.uses.has(resource) ? (changeover.get(resource) ?? []) : []));
  return shared.length > 0 ? Math.max(...shared) : null;
}
