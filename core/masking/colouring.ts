import { coatsForColour, resolveLayer, roleOf } from '#core/coats/index';
import { hidingShare, type NamedColour } from '#core/colour/index';
import type { Facts, Lab, Layer, Part, Product } from '#core/facts/index';
import { dividedPart } from '#core/zones/index';

/** A zone gets a colour of its own: out of the colour it shared, onto a layer beside it, or onto one of that paint there already. */

export type Paint = { readonly product: Product } | NamedColour;

/** The layers of a part with one zone in another paint; a layer that is left without zones goes. */
export function withColour(stored: Part, zoneId: string, paint: Paint, facts: Facts, newId: () => string): Layer[] {
  const part = dividedPart(stored);
  const painted = part.zones.filter((zone) => zone.bare === undefined).map((zone) => zone.id);
  const covering = (layer: Layer) => (layer.covers === 'all' ? painted : layer.covers);
  const isColour = colourIn(facts);
  const same = part.layers.find((layer) => isColour(layer) && isOf(layer, paint, facts));
  const at = part.layers.findIndex(isColour);
  const others = part.layers.flatMap((layer): Layer[] => {
    if (layer === same) return [{ ...layer, covers: asCovers([...new Set([...covering(layer), zoneId])], painted) }];
    if (!isColour(layer) || !covering(layer).includes(zoneId)) return [layer];
    const left = covering(layer).filter((id) => id !== zoneId);
    return left.length > 0 ? [{ ...layer, covers: asCovers(left, painted) }] : [];
  });
  if (same) return others;
  const place = at < 0 ? others.length : Math.min(others.length, lastColour(others, isColour, at));
  return [...others.slice(0, place), newLayer(part, paint, at, zoneId, facts, newId), ...others.slice(place)];
}

function colourIn(facts: Facts): (layer: Layer) => boolean {
  return (layer) => ['colour', 'metallic'].includes(resolveLayer(layer, facts).role);
}

/** After the last colour there is, so that clears stay on top. */
function lastColour(layers: readonly Layer[], isColour: (layer: Layer) => boolean, at: number): number {
  const last = layers.findLastIndex(isColour);
  return last < 0 ? at : last + 1;
}

function asCovers(ids: readonly string[], painted: readonly string[]): Layer['covers'] {
  return painted.every((id) => ids.includes(id)) ? 'all' : [...ids];
}

function isOf(layer: Layer, paint: Paint, facts: Facts): boolean {
  const resolved = resolveLayer(layer, facts);
  if ('product' in paint) return resolved.product?.id === paint.product.id;
  return layer.wanted?.name === paint.name;
}

function newLayer(part: Part, paint: Paint, at: number, zoneId: string, facts: Facts, newId: () => string): Layer {
  const ground = at > 0 ? resolveLayer(part.layers[at - 1], facts).lab : BARE_GROUND;
  const family = at >= 0 ? resolveLayer(part.layers[at], facts).family : 'acrylic-lacquer';
  if ('product' in paint)
    return {
      id: newId(),
      productId: paint.product.id,
      coats: coatsForColour(ground, paint.product.lab, paint.product.share),
      covers: [zoneId],
    };
  return {
    id: newId(),
    wanted: { family, role: roleOf(paint), ...paint },
    coats: coatsForColour(ground, paint.lab, hidingShare(paint.lab, paint.flake)),
    covers: [zoneId],
  };
}

/** Bare metal or plastic, where nothing lies below the colours. */
export const BARE_GROUND: Lab = { l: 60, a: 0, b: 0 };

/** The zone's colour in a later round of its own: the same paint and coats, after all that is laid before; null where it shares none. */
export function withLaterRound(stored: Part, zoneId: string, facts: Facts, newId: () => string): Layer[] | null {
  const part = dividedPart(stored);
  const painted = part.zones.filter((zone) => zone.bare === undefined).map((zone) => zone.id);
  const isColour = colourIn(facts);
  const own = part.layers.findLast((layer) => isColour(layer) && (layer.covers === 'all' || layer.covers.includes(zoneId)));
  const covered = own?.covers === 'all' ? painted : (own?.covers ?? []);
  if (!own || covered.length < 2) return null;
  const left: Layer = { ...own, covers: covered.filter((id) => id !== zoneId) };
  const later: Layer = { ...own, id: newId(), covers: [zoneId], round: (own.round ?? 1) + 1 };
  const layers = part.layers.map((layer) => (layer === own ? left : layer));
  const place = lastColour(layers, isColour, layers.indexOf(left));
  return [...layers.slice(0, place), later, ...layers.slice(place)];
}

/** A clear over one colour alone, so that tape may touch it: the one on the shelf that serves, else any lacquer clear. */
export function withLock(part: Part, layerId: string, facts: Facts, newId: () => string): Layer[] {
  const at = part.layers.findIndex((layer) => layer.id === layerId);
  const own = part.layers[at];
  const product = facts.products.find((candidate) => facts.sheets.some((sheet) => sheet.id === candidate.sheetId && servesAsLock(sheet)));
  const lock: Layer = {
    id: newId(),
    ...(product
      ? { productId: product.id }
      : { wanted: { family: 'acrylic-lacquer', role: 'clear', name: 'clear lacquer, gloss', lab: { l: 97, a: 0, b: 0 } } }),
    coats: 2,
    covers: own.covers,
  };
  return [...part.layers.slice(0, at + 1), lock, ...part.layers.slice(at + 1)];
}

function servesAsLock({ role, family, isocyanate }: Facts['sheets'][number]): boolean {
  return role === 'clear' && family === 'acrylic-lacquer' && !isocyanate;
}
