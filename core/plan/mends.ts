import { knownIn, isBetter, type JointVerdict, type Remedy, remediesFor } from '#core/coats/index';
import type { Conditions } from '#core/drying/index';
import { type Facts, type Lab, type Layer, type Part, type Piece, plain } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import { plan } from './plan.ts';
import type { JointOfPart } from './step.ts';
import { type PricedWay, pricedOf, withPiece } from './ways.ts';

/** Ways to mend a joint as changed stacks: planned to the end, kept only where the joint then really passes (BRIEF §6). */

export type Mended = {
  readonly text: string;
  readonly verdict: JointVerdict;
  readonly layers: readonly Layer[];
  readonly way: PricedWay;
  /** Against the plan as it stands: whole days later (negative: sooner) and money more; null without a date on both. */
  readonly days: number | null;
  readonly money: number;
};

const BARRIER_LAB = { l: 70, a: 0, b: 0 };
const METALLIC_LAB = { l: 78, a: 0, b: 0 };

/** A remedy as a changed stack, where it is one; waits and scuffs the schedule does by itself. Null where it is none. */
export function layersMended(remedy: Remedy, part: Part, layerId: string, newId: () => string): Layer[] | null {
  const at = part.layers.findIndex((layer) => layer.id === layerId);
  const layer = part.layers[at];
  if (!layer) return null;
  const below = (added: Omit<Layer, 'id' | 'covers'>): Layer[] => [
    ...part.layers.slice(0, at),
    { ...added, id: newId(), covers: layer.covers },
    ...part.layers.slice(at),
  ];
  const instead = (own: Layer): Layer[] => part.layers.map((candidate, index) => (index === at ? own : candidate));
  switch (remedy.kind) {
    case 'mist':
      return instead({ ...layer, mistFirst: true });
    case 'base':
      return remedy.barrier
        ? below({ wanted: { family: remedy.barrier, role: 'metallic', name: 'silver base', lab: METALLIC_LAB }, coats: 2 })
        : null;
    case 'barrier':
      return remedy.barrier
        ? below({
            wanted: { family: remedy.barrier, role: 'primer', name: `barrier, ${plain(remedy.barrier)}`, lab: BARRIER_LAB },
            coats: 2,
            flatAfter: 800,
          })
        : null;
    case 'stand-in': {
      if (!remedy.above) return null;
      const { productId: _product, wanted, ...rest } = layer;
      const role = remedy.above.role ?? 'colour';
      return instead({
        ...rest,
        wanted: { ...(wanted ?? { name: plain(remedy.above.family), lab: remedy.lab ?? BARRIER_LAB }), role, family: remedy.above.family },
      });
    }
    case 'wait':
    case 'scuff':
    case 'brush':
    case 'thinner':
    case 'promoter':
    case 'product':
      return null;
  }
}

/** Mends of one joint of a piece, best verdict first, then soonest, then cheapest. */
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
  const mended = remediesFor(entry.joint.below, entry.joint.above, knownIn(entry.joint.answer)).flatMap((remedy): Mended[] => {
    const layers = layersMended({ ...remedy, lab }, part, entry.layerId, newId);
    if (!layers) return [];
    const changed: Piece = { ...piece, parts: piece.parts.map((own) => (own.id === part.id ? { ...part, layers } : own)) };
    const result = plan({ facts: withPiece(facts, changed), now, conditions, datesOf: [piece.id] });
    const verdict = worstOf(result.pieces.find((own) => own.pieceId === piece.id)?.steps.joints ?? [], part.id, entry.layerId, layers);
    if (verdict === 'stop' || !isBetter(verdict, entry.joint.verdict)) return [];
    const way = pricedOf(remedy.text, result, piece.id);
    const days = way.likely === null || asIs.likely === null ? null : Math.round((way.likely - asIs.likely) / 1440);
    return [{ text: remedy.text, verdict, layers, way, days, money: way.money - asIs.money }];
  });
  return mended.sort(
    (a, b) =>
      rank(a.verdict) - rank(b.verdict) ||
      (a.way.likely ?? Number.POSITIVE_INFINITY) - (b.way.likely ?? Number.POSITIVE_INFINITY) ||
      a.money - b.money,
  );
}

const rank = (verdict: JointVerdict): number => ({ sits: 0, care: 1, stop: 2 })[verdict];

/** The worst verdict of the mended layer and of every layer the mend has added, on what they then lie on. */
function worstOf(joints: readonly JointOfPart[], partId: string, layerId: string, layers: readonly Layer[]): JointVerdict {
  const place = layers.findIndex((layer) => layer.id === layerId);
  const added = place > 0 ? [layers[place - 1].id] : [];
  const own = joints.filter((entry) => entry.partId === partId && !entry.laid && [layerId, ...added].includes(entry.layerId));
  return own.map((entry) => entry.joint.verdict).reduce((a, b) => (rank(b) > rank(a) ? b : a), 'sits' as JointVerdict);
}
