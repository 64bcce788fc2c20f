import type { Minute } from '#core/units/index';
import { distanceBetween, type Instance, type Starts } from './instance.ts';
import { brokenBy } from './checked.ts';
import { holdingsOf } from './conflicts.ts';

/** What keeps a piece of work from starting sooner, all else where it is. */

export type HeldBy = 'window' | 'person' | 'calendar' | 'resource' | 'mix' | 'keep' | 'notBefore' | 'notAfter' | 'nothing';
export type Held = { readonly by: HeldBy; readonly with?: string };

export function holdsOf(instance: Instance, starts: Starts): Map<string, Held> {
  return new Map(instance.work.map(({ id }, at) => [id, heldBy(instance, starts, at)]));
}

/** The most telling first: what it was asked, what it waits for, who is in the way, and only then the hours. */
function heldBy(instance: Instance, starts: Starts, at: number): Held {
  const { work, free } = instance;
  const own = work[at];
  const start = starts[at];
  if (start === 0) return { by: 'nothing' };
  if (own.notBefore === start) return { by: 'notBefore' };
  const waited = instance.waits.find(
    ({ from, to, allowed }) => to === at && allowed.some(({ min }) => starts[from] + work[from].minutes + min === start),
  );
  if (waited) return { by: 'window', with: work[waited.from].id };
  const ends = (other: number): Minute => starts[other] + work[other].minutes;
  for (const [other, beside] of work.entries()) {
    if (other === at) continue;
    const apart = distanceBetween(instance, own, beside);
    if (apart !== null && ends(other) + apart === start) return { by: 'mix', with: beside.id };
    if (own.attended && beside.attended && ends(other) === start) return { by: 'person', with: beside.id };
  }
  for (const resource of own.uses.keys())
    for (const { first, last } of holdingsOf(resource, instance))
      if (last !== at && ends(last) === start) return { by: first === last ? 'resource' : 'keep', with: work[last].id };
  // What comes after it must not wait too long: it is drawn towards that.
  const drawn = instance.waits.find(
    ({ from, to, allowed }) => from === at && allowed.some(({ max }) => max !== null && starts[to] - ends(at) === max),
  );
  if (drawn) return { by: 'window', with: work[drawn.to].id };
  if (own.attended && free.some((span) => span.from === start)) return { by: 'calendar' };
  return sooner(instance, starts, at);
}

/** None of those: a minute sooner would break something, or nothing. */
function sooner(instance: Instance, starts: Starts, at: number): Held {
  const broken = brokenBy(
    instance,
    starts.map((start, other) => (other === at ? start - 1 : start)),
  );
  return { by: broken === null ? 'nothing' : 'resource' };
}
