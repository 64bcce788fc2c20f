import { coatsForColour } from '../film.ts';
import type { ResolvedLayer } from '../products/resolve.ts';

/** Colours that come to lie on another ground, or that another paint stands in for: how many coats they then take. */

export type Regrounded = { readonly layerId: string; readonly name: string; readonly coats: number; readonly planned: number };

/**
 * Colour layers whose ground or whose own paint has another colour than before, where the coats that hide it differ from those planned.
 * Transparent colours are judged on a board, not reckoned.
 */
export function regrounded(before: readonly ResolvedLayer[], after: readonly ResolvedLayer[]): Regrounded[] {
  return after.flatMap((own, place): Regrounded[] => {
    if (own.role !== 'colour' || own.transparent) return [];
    const ground = groundOf(after, place);
    const was = before.findIndex(({ layer }) => layer.id === own.layer.id);
    const groundBefore = was < 0 ? undefined : groundOf(before, was);
    if (!ground || !groundBefore) return [];
    const ownBefore = before[was];
    if (sameLab(ground, groundBefore) && sameLab(own, ownBefore) && own.share === ownBefore.share) return [];
    const coats = coatsForColour(ground.lab, own.lab, own.share);
    return coats === own.layer.coats ? [] : [{ layerId: own.layer.id, name: own.name, coats, planned: own.layer.coats }];
  });
}

/** The nearest layer below that lends its colour to some of the same zones. */
function groundOf(layers: readonly ResolvedLayer[], place: number): ResolvedLayer | undefined {
  const { covers } = layers[place].layer;
  return layers
    .slice(0, place)
    .findLast(
      ({ role, layer }) =>
        role !== 'clear' && (covers === 'all' || layer.covers === 'all' || layer.covers.some((id) => covers.includes(id))),
    );
}

function sameLab({ lab: a }: ResolvedLayer, { lab: b }: ResolvedLayer): boolean {
  return a.l === b.l && a.a === b.a && a.b === b.b;
}
