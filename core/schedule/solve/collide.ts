import type { Instance } from './instance.ts';
import { type Limit, soonest } from './search.ts';

/** Where nothing can be scheduled: an irreducible set of wishes that collide. Without any one of them there is a schedule. */

export type WishKind = 'wait' | 'notBefore' | 'notAfter' | 'keep' | 'capacity' | 'changeover' | 'calendar';
export type Wish = { readonly kind: WishKind; readonly id: string; readonly text: string };

export type Collision = {
  readonly wishes: readonly Wish[];
  /** Every step of it was seen to its end; else these held it, and one of them may be too many. */
  readonly proven: boolean;
};

type Droppable = Wish & { readonly without: (instance: Instance) => Instance };

/** @param instance one that has no schedule */
export function collisionOf(instance: Instance, limit: Limit): Collision {
  let left = instance;
  let proven = true;
  const wishes: Wish[] = [];
  for (const { without, ...wish } of wishesOf(instance)) {
    const tried = without(left);
    const found = soonest(tried, { anyWill: true, limit });
    if (!found.starts && found.proven) {
      left = tried;
      continue;
    }
    proven &&= found.starts !== null;
    wishes.push(wish);
  }
  return { wishes, proven };
}

/** Everything somebody asked for, what is easiest to give up last: it then stays in the answer. */
function wishesOf(instance: Instance): Droppable[] {
  const { work } = instance;
  const name = (at: number) => work[at].id;
  return [
    ...[...instance.changeover.keys()].map(
      (resource): Droppable => ({
        kind: 'changeover',
        id: resource,
        text: `the change of colour at ${resource}`,
        without: (own) => ({ ...own, changeover: without(own.changeover, resource) }),
      }),
    ),
    ...[...instance.capacity.keys()].map(
      (resource): Droppable => ({
        kind: 'capacity',
        id: resource,
        text: `the room of ${resource}: ${instance.capacity.get(resource)}`,
        without: (own) => ({ ...own, capacity: without(own.capacity, resource) }),
      }),
    ),
    ...instance.kept.map(
      (kept): Droppable => ({
        kind: 'keep',
        id: `${name(kept.from)}>${name(kept.to)}`,
        text: `${kept.resource} held from ${name(kept.from)} to ${name(kept.to)}`,
        without: (own) => ({ ...own, kept: own.kept.filter((other) => other !== kept) }),
      }),
    ),
    ...instance.waits.map(
      (wait): Droppable => ({
        kind: 'wait',
        id: `${name(wait.from)}>${name(wait.to)}`,
        text: `the wait from ${name(wait.from)} to ${name(wait.to)}`,
        without: (own) => ({ ...own, waits: own.waits.filter((other) => other !== wait) }),
      }),
    ),
    ...work.flatMap((own, at): Droppable[] => [
      ...(own.notBefore === undefined ? [] : [bound(at, 'notBefore', `${own.id} not before ${own.notBefore}`, own.id)]),
      ...(own.notAfter === undefined ? [] : [bound(at, 'notAfter', `${own.id} done by ${own.notAfter}`, own.id)]),
    ]),
    { kind: 'calendar', id: 'free', text: 'the hours that are free', without: (own) => ({ ...own, free: [{ from: 0, to: ANY_HOUR }] }) },
  ];
}

const ANY_HOUR = 10_000_000;

function bound(at: number, kind: 'notBefore' | 'notAfter', text: string, id: string): Droppable {
  return {
    kind,
    id,
    text,
    without: (own) => ({ ...own, work: own.work.map((other, index) => (index === at ? { ...other, [kind]: undefined } : other)) }),
  };
}

function without<T>(from: ReadonlyMap<string, T>, key: string): ReadonlyMap<string, T> {
  return new Map([...from].filter(([own]) => own !== key));
}
