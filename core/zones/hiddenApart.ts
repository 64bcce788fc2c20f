import type { LogEvent, Part, Zone } from '#core/facts/index';
import { type Merge, merged } from './merging.ts';

/**
 * The part with the hidden faces of a zone as a zone of their own. Where the zone was turned over to be sprayed side by side, its
 * sides are put together first: the hidden ones are the other side from now on, and what is seen is sprayed in one go.
 * @param zoneId the measured zone that has both seen and hidden faces
 * @param zone the new one, of an id and a name that are not there yet
 * @param laidOn ids of the coats laid on a zone, bottom first
 * @returns the part, or why its sides stay apart
 */
export function hiddenApart(
  part: Part,
  zoneId: string,
  zone: Zone,
  laidOn: (zoneId: string) => readonly string[],
  events: readonly LogEvent[],
): Merge {
  const turned = part.cuts?.find((cut) => cut.how === 'flip' && cut.of === zoneId && cut.merged !== true);
  const whole: Merge = turned ? merged(part, turned.id, laidOn, events) : { part };
  if ('refused' in whole) return whole;
  return {
    part: {
      ...whole.part,
      zones: [...whole.part.zones.map((own) => (own.id === zoneId ? { ...own, name: seenName(own.name) } : own)), zone],
      faces: whole.part.faces.map((face) => (face.zoneId !== zoneId || face.seen ? face : { ...face, zoneId: zone.id })),
    },
  };
}

/** What is left of a zone that was everything is so no longer. */
function seenName(name: string): string {
  return name === 'All over' ? 'Seen faces' : name;
}
