import { coatAmount, coatMinutes, NEXT_COAT_SETUP_MINUTES } from '#core/amounts/index';
import { type ResolvedLayer, resolveLayer } from '#core/coats/index';
import type { Facts, Part, Piece } from '#core/facts/index';
import {
  BARE_GROUND,
  bestOrder,
  brushedWays,
  insistedOrder,
  MOST_COLOURS,
  type OrderAnswer,
  type OrderQuestion,
  type OrderStop,
} from '#core/masking/index';
import { setsByHeat, warmthLimit } from '#core/drying/index';
import { areaMm2 } from '#core/survey/index';
import { facesToPaint } from '#core/zones/index';
import type { PlanContext } from './context.ts';

/** A layer with its place in the part's own list and the zones it covers, by place; bare zones never. */
export type PlacedLayer = {
  readonly index: number;
  readonly resolved: ResolvedLayer;
  readonly zones: readonly number[];
  /** Later colours beside it are kept from it: its overspray would cost more there than tape. */
  readonly closed?: boolean;
};

export type OrderedLayers = {
  readonly layers: readonly PlacedLayer[];
  /** The order as planned: the cheapest, or the one insisted on. */
  readonly masking: OrderAnswer | null;
  /** Why these colours cannot be laid in any order, or not in the one insisted on. */
  readonly stop: string | null;
  /** The colours that no order can be found for, where that is why. */
  readonly unordered?: readonly string[];
};

/** Layers in the order they will be laid: as listed, except that colours on disjoint zones go by the masking order. */
export function layersInOrder(part: Part, context: PlanContext): OrderedLayers {
  const placed: PlacedLayer[] = part.layers
    .map((layer, index) => ({ index, resolved: resolveLayer(layer, context.facts), zones: zonesOf(part, layer.covers) }))
    .filter((layer) => layer.zones.length > 0);
  const run = colourRun(placed);
  if (run.length < 2) return { layers: placed, masking: null, stop: null };
  if (run.length > MOST_COLOURS)
    return { layers: placed, masking: null, stop: `More than ${MOST_COLOURS} colours on one part: let some of them be details.` };
  const answer = orderOnce(part, context.facts, () =>
    maskingOrder(part, run, placed, [...tiedLayers(part, context), ...heatTies(part, run)]),
  );
  if ('stop' in answer)
    return { layers: placed, masking: null, stop: answer.stop, unordered: run.map(({ resolved }) => resolved.layer.id) };
  const { order } = answer;
  const begun = (layer: PlacedLayer) => layer.zones.some((zone) => layerBegun(part, zone, layer, context));
  const sorted = [...run].sort(
    (a, b) => Number(begun(b)) - Number(begun(a)) || order.indexOf(a.resolved.layer.id) - order.indexOf(b.resolved.layer.id),
  );
  const at = placed.indexOf(run[0]);
  const closed = new Set(answer.steps.flatMap((step) => (step.open || step.taped.length === 0 ? [] : [step.zoneId])));
  const ordered = sorted.map((layer) => (closed.has(layer.resolved.layer.id) ? { ...layer, closed: true } : layer));
  return { layers: [...placed.slice(0, at), ...ordered, ...placed.slice(at + run.length)], masking: answer, stop: null };
}

function zonesOf(part: Part, covers: 'all' | readonly string[]): number[] {
  return part.zones.flatMap((zone, index) => (zone.bare === undefined && (covers === 'all' || covers.includes(zone.id)) ? [index] : []));
}

/** The first run of neighbouring colour layers that share no zone. */
function colourRun(layers: readonly PlacedLayer[]): PlacedLayer[] {
  const isColour = (layer: PlacedLayer) => layer.resolved.role === 'colour' || layer.resolved.role === 'metallic';
  for (let start = 0; start < layers.length; start++) {
    const run: PlacedLayer[] = [];
    const covered = new Set<number>();
    for (const layer of layers.slice(start)) {
      if (!isColour(layer) || layer.resolved.layer.round !== undefined || layer.zones.some((zone) => covered.has(zone))) break;
      for (const zone of layer.zones) covered.add(zone);
      run.push(layer);
    }
    if (run.length > 1) return run;
  }
  return [];
}

type Ordered = { readonly facts: Facts; readonly answer: OrderAnswer | OrderStop };
const ORDERED = new WeakMap<Part, Ordered>();

/** A plan asks for the order of a part several times: it is searched once for as long as the same facts stand. */
function orderOnce(part: Part, facts: Facts, search: () => OrderAnswer | OrderStop): OrderAnswer | OrderStop {
  const known = ORDERED.get(part);
  if (known?.facts === facts) return known.answer;
  const answer = search();
  ORDERED.set(part, { facts, answer });
  return answer;
}

const OWNERS = new WeakMap<Facts, ReadonlyMap<string, Piece>>();

/** The piece that a part belongs to. */
function ownerOf({ id }: Part, facts: Facts): Piece | undefined {
  const owners = OWNERS.get(facts) ?? new Map(facts.pieces.flatMap((piece) => piece.parts.map((part) => [part.id, piece] as const)));
  OWNERS.set(facts, owners);
  return owners.get(id);
}

type Tie = readonly [first: string, second: string];

/** The order insisted on where it still names these colours, else the cheapest that keeps what tasks lie between. */
function maskingOrder(part: Part, run: readonly PlacedLayer[], all: readonly PlacedLayer[], ties: readonly Tie[]): OrderAnswer | OrderStop {
  const question = orderQuestion(part, run, all);
  const ids = question.zones.map((zone) => zone.id);
  if (part.colourOrder && sameMembers(part.colourOrder, ids)) return insistedOrder(question, part.colourOrder);
  const best = bestOrder(question);
  const broken = (order: readonly string[]) =>
    ties.find(([first, second]) => order.includes(first) && order.includes(second) && order.indexOf(first) > order.indexOf(second));
  if ('stop' in best) return best;
  if (!broken(best.order)) return { ...best, brushed: brushedWays(question) };
  return insistedOrder(question, keepingTies(best.order, ties));
}

/** The same order with each second colour moved behind its first. */
function keepingTies(order: readonly string[], ties: readonly Tie[]): string[] {
  const kept: string[] = [];
  const lay = (id: string, waiting: readonly string[]) => {
    if (kept.includes(id) || waiting.includes(id)) return;
    for (const [first, second] of ties) if (second === id && order.includes(first)) lay(first, [...waiting, id]);
    kept.push(id);
  };
  for (const id of order) lay(id, []);
  return kept;
}

/** Layers of a part that a task of the person's lies between: it comes after the first and before the second. */
function tiedLayers(part: Part, { facts }: PlanContext): Tie[] {
  return (ownerOf(part, facts)?.tasks ?? []).flatMap(({ after, before }): Tie[] =>
    after && before && 'layerId' in after && 'layerId' in before && after.partId === part.id && before.partId === part.id
      ? [[after.layerId, before.layerId]]
      : [],
  );
}

/** What is warmed hotter than another colour bears goes on, and into the warm, before that one. */
function heatTies(part: Part, run: readonly PlacedLayer[]): Tie[] {
  return run.flatMap(({ resolved: hot }) => {
    const { warm } = hot.layer;
    if (!warm) return [];
    const spoilt = run.filter(({ resolved }) => resolved !== hot && warm.surfaceC > warmthLimit([part.material], [resolved.family]).limitC);
    return spoilt.map(({ resolved }): Tie => [hot.layer.id, resolved.layer.id]);
  });
}

const NO_WARMTH = { surfaceC: 0, minutes: 0 };

function orderQuestion(part: Part, run: readonly PlacedLayer[], all: readonly PlacedLayer[]): OrderQuestion {
  const owner = new Map(run.flatMap((layer) => layer.zones.map((zone) => [part.zones[zone].id, layer.resolved.layer.id])));
  return {
    material: part.material,
    copies: part.copies,
    zones: run.map(({ resolved, zones }) => {
      const ids = zones.map((zone) => part.zones[zone].id);
      const faces = facesToPaint(part, ids);
      return {
        id: resolved.layer.id,
        name: resolved.name,
        family: resolved.family,
        lab: resolved.lab,
        share: resolved.share,
        transparent: resolved.transparent,
        brushed: resolved.hand === 'brush',
        heatSet: setsByHeat(resolved.family, resolved.layer.warm ?? NO_WARMTH),
        areaCm2: areaMm2(part.faces.filter((face) => ids.includes(face.zoneId))) / 100,
        coatMinutes:
          NEXT_COAT_SETUP_MINUTES + coatMinutes(faces, resolved.hand, part.copies, coatAmount(faces, resolved, resolved.hand).mlPerCoat),
      };
    }),
    edges: part.edges.flatMap((edge) => {
      const [a, b] = [owner.get(edge.a), owner.get(edge.b)];
      return a && b && a !== b ? [{ ...edge, a, b }] : [];
    }),
    ground: all[all.indexOf(run[0]) - 1]?.resolved.lab ?? BARE_GROUND,
  };
}

function sameMembers(one: readonly string[], other: readonly string[]): boolean {
  return one.length === other.length && one.every((id) => other.includes(id));
}

function layerBegun(part: Part, zone: number, layer: PlacedLayer, context: PlanContext): boolean {
  const piece = ownerOf(part, context.facts);
  return piece
    ? context.history.coatsOn(piece.id, part.id, part.zones[zone].id).some((coat) => coat.layerId === layer.resolved.layer.id)
    : false;
}
