import { type ResolvedLayer, resolveLayer } from '#core/coats/index';
import type { Part } from '#core/facts/index';
import { bestOrder, type OrderAnswer, type OrderZone } from '#core/masking/index';
import { areaMm2 } from '#core/survey/index';
import type { PlanContext } from './context.ts';

/** A layer with its place in the part's own list and the zones it covers, by place; bare zones never. */
export type PlacedLayer = { readonly index: number; readonly resolved: ResolvedLayer; readonly zones: readonly number[] };

/** Layers in the order they will be laid: as listed, except that colours on disjoint zones go by the masking order. */
export function layersInOrder(part: Part, context: PlanContext): { layers: PlacedLayer[]; masking: OrderAnswer | null } {
  const placed: PlacedLayer[] = part.layers
    .map((layer, index) => ({ index, resolved: resolveLayer(layer, context.facts), zones: zonesOf(part, layer.covers) }))
    .filter((layer) => layer.zones.length > 0);
  const run = colourRun(placed);
  if (run.length < 2) return { layers: placed, masking: null };
  const masking = maskingOrder(part, run, placed);
  const order = part.colourOrder && sameMembers(part.colourOrder, masking.order) ? part.colourOrder : masking.order;
  const begun = (layer: PlacedLayer) => layer.zones.some((zone) => layerBegun(part, zone, layer, context));
  const sorted = [...run].sort(
    (a, b) => Number(begun(b)) - Number(begun(a)) || order.indexOf(a.resolved.layer.id) - order.indexOf(b.resolved.layer.id),
  );
  const at = placed.indexOf(run[0]);
  const layers = [...placed.slice(0, at), ...sorted, ...placed.slice(at + run.length)];
  return { layers, masking };
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
      if (!isColour(layer) || layer.zones.some((zone) => covered.has(zone))) break;
      for (const zone of layer.zones) covered.add(zone);
      run.push(layer);
    }
    if (run.length > 1) return run;
  }
  return [];
}

function maskingOrder(part: Part, run: readonly PlacedLayer[], all: readonly PlacedLayer[]): OrderAnswer {
  const owner = new Map(run.flatMap((layer) => layer.zones.map((zone) => [part.zones[zone].id, layer.resolved.layer.id])));
  const zones: OrderZone[] = run.map((layer) => ({
    id: layer.resolved.layer.id,
    name: layer.resolved.name,
    family: layer.resolved.family,
    lab: layer.resolved.lab,
    share: layer.resolved.share,
    areaCm2: areaMm2(part.faces.filter((face) => layer.zones.includes(part.zones.findIndex((zone) => zone.id === face.zoneId)))) / 100,
  }));
  const edges = part.edges.flatMap((edge) => {
    const [a, b] = [owner.get(edge.a), owner.get(edge.b)];
    return a && b && a !== b ? [{ ...edge, a, b }] : [];
  });
  const ground = all[all.indexOf(run[0]) - 1]?.resolved.lab ?? { l: 60, a: 0, b: 0 };
  return bestOrder(zones, edges, ground);
}

function sameMembers(one: readonly string[], other: readonly string[]): boolean {
  return one.length === other.length && one.every((id) => other.includes(id));
}

function layerBegun(part: Part, zone: number, layer: PlacedLayer, context: PlanContext): boolean {
  const piece = context.facts.pieces.find((candidate) => candidate.parts.some((own) => own.id === part.id));
  return piece
    ? context.history.coatsOn(piece.id, part.id, part.zones[zone].id).some((coat) => coat.layerId === layer.resolved.layer.id)
    : false;
}
