import type { Minute } from '#core/units/index';
import { finishOf, type Instance, type Starts } from './instance.ts';
import { firstConflict } from './conflicts.ts';
import { type Edge, Network } from './network.ts';

/**
 * Branch and bound over decisions: the earliest starts are taken, the first thing they break is put right in each way there is. What
 * cannot finish before the best so far is left. Complete, so an empty answer is a proof; with a limit, the best until then.
 */

export type Limit = {
  /** Nodes of the tree at most. */
  readonly nodes: number;
};

export type Found = {
  readonly starts: Starts | null;
  /** The whole tree was seen: there is nothing sooner, or nothing at all. */
  readonly proven: boolean;
};

export type Search = {
  /** Stop at the first schedule. */
  readonly anyWill?: boolean;
  /** Only what ends before this. */
  readonly before?: Minute;
  readonly limit: Limit;
};

export function soonest(instance: Instance, { anyWill = false, before = Number.POSITIVE_INFINITY, limit }: Search): Found {
  const network = new Network(instance);
  const edges: Edge[] = network.edges();
  let [best, finish, nodes]: [Starts | null, Minute, number] = [null, before, 0];
  let cut = false;
  const visit = (from: Starts): void => {
    if (anyWill && best) return;
    if (++nodes > limit.nodes) {
      cut = true;
      return;
    }
    const starts = network.settle(from, edges);
    if (!starts || boundOf(instance, starts) >= finish) return;
    const conflict = firstConflict(instance, starts);
    if (!conflict) {
      [best, finish] = [starts, finishOf(instance, starts)];
      return;
    }
    for (const way of conflict.ways) {
      edges.push(...way);
      visit(starts);
      edges.length -= way.length;
      if (cut || (anyWill && best)) return;
    }
  };
  visit(network.released());
  return { starts: best, proven: !cut };
}

/** No schedule with these earliest starts ends sooner: nor can the person do all that is left any faster in the hours there are. */
function boundOf(instance: Instance, starts: Starts): Minute {
  return Math.max(finishOf(instance, starts), personEnds(instance, starts));
}

/** All attended work as one that may be broken off, in the free hours, none before its earliest start; infinite: they are too few. */
function personEnds({ work, free }: Instance, starts: Starts): Minute {
  const order = work.flatMap(({ attended, minutes }, at) => (attended ? [{ at: starts[at], minutes }] : [])).sort((a, b) => a.at - b.at);
  let now = 0;
  let span = 0;
  for (const own of order) {
    let left = own.minutes;
    now = Math.max(now, own.at);
    for (; left > 0 && span < free.length; ) {
      const from = Math.max(now, free[span].from);
      const room = free[span].to - from;
      if (room <= 0) {
        span++;
        continue;
      }
      const taken = Math.min(room, left);
      now = from + taken;
      left -= taken;
      if (left > 0) span++;
    }
    if (left > 0) return Number.POSITIVE_INFINITY;
  }
  return now;
}
