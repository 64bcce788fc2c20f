import { type Cut, type Facts, type LogEvent, type Part, standingEvents } from '#core/facts/index';
import { dividedFacts, dividedPart } from './divided.ts';

/** Putting a division back together: only where its zones bear the same films, laid and wished for. */

export type Merge = { readonly part: Part } | { readonly refused: string };

/**
 * The part without one of its cuts. Where work has been logged on the zones of it, the cut stays in the facts, marked merged,
 * so that the log keeps its meaning.
 * @param laidOn ids of the coats laid on a zone, bottom first
 */
export function merged(part: Part, cutId: string, laidOn: (zoneId: string) => readonly string[], events: readonly LogEvent[]): Merge {
  const cut = part.cuts?.find((own) => own.id === cutId);
  if (!cut) return { refused: 'That division is not there any more.' };
  const own = cut.into.map((zone) => zone.id);
  if (part.cuts?.some(({ of, merged: gone }) => gone !== true && own.includes(of)))
    return { refused: 'Its zones are divided further: put those together first.' };
  const [first, ...others] = own.map((id) => laidOn(id).join(' '));
  if (others.some((laid) => laid !== first)) return { refused: 'Different films lie on these zones: they stay apart.' };
  const layers = dividedPart(part).layers;
  const apart = layers.find(
    ({ covers }) => covers !== 'all' && own.some((id) => covers.includes(id)) && !own.every((id) => covers.includes(id)),
  );
  if (apart) return { refused: 'A layer goes on one of them alone: let it go on all of them, or take it out, then put them together.' };
  return { part: putTogether(part, cut, events) };
}

function putTogether(part: Part, cut: Cut, events: readonly LogEvent[]): Part {
  const own = new Set(cut.into.map((zone) => zone.id));
  const named = events.some(
    (event) =>
      (event.kind === 'done' && event.on.some(({ partId, zoneIds }) => partId === part.id && zoneIds.some((id) => own.has(id)))) ||
      (event.kind === 'dryness' && event.partId === part.id && own.has(event.zoneId)),
  );
  const cuts = named
    ? part.cuts?.map((other) => (other === cut ? { ...cut, merged: true } : other))
    : part.cuts?.filter((other) => other !== cut);
  const renamed = (id: string) => (own.has(id) ? cut.of : id);
  return {
    ...part,
    cuts,
    edges: part.edges.filter(({ a, b }) => !own.has(a) && !own.has(b)),
    layers: part.layers.map((layer) => (layer.covers === 'all' ? layer : { ...layer, covers: [...new Set(layer.covers.map(renamed))] })),
    ...(part.details ? { details: part.details.map((detail) => ({ ...detail, zoneId: renamed(detail.zoneId) })) } : {}),
    ...(part.decals ? { decals: part.decals.map((decal) => ({ ...decal, zoneId: renamed(decal.zoneId) })) } : {}),
  };
}

/** Layers of the coats that lie on each zone of a part, bottom first, as the log has it. */
export function coatsLaidOn(facts: Facts, pieceId: string, partId: string): (zoneId: string) => string[] {
  const events = standingEvents(dividedFacts(facts).events);
  return (zoneId) =>
    events.flatMap((event) =>
      event.kind === 'done' &&
      event.pieceId === pieceId &&
      event.coat &&
      event.on.some((own) => own.partId === partId && own.zoneIds.includes(zoneId))
        ? [event.coat.layerId]
        : [],
    );
}
