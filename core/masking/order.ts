import { capital, counted } from '#core/units/index';
import { coatsToHide } from '#core/coats/index';
import type { Curve, Edge, Family, Lab } from '#core/facts/index';

/** The order of colours: which zone is sprayed first, and what masking that costs (BRIEF §9). */

export type OrderZone = {
  readonly id: string;
  readonly name: string;
  readonly family: Family;
  readonly lab: Lab;
  readonly share: number;
  readonly areaCm2: number;
};

export type OrderCost = {
  readonly masking: number;
  readonly covering: number;
  readonly extraCoats: number;
  readonly waits: number;
  readonly lifting: number;
};
export type OrderAnswer = {
  readonly order: readonly string[];
  /** Evening-minutes. */
  readonly cost: number;
  readonly parts: OrderCost;
  readonly runnerUp?: { readonly order: readonly string[]; readonly cost: number };
  readonly because: string;
};

/** Minutes a metre of tape line. */
export const TAPE_MINUTES_A_METRE: Record<Curve, number> = { straight: 4, gentle: 6, tight: 10, double: 15 };
const MASK_BASE = 3;
const UNMASK_BASE = 1;
const COVER_MINUTES_PER_100CM2 = 2;
const COAT_MINUTES = 4;
const WAIT_COST = 30;
const LIFTING_COST = 60 * 0.02;

/** Minutes to mask these edges and cover this area, and to take it off again. */
export function maskMinutes(
  edges: readonly Pick<Edge, 'mm' | 'curve'>[],
  coveredCm2: number,
): { mask: number; unmask: number; cover: number } {
  const line = edges.reduce((sum, edge) => sum + (edge.mm / 1000) * TAPE_MINUTES_A_METRE[edge.curve], 0);
  const metres = edges.reduce((sum, edge) => sum + edge.mm / 1000, 0);
  return { mask: MASK_BASE + line, unmask: UNMASK_BASE + metres, cover: (coveredCm2 / 100) * COVER_MINUTES_PER_100CM2 };
}

/** Cost of spraying one zone when those of `before` are already coloured. Depends on the set only, not on its order. */
function costOf(zone: OrderZone, before: readonly OrderZone[], edges: readonly Edge[], ground: Lab): OrderCost {
  const touching = (other: OrderZone) =>
    edges.filter((edge) => (edge.a === zone.id && edge.b === other.id) || (edge.b === zone.id && edge.a === other.id));
  const keepers = before.filter((other) => touching(other).length > 0);
  const overGround = coatsToHide(ground, zone.lab, zone.share).coats;
  const worst = Math.max(overGround, ...keepers.map((keeper) => coatsToHide(keeper.lab, zone.lab, zone.share).coats));
  const extraCoats = (worst - overGround) * COAT_MINUTES;
  if (keepers.length === 0) return { masking: 0, covering: 0, extraCoats, waits: 0, lifting: 0 };
  const minutes = maskMinutes(
    keepers.flatMap(touching),
    keepers.reduce((sum, keeper) => sum + keeper.areaCm2, 0),
  );
  return { masking: minutes.mask + minutes.unmask, covering: minutes.cover, extraCoats, waits: WAIT_COST, lifting: LIFTING_COST };
}

const total = (cost: OrderCost) => cost.masking + cost.covering + cost.extraCoats + cost.waits + cost.lifting;
const plus = (a: OrderCost, b: OrderCost): OrderCost => ({
  masking: a.masking + b.masking,
  covering: a.covering + b.covering,
  extraCoats: a.extraCoats + b.extraCoats,
  waits: a.waits + b.waits,
  lifting: a.lifting + b.lifting,
});
const NOTHING: OrderCost = { masking: 0, covering: 0, extraCoats: 0, waits: 0, lifting: 0 };

/** Cost of one given order. */
export function orderCost(order: readonly OrderZone[], edges: readonly Edge[], ground: Lab): OrderCost {
  return order.reduce((sum, zone, index) => plus(sum, costOf(zone, order.slice(0, index), edges, ground)), NOTHING);
}

/**
 * The cheapest order by exact search over subsets (at most 12 zones), with the runner-up that starts with another colour.
 * @throws RangeError over 12 zones
 */
export function bestOrder(zones: readonly OrderZone[], edges: readonly Edge[], ground: Lab): OrderAnswer {
  if (zones.length > 12) throw new RangeError('At most 12 colour zones can be ordered exactly.');
  const orders = zones.map((first) => cheapestFrom(first, zones, edges, ground)).sort((a, b) => a.cost - b.cost);
  const [best, runnerUp] = orders;
  const parts = orderCost(best.order, edges, ground);
  return {
    order: best.order.map((zone) => zone.id),
    cost: best.cost,
    parts,
    because: reason(best, runnerUp),
    ...(runnerUp ? { runnerUp: { order: runnerUp.order.map((zone) => zone.id), cost: runnerUp.cost } } : {}),
  };
}

type Found = { readonly order: readonly OrderZone[]; readonly cost: number };

/** Dynamic programme over the sets that contain `first` as their beginning. */
function cheapestFrom(first: OrderZone, zones: readonly OrderZone[], edges: readonly Edge[], ground: Lab): Found {
  const others = zones.filter((zone) => zone.id !== first.id);
  const start: Found = { order: [first], cost: total(costOf(first, [], edges, ground)) };
  let layer = new Map<number, Found>([[0, start]]);
  for (let size = 0; size < others.length; size++) {
    const next = new Map<number, Found>();
    for (const [set, found] of layer) {
      for (const [index, zone] of others.entries()) {
        if (set & (1 << index)) continue;
        const cost = found.cost + total(costOf(zone, found.order, edges, ground));
        const key = set | (1 << index);
        const known = next.get(key);
        if (!known || cost < known.cost - 1e-9) next.set(key, { order: [...found.order, zone], cost });
      }
    }
    layer = next;
  }
  return layer.get((1 << others.length) - 1) as Found;
}

function reason(best: Found, runnerUp: Found | undefined): string {
  const first = best.order[0];
  if (!runnerUp) return `${first.name} is the only colour.`;
  const saved = runnerUp.cost - best.cost;
  // The orders may begin alike: what is compared is where they part.
  const parts = best.order.findIndex((zone, index) => zone.id !== runnerUp.order[index].id);
  const [own, rival] = [best.order[parts], runnerUp.order[parts]];
  const light = own.lab.l > rival.lab.l;
  if (saved < 0.5)
    return `${capital(own.name)} goes before ${rival.name}: both orders cost the same${light ? ', and light goes before dark' : ''}.`;
  return `${capital(own.name)} before ${rival.name} saves ${counted(Math.round(saved), 'evening minute')}${light ? ': light before dark needs fewer coats' : ''}.`;
}
