import {
  coatsToHide,
  clearNeeds,
  flatRefused,
  FLATTING_TAKES_UM,
  finestRelief,
  glossOf,
  groundSuits,
  normalCoats,
  reliefEffect,
  type ResolvedLayer,
  resolveLayer,
} from '#core/coats/index';
import type { Curve, Edge, Hand, Lab, Part, Piece, Polish, Weight } from '#core/facts/index';
import { coatAmount, paintIn } from '#core/amounts/index';
import { counted } from '#core/units/index';
import { facesToPaint } from '#core/zones/index';
import { bareGround, looksOver, type Meets, meetsTarget } from './looks.ts';
import { layersInOrder, type OrderedLayers, type PlacedLayer, type PlanContext } from '../films/index.ts';

/** One layer as the coat stack draws it, bottom first. */
export type LayerView = {
  readonly layerId: string;
  /** The paint it is, as what all plans need of it is counted. */
  readonly mix: string;
  readonly name: string;
  readonly family: string;
  readonly role: string;
  readonly lab: Lab;
  readonly coats: number;
  readonly laidCoats: number;
  readonly um: number;
  readonly flatAfter?: number;
  readonly zoneNames: readonly string[];
  readonly zoneIds: readonly string[];
  readonly everywhere: boolean;
  /** Coats that hide the ground it meets; null where hiding is not asked (primer, clear, transparent). */
  readonly coatsToHide: number | null;
  readonly groundName: string;
  /** The colour it will have over the ground that shows through most, and how far that is from its own, ΔE2000. */
  readonly looks: Lab;
  readonly offBy: number;
  /** The ground it looks so on; null: the bare part. */
  readonly groundLooks: Lab | null;
  /** From the edge, where something in it glitters; else null. */
  readonly looksEdgeOn: Lab | null;
  /** Beside the target of the piece that it is to meet; null where it has none. */
  readonly meets: Meets | null;
  /** One normal coat as sprayed, by both models, and which of them holds. */
  readonly mlPerCoat: number;
  readonly filmMl: number;
  readonly sweepsMl: number;
  readonly holds: 'film' | 'sweeps';
  readonly hand: Hand;
  readonly weights: readonly Weight[];
  /** All coats as sprayed, and of that paint from its container. */
  readonly ml: number;
  readonly paintMl: number;
  /** Why it is never flatted; null where it may be. */
  readonly flatRefused: string | null;
  readonly source: 'label' | 'default';
};

/** A tape line with the layer that ends at it, how high that stands, and the layer it lies beside. */
export type EdgeOfStack = {
  readonly zones: string;
  readonly um: number;
  readonly mm: number;
  readonly curve: Curve;
  readonly layerId: string;
  /** The last colour of the zone beside; null: it has none. */
  readonly besideLayerId: string | null;
  readonly besideZoneId: string;
  /** As either of the two zones is to be polished; absent: nothing is said of that. */
  readonly polish?: Polish;
};

export type StackView = {
  readonly layers: readonly LayerView[];
  readonly filmUm: number;
  readonly reliefUm: number | null;
  readonly reliefText: string;
  readonly needs: readonly string[];
  /** Of the needs, what keeps the piece from being finished: a clear over what is no finish by itself. */
  readonly missing: readonly string[];
  /** Colours beside each other that cannot be laid in any order, by their layers. */
  readonly unordered: readonly string[];
  /** Steps at tape lines: how high the later colour stands, µm. */
  readonly edgeSteps: readonly EdgeOfStack[];
};

/** The stack of a part in the order it is laid, with film total, hiding, amounts and what is still missing on top. */
export function stackView(piece: Piece, part: Part, context: PlanContext): StackView {
  const { layers, unordered = [] } = layersInOrder(part, context);
  const paintable = part.zones.filter((zone) => zone.bare === undefined).length;
  const tops = part.zones.map(() => ({
    name: 'bare',
    lab: null as Lab | null,
    looks: null as Lab | null,
    edge: null as Lab | null,
    gloss: 0,
    um: 0,
  }));
  const darkGrounds: string[] = [];
  const views = layers.map(({ resolved, zones }) => {
    const laidCoats = context.history
      .coatsOn(piece.id, part.id, part.zones[zones[0]].id)
      .filter((coat) => coat.layerId === resolved.layer.id).length;
    const grounds = zones.map((zone) => tops[zone]).filter((top) => top.lab !== null);
    const asks = (resolved.role === 'colour' || resolved.role === 'metallic') && !resolved.transparent && grounds.length > 0;
    const hides = asks ? Math.max(...grounds.map((ground) => coatsToHide(ground.lab as Lab, resolved.lab, resolved.share).coats)) : null;
    const looks = looksOver(
      resolved,
      zones.map((zone) => (resolved.transparent && !tops[zone].looks ? bareGround(part.material) : tops[zone])),
    );
    const dark = asks ? grounds.find((ground) => !groundSuits(ground.lab as Lab, resolved.lab)) : undefined;
    if (dark && laidCoats === 0) darkGrounds.push(`${resolved.name} hides weakly: it wants a white or light ground, not ${dark.name}.`);
    const amount = coatAmount(
      facesToPaint(
        part,
        zones.map((zone) => part.zones[zone].id),
      ),
      resolved,
      resolved.hand,
    );
    const coats = normalCoats(resolved.weights);
    const refused = flatRefused(resolved);
    const flatted = resolved.layer.flatAfter !== undefined && refused === null;
    const um = coats * resolved.filmUm - (flatted ? FLATTING_TAKES_UM : 0);
    const ml = amount.mlPerCoat * coats;
    for (const zone of zones)
      tops[zone] = {
        name: resolved.name,
        lab: resolved.role === 'clear' ? tops[zone].lab : resolved.lab,
        looks: looks.lab,
        edge: looks.edge,
        gloss: glossOf(resolved.family, resolved.role, resolved.label).gloss,
        um: tops[zone].um + um,
      };
    return {
      layerId: resolved.layer.id,
      mix: resolved.mix,
      name: resolved.name,
      family: resolved.family,
      role: resolved.role,
      lab: resolved.lab,
      coats: resolved.layer.coats,
      laidCoats,
      um,
      ...(flatted ? { flatAfter: resolved.layer.flatAfter } : {}),
      zoneNames: zones.map((zone) => part.zones[zone].name),
      zoneIds: zones.map((zone) => part.zones[zone].id),
      everywhere: zones.length === paintable,
      coatsToHide: hides,
      groundName: grounds[0]?.name ?? 'bare',
      looks: looks.lab,
      offBy: looks.offBy,
      groundLooks: looks.ground,
      looksEdgeOn: looks.edge,
      meets: meetsTarget(piece, resolved, looks),
      mlPerCoat: amount.mlPerCoat,
      filmMl: amount.filmMl,
      sweepsMl: amount.sweepsMl,
      holds: amount.holds,
      hand: resolved.hand,
      weights: resolved.weights,
      ml,
      paintMl: paintIn(ml, resolved.label, resolved.hand).paintMl,
      flatRefused: refused,
      source: resolved.filmSource,
    };
  });
  const filmUm = Math.max(0, ...tops.map((top) => top.um));
  const reliefUm = finestRelief(piece.scale);
  return {
    layers: views,
    filmUm,
    reliefUm,
    reliefText: reliefEffect(filmUm, reliefUm).text,
    needs: [...openNeeds(part, context), ...darkGrounds],
    missing: clearNeeds(
      part,
      part.layers.map((layer) => resolveLayer(layer, context.facts)),
    ),
    unordered,
    edgeSteps: part.edges.filter(({ mm }) => mm > 0).flatMap((edge) => edgeOfStack(edge, part, layers)),
  };
}

/** The thickest layer that covers one zone of an edge and not the other: where it ends stands a step. */
function edgeOfStack(edge: Edge, part: Part, layers: OrderedLayers['layers']): EdgeOfStack[] {
  const [a, b] = [edge.a, edge.b].map((id) => part.zones.findIndex((zone) => zone.id === id));
  const um = ({ resolved }: PlacedLayer) => normalCoats(resolved.weights) * resolved.filmUm;
  const ending = layers.filter(({ zones }) => zones.includes(a) !== zones.includes(b)).sort((one, other) => um(other) - um(one));
  const [high] = ending.filter((layer) => um(layer) > 0);
  if (!high) return [];
  const beside = high.zones.includes(a) ? b : a;
  const colour = layers.filter(({ resolved, zones }) => zones.includes(beside) && isColour(resolved)).at(-1);
  const polish = part.zones[a].polish ?? part.zones[b].polish;
  return [
    {
      zones: `${part.zones[a].name} to ${part.zones[b].name}`,
      um: um(high),
      mm: edge.mm * part.copies,
      curve: edge.curve,
      layerId: high.resolved.layer.id,
      besideLayerId: colour?.resolved.layer.id ?? null,
      besideZoneId: part.zones[beside].id,
      ...(polish ? { polish } : {}),
    },
  ];
}

function isColour({ role }: ResolvedLayer): boolean {
  return role === 'colour' || role === 'metallic';
}

/** Rounds of one colour look alike only with as many coats of one mix. */
function unequalRounds(layers: readonly ResolvedLayer[]): string[] {
  return layers.flatMap(({ layer, mix, name }) => {
    const first = layer.round === undefined ? undefined : layers.find((own) => own.mix === mix && own.layer.round === undefined);
    if (!first || first.layer.coats === layer.coats) return [];
    return [
      `Round ${layer.round} of ${name} has ${counted(layer.coats, 'coat')}, the first ${first.layer.coats}: lay as many, or it shows.`,
    ];
  });
}

/** A lit part blocks its light first, then is white inside (trade §2). */
function litNeeds(layers: readonly ResolvedLayer[]): string[] {
  const blocks = layers.findIndex((layer) => layer.lab.l < 25 || layer.role === 'metallic');
  const white = layers.findIndex((layer, index) => index > blocks && layer.lab.l > 88 && layer.role !== 'clear');
  return [
    ...(blocks < 0 ? ['It is lit from inside: a black or silver coat first blocks the light.'] : []),
    ...(blocks >= 0 && white < 0 ? ['It is lit from inside: white over the light block throws the light out.'] : []),
  ];
}

/** What the stack as a whole still needs: clear over basecoat and candy (trade §6, rule 8). */
function openNeeds(part: Part, context: PlanContext): string[] {
  const layers = part.layers.map((layer) => resolveLayer(layer, context.facts));
  const needs: string[] = [];
  if (layers.length === 0 && part.zones.some((zone) => zone.bare === undefined))
    needs.push('No coats yet: start from one of the three systems.');
  if (part.lit) needs.push(...litNeeds(layers));
  return [...needs, ...clearNeeds(part, layers), ...unequalRounds(layers)];
}
