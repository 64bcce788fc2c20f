import { familyDrying } from '#core/drying/index';
import type { Part } from '#core/facts/index';
import type { ResolvedLayer } from './products/resolve.ts';

/** What a stack cannot do without. */

/** What is no finish by itself and has no clear over it, with the zones it shows on where that is not everywhere. */
export function clearNeeds(part: Part, layers: readonly ResolvedLayer[]): string[] {
  const painted = part.zones.filter((zone) => zone.bare === undefined);
  const bareOfClear = new Map<string, string[]>();
  for (const zone of painted) {
    const stack = layers.filter(({ layer }) => layer.covers === 'all' || layer.covers.includes(zone.id));
    const needy = stack.findLast((layer) => familyDrying(layer.family).needsClear);
    if (!needy || stack.slice(stack.indexOf(needy)).some((layer) => layer.role === 'clear')) continue;
    bareOfClear.set(needy.name, [...(bareOfClear.get(needy.name) ?? []), zone.name.toLowerCase()]);
  }
  return [...bareOfClear].map(([name, zones]) => {
    const where = zones.length === painted.length ? '' : ` on ${zones.join(' and ')}`;
    return `${name} is no finish by itself: it needs a clear on top${where}.`;
  });
}

/** Why a layer of a part may never be left out, or null where it may: the only colour of a zone, and a clear that is needed. */
export function neverOptional(part: Part, layers: readonly ResolvedLayer[], layerId: string): string | null {
  const own = layers.find(({ layer }) => layer.id === layerId);
  if (!own) return null;
  const rest = layers.filter((layer) => layer !== own);
  if (own.role === 'clear') {
    const [need] = clearNeeds(part, rest);
    return need !== undefined && !clearNeeds(part, layers).includes(need) ? need : null;
  }
  if (own.role !== 'colour' && own.role !== 'metallic') return null;
  const coloured = (zoneId: string, among: readonly ResolvedLayer[]) =>
    among.some(
      ({ role, layer }) => (role === 'colour' || role === 'metallic') && (layer.covers === 'all' || layer.covers.includes(zoneId)),
    );
  const lost = part.zones.filter((zone) => zone.bare === undefined && coloured(zone.id, layers) && !coloured(zone.id, rest));
  return lost.length > 0 ? `${own.name} is the only colour there is.` : null;
}
