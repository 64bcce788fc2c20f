import { regrounded, resolveLayer } from '#core/coats/index';
import type { Facts, Layer } from '#core/facts/index';
import { counted, listed, sentences } from '#core/units/index';

/**
 * A stack after a change of ground: guessed coats follow the new ground, chosen ones stay, and either is said.
 * @param guessed the coats were drafted and nobody has settled them
 */
export function onTheirGrounds(
  before: readonly Layer[],
  after: Layer[],
  facts: Facts,
  guessed: boolean,
): { readonly layers: Layer[]; readonly note: string } {
  const resolved = (layers: readonly Layer[]) => layers.map((layer) => resolveLayer(layer, facts));
  const changed = regrounded(resolved(before), resolved(after));
  if (changed.length === 0) return { layers: after, note: '' };
  const coatsOf = new Map(changed.map(({ layerId, coats }) => [layerId, coats]));
  const takes = listed(changed.map(({ name, coats }) => `${name} takes ${counted(coats, 'coat')}`));
  if (guessed)
    return {
      layers: after.map((layer) => ({ ...layer, coats: coatsOf.get(layer.id) ?? layer.coats })),
      note: sentences(`On this ground ${takes}: changed`),
    };
  return { layers: after, note: sentences(`On this ground ${takes}; you chose ${listed(changed.map(({ planned }) => String(planned)))}`) };
}
