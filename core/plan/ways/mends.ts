import { ownedFamilies } from '#core/buying/index';
import { glossOf, isBetter, type JointVerdict, knownIn, remediesFor, resolveLayer } from '#core/coats/index';
import type { Conditions } from '#core/drying/index';
import type { Facts, Lab, Layer, Piece } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import { plan } from '../plan.ts';
import { type JointOfPart, layersMended } from '../verdicts/index.ts';
import { pricedOf, type PricedWay, withPiece } from './ways.ts';

/** Ways to mend a joint as changed stacks: planned to the end, kept only where the joint then really passes (trade §6). */

export type Mended = {
  readonly text: string;
  readonly verdict: JointVerdict;
  readonly layers: readonly Layer[];
  readonly way: PricedWay;
  /** Against the plan as it stands: whole days later (negative: sooner) and money more; null without a date on both. */
  readonly days: number | null;
  readonly money: number;
};

/** Mends of one joint of a piece in the order of the remedies, cheapest first: priced, dated or dropped here, never added. */
export function pricedMends(
  piece: Piece,
  entry: Pick<JointOfPart, 'partId' | 'layerId' | 'joint'>,
  lab: Lab,
  facts: Facts,
  now: Minute,
  conditions: Conditions,
  newId: () => string,
): Mended[] {
  const part = piece.parts.find((own) => own.id === entry.partId);
  if (!part) return [];
  const asIs = pricedOf('as it stands', plan({ facts, now, conditions, datesOf: [piece.id] }), piece.id);
  const owned = ownedFamilies(facts);
  const sheen = sheenOf(
    part.layers.find(({ id }) => id === entry.layerId),
    facts,
  );
  return remediesFor(entry.joint.below, entry.joint.above, knownIn(entry.joint.answer), owned).flatMap((remedy): Mended[] => {
    const layers = layersMended({ ...remedy, lab, ...sheen }, part, entry.layerId, newId);
    if (!layers) return [];
    const changed: Piece = { ...piece, parts: piece.parts.map((own) => (own.id === part.id ? { ...part, layers } : own)) };
    const result = plan({ facts: withPiece(facts, changed), now, conditions, datesOf: [piece.id] });
    const verdict = worstOf(result.pieces.find((own) => own.pieceId === piece.id)?.steps.joints ?? [], part.id, entry.layerId, layers);
    if (verdict === 'stop' || !isBetter(verdict, entry.joint.verdict)) return [];
    const text = remedy.kind === 'stand-in' ? standInText(remedy.text, layers, entry.layerId, facts) : remedy.text;
    const way = pricedOf(text, result, piece.id);
    const days = way.likely === null || asIs.likely === null ? null : Math.round((way.likely - asIs.likely) / 1440);
    return [{ text, verdict, layers, way, days, money: way.money - asIs.money }];
  });
}

/** By its own name, where it stands on the shelf. */
function standInText(text: string, layers: readonly Layer[], layerId: string, facts: Facts): string {
  const layer = layers.find(({ id }) => id === layerId);
  const product = layer && resolveLayer(layer, facts).product;
  const stands = product && facts.cans.some(({ productId, leftMl }) => productId === product.id && leftMl > 0);
  return stands ? `${product.name}, on your shelf, instead` : text;
}

/** What a clear dries to, for whatever stands in for it. */
function sheenOf(layer: Layer | undefined, facts: Facts): { readonly gloss?: number } {
  if (!layer) return {};
  const { family, role, label } = resolveLayer(layer, facts);
  return role === 'clear' ? { gloss: glossOf(family, role, label).gloss } : {};
}

const rank = (verdict: JointVerdict): number => ({ sits: 0, care: 1, stop: 2 })[verdict];

/** The worst verdict of the mended layer and of every layer the mend has added, on what they then lie on. */
function worstOf(joints: readonly JointOfPart[], partId: string, layerId: string, layers: readonly Layer[]): JointVerdict {
  const place = layers.findIndex((layer) => layer.id === layerId);
  const added = place > 0 ? [layers[place - 1].id] : [];
  const own = joints.filter((entry) => entry.partId === partId && !entry.laid && [layerId, ...added].includes(entry.layerId));
  return own.map((entry) => entry.joint.verdict).reduce((a, b) => (rank(b) > rank(a) ? b : a), 'sits' as JointVerdict);
}
