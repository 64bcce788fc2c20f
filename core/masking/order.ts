import { CoverSearch, EQUAL } from './coverSearch.ts';
import { addCost, NO_COST, type OrderAnswer, type OrderQuestion, type OrderStep, type OrderStop, totalCost } from './orderTypes.ts';
import { lostBecause, reasonFor } from './orderReason.ts';
import { type Laying, members, StepCosts } from './stepCosts.ts';

/** The order of colours: which goes on first, what it covers, and what masking that costs (trade §9). */

export const MOST_COLOURS = 12;

/**
 * The cheapest order of at most twelve colours by exact search, with the cheapest that differs from it in a pair that touches.
 * @throws RangeError over 12 zones
 */
export function bestOrder(question: OrderQuestion): OrderAnswer | OrderStop {
  const search = searchOf(question);
  const best = cheapestPath(search);
  if (best === null) return noOrder(question, search.costs);
  return answer(question, search.costs, best, rivalTo(best, search));
}

/** One given order at its cheapest, or why it cannot be laid. */
export function insistedOrder(question: OrderQuestion, order: readonly string[]): OrderAnswer | OrderStop {
  const search = searchOf(question);
  const places = order.map((id) => question.zones.findIndex((zone) => zone.id === id));
  const path = pathInOrder(search.costs, places);
  if (path === null) {
    const stop = stopInOrder(search.costs, places);
    return { stop, because: stop };
  }
  return answer(question, search.costs, path, cheapestPath(search));
}

type Search = { readonly costs: StepCosts; readonly from: CoverSearch };
type Path = readonly Laying[];

function searchOf(question: OrderQuestion): Search {
  if (question.zones.length > MOST_COLOURS) throw new RangeError('At most 12 colours can be ordered exactly.');
  const costs = new StepCosts(question);
  return { costs, from: new CoverSearch(costs) };
}

function cheapestPath(search: Search, begun: Path = []): Path | null {
  const path = [...begun];
  while (path.length < search.costs.count) {
    const next = choices(search, path)[0];
    if (!next) return null;
    path.push(next.laying);
  }
  return path;
}

/** What may come next, cheapest first; of equals the lighter colour, for light goes before dark. */
function choices({ costs, from }: Search, path: Path): { laying: Laying; cost: number }[] {
  const [painted, open] = stateAfter(path);
  const left = members(((1 << costs.count) - 1) & ~painted);
  return left
    .map((zone) => from.best(zone, painted, open))
    .filter(({ cost }) => cost < Number.POSITIVE_INFINITY)
    .sort((one, other) =>
      Math.abs(one.cost - other.cost) > EQUAL
        ? one.cost - other.cost
        : costs.lightness(other.laying.zone) - costs.lightness(one.laying.zone),
    );
}

function stateAfter(path: Path): [painted: number, open: number] {
  return path.reduce<[number, number]>(
    ([painted, open], { zone, leavesOpen }) => [painted | (1 << zone), leavesOpen ? open | (1 << zone) : open],
    [0, 0],
  );
}

/** The cheapest path that leaves the best one somewhere and lays two touching colours the other way round. */
function rivalTo(best: Path, search: Search): Path | null {
  const rivals = best.flatMap((_, place) =>
    choices(search, best.slice(0, place)).flatMap(({ laying }) => {
      if (laying.zone === best[place].zone) return [];
      const path = cheapestPath(search, [...best.slice(0, place), laying]);
      return path && differs(path, best, search.costs) ? [path] : [];
    }),
  );
  return rivals.reduce<Path | null>(
    (least, path) => (least === null || minutesOf(path, search.costs) < minutesOf(least, search.costs) - EQUAL ? path : least),
    null,
  );
}

function differs(one: Path, other: Path, costs: StepCosts): boolean {
  const before = (path: Path) => {
    let painted = 0;
    return path.map((laying) => {
      const earlier = painted & costs.touching(laying.zone);
      painted |= 1 << laying.zone;
      return [laying.zone, earlier] as const;
    });
  };
  const known = new Map(before(other));
  return before(one).some(([zone, earlier]) => known.get(zone) !== earlier);
}

function minutesOf(path: Path, costs: StepCosts): number {
  return path.reduce((sum, laying) => sum + costs.minutes(laying), 0);
}

/** The cheapest choice of open and closed for one order; null where every choice stops. */
function pathInOrder(costs: StepCosts, order: readonly number[]): Path | null {
  type Found = { readonly cost: number; readonly path: Path };
  let states = new Map<number, Found>([[0, { cost: 0, path: [] }]]);
  let painted = 0;
  for (const zone of order) {
    const next = new Map<number, Found>();
    for (const [open, found] of states) {
      for (const leavesOpen of (costs.touching(zone) & ~painted) === 0 ? [false] : [true, false]) {
        const laying = { zone, painted, open, leavesOpen };
        const cost = found.cost + costs.minutes(laying);
        const state = leavesOpen ? open | (1 << zone) : open;
        const known = next.get(state);
        if (cost < (known?.cost ?? Number.POSITIVE_INFINITY)) next.set(state, { cost, path: [...found.path, laying] });
      }
    }
    states = next;
    painted |= 1 << zone;
  }
  const ends = [...states.values()].sort((one, other) => one.cost - other.cost);
  return ends[0]?.path ?? null;
}

/** The first colour of an order that cannot be laid, its forerunners closed. */
function stopInOrder(costs: StepCosts, order: readonly number[]): string {
  let painted = 0;
  for (const zone of order) {
    const stop = costs.stopOf({ zone, painted, open: 0, leavesOpen: false });
    if (stop) return stop;
    painted |= 1 << zone;
  }
  return 'These colours cannot be laid in this order.';
}

function noOrder({ zones }: OrderQuestion, costs: StepCosts): OrderStop {
  const stop = stopInOrder(
    costs,
    zones.map((_, place) => place),
  );
  return { stop, because: `${stop} No order of these colours can be masked: brush one of them, or choose another paint for it.` };
}

function answer(question: OrderQuestion, costs: StepCosts, path: Path, rival: Path | null): OrderAnswer {
  const ids = (way: Path) => way.map(({ zone }) => question.zones[zone].id);
  const partsOf = (way: Path) => way.reduce((sum, laying) => addCost(sum, costs.parts(laying)), NO_COST);
  const parts = partsOf(path);
  const other = rival && differs(rival, path, costs) ? { path: rival, parts: partsOf(rival) } : null;
  return {
    order: ids(path),
    cost: totalCost(parts),
    parts,
    steps: path.map((laying) => stepOf(question, costs, laying)),
    because: reasonFor(
      question,
      path.map((laying) => stepOf(question, costs, laying)),
      parts,
      other && { order: ids(other.path), parts: other.parts },
    ),
    ...(other ? { runnerUp: { order: ids(other.path), cost: totalCost(other.parts), because: lostBecause(parts, other.parts) } } : {}),
  };
}

function stepOf({ zones }: OrderQuestion, costs: StepCosts, laying: Laying): OrderStep {
  const own = zones[laying.zone];
  const left = costs.tapedFor(laying.zone, laying.painted);
  return {
    zoneId: own.id,
    open: laying.leavesOpen,
    taped: members(costs.taped(laying)).map((zone) => zones[zone].id),
    locked: left !== 0 && costs.needsLock(laying.zone),
  };
}
