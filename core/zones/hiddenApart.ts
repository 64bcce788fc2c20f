import type { Part, Zone } from '#core/facts/index';

/** A measured zone with both seen and hidden faces, whose two sides are not zones of their own yet; absent where there is none. */
export function seenAndHidden({ zones, cuts = [], faces }: Part): Zone | undefined {
  const turned = (zone: Zone) => cuts.some((cut) => cut.how === 'flip' && cut.of === zone.id && cut.merged !== true);
  const has = (zone: Zone, seen: boolean) => faces.some((face) => face.zoneId === zone.id && face.seen === seen);
  return zones.find((zone) => has(zone, true) && has(zone, false) && !turned(zone));
}

/** The part with the hidden faces of a zone as the zone that is given, of an id and a name that are not there yet. */
export function hiddenApart(part: Part, zoneId: string, zone: Zone): Part {
  return {
    ...part,
    zones: [...part.zones.map((own) => (own.id === zoneId ? { ...own, name: seenName(own.name) } : own)), zone],
    faces: part.faces.map((face) => (face.zoneId !== zoneId || face.seen ? face : { ...face, zoneId: zone.id })),
  };
}

/** What is left of a zone that was everything is so no longer. */
function seenName(name: string): string {
  return name === 'All over' ? 'Seen faces' : name;
}
