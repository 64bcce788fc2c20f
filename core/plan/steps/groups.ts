import type { Part, Piece } from '#core/facts/index';
import { isPlanned } from '#core/safety/index';
import { isPerforated } from '#core/survey/index';
import type { History, PartGroup } from '../films/index.ts';

/** Parts of one piece with the same material, stack and past: they are done side by side. */
export function groupParts(piece: Piece, history: History): PartGroup[] {
  const groups = new Map<string, Part[]>();
  for (const part of piece.parts) {
    if (!isPlanned(part)) continue;
    const key = signature(piece, part, history);
    groups.set(key, [...(groups.get(key) ?? []), part]);
  }
  return [...groups.values()].map((parts) => ({ piece, lead: parts[0], parts }));
}

/** Everything that decides a part's steps, with its own ids replaced by their places. */
function signature(piece: Piece, part: Part, history: History): string {
  const zonePlace = new Map(part.zones.map((zone, index) => [zone.id, index]));
  const layerPlace = new Map(part.layers.map((layer, index) => [layer.id, String(index)]));
  const prefix = `${piece.id}.${part.id}.`;
  const past = [...history.done]
    .filter(([key]) => key.startsWith(prefix))
    .map(
      ([key, { at }]) =>
        `${key
          .slice(prefix.length)
          .split('.')
          .map((word) => layerPlace.get(word) ?? word)
          .join('.')} ${at}`,
    )
    .sort();
  return JSON.stringify([
    part.material,
    part.alsoMaterial,
    part.finish,
    part.oldCoats,
    part.rustGuard,
    part.marks?.length ? part.marks : [],
    part.features,
    part.service,
    part.stops,
    isPerforated(part),
    piece.parcels.filter((parcel) => parcel.holds?.partId === part.id && !parcel.arrived),
    piece.parts.filter((other) => other.maskedInPlace && other.within === part.id).map((other) => other.id),
    history.applications(piece.id, part.id).map((event) => [event.method, event.application, event.outcome, event.dwellMinutes]),
    history.patches(piece.id, part.id).map((event) => [event.method, event.outcome]),
    history.failedChecks(piece.id, part.id).map((event) => event.id),
    part.printed,
    part.staysClear,
    part.stripMethod,
    part.iKnow,
    part.zones.map((zone) => zone.bare !== undefined),
    part.edges.map((edge) => [zonePlace.get(edge.a), zonePlace.get(edge.b), edge.curve]),
    part.layers.map((layer) => ({
      ...layer,
      id: '',
      covers: layer.covers === 'all' ? 'all' : layer.covers.map((id) => zonePlace.get(id)),
    })),
    part.colourOrder?.map((id) => layerPlace.get(id)),
    past,
    part.zones.map((zone) => history.coatsOn(piece.id, part.id, zone.id).map((coat) => [coat.at, coat.family, coat.lab])),
    history.troubles(part.id).map((event) => event.id),
    part.zones.map((zone) => history.dryness(part.id, zone.id).map((event) => event.id)),
  ]);
}
