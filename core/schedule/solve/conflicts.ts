import type { Minute } from '#core/units/index';
import { distanceBetween, type Instance, type Starts, type WaitBetween } from './instance.ts';
import type { Edge } from './network.ts';

/** What the earliest starts still break, and every way to put it right: at least one of them holds in any schedule. */

export type Conflict = { readonly at: Minute; readonly ways: readonly (readonly Edge[])[] };

/** The first thing broken, by time; null where the starts are a schedule. */
export function firstConflict(instance: Instance, starts: Starts): Conflict | null {
  let first: Conflict | null = null;
  const offer = (conflict: Conflict | null) => {
    if (conflict && (!first || conflict.at < first.at)) first = conflict;
  };
  for (const wait of instance.waits) offer(waitConflict(wait, instance, starts));
  offer(pairConflict(instance, starts));
  for (const [resource, capacity] of instance.capacity) offer(overload(resource, capacity, instance, starts));
  return first;
}

/** Between two stretches of a wait: back into the one before, or on to the next. */
function waitConflict({ from, to, allowed }: WaitBetween, { work }: Instance, starts: Starts): Conflict | null {
  const end = starts[from] + work[from].minutes;
  const waited = starts[to] - end;
  const next = allowed.findIndex(({ min }) => waited < min);
  const before = allowed[(next < 0 ? allowed.length : next) - 1];
  if (!before || before.max === null || waited <= before.max) return null;
  return {
    at: starts[to],
    ways: [
      [{ from: to, to: from, minutes: -(before.max + work[from].minutes) }],
      ...(next < 0 ? [] : [[{ from, to, minutes: work[from].minutes + allowed[next].min }]]),
    ],
  };
}

/** Two attended at once, or two mixes too near each other. */
function pairConflict(instance: Instance, starts: Starts): Conflict | null {
  const { work } = instance;
  let first: Conflict | null = null;
  for (let one = 0; one < work.length; one++)
    for (let other = one + 1; other < work.length; other++) {
      const apart = apartOf(instance, one, other);
      if (apart === null) continue;
      const [endOne, endOther] = [starts[one] + work[one].minutes, starts[other] + work[other].minutes];
      if (starts[other] >= endOne + apart || starts[one] >= endOther + apart) continue;
      const at = Math.max(starts[one], starts[other]);
      if (first && first.at <= at) continue;
      const oneFirst = [{ from: one, to: other, minutes: work[one].minutes + apart }];
      const otherFirst = [{ from: other, to: one, minutes: work[other].minutes + apart }];
      first = { at, ways: starts[one] <= starts[other] ? [oneFirst, otherFirst] : [otherFirst, oneFirst] };
    }
  return first;
}

/** Minutes two must lie apart, one after the other; null: they may lie side by side. */
export function apartOf(instance: Instance, one: number, other: number): Minute | null {
  const [a, b] = [instance.work[one], instance.work[other]];
  const distance = distanceBetween(instance, a, b);
  return distance ?? (a.attended && b.attended ? 0 : null);
}

/** Something that holds units of a resource, from the start of one to the end of another. */
type Holding = { readonly units: number; readonly first: number; readonly last: number };

/** Work that uses a resource, and what keeps it between two. */
export function holdingsOf(resource: string, { work, kept }: Instance): Holding[] {
  return [
    ...work.flatMap(({ uses }, at) => {
      const units = uses.get(resource) ?? 0;
      return units > 0 ? [{ units, first: at, last: at }] : [];
    }),
    ...kept.flatMap((own) => (own.resource === resource ? [{ units: own.units, first: own.from, last: own.to }] : [])),
  ];
}

/** More units held at once than there are: of a smallest set that is too much, two lie one after the other. */
function overload(resource: string, capacity: number, instance: Instance, starts: Starts): Conflict | null {
  const { work } = instance;
  const holdings = holdingsOf(resource, instance);
  const until = ({ last }: Holding) => starts[last] + work[last].minutes;
  for (const opens of [...holdings].sort((a, b) => starts[a.first] - starts[b.first])) {
    const at = starts[opens.first];
    const here = holdings.filter((own) => starts[own.first] <= at && at < until(own));
    if (here.reduce((sum, { units }) => sum + units, 0) <= capacity) continue;
    const set = smallestOver(here, capacity);
    const ways = set.flatMap((one) =>
      set.flatMap((other) =>
        one === other || one.last === other.first ? [] : [[{ from: one.last, to: other.first, minutes: work[one.last].minutes }]],
      ),
    );
    return { at, ways };
  }
  return null;
}

/** The fewest that are too much together, the largest first. */
function smallestOver(here: readonly Holding[], capacity: number): Holding[] {
  const set: Holding[] = [];
  let units = 0;
  for (const own of [...here].sort((a, b) => b.units - a.units)) {
    set.push(own);
    units += own.units;
    if (units > capacity) break;
  }
  return set;
}
