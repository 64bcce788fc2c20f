import type { Cut, Zone } from './zones.ts';

/** The zones of a part as a tree: roots that were measured, and what cuts have made of them. */

type Divided = { readonly zones: readonly Zone[]; readonly cuts?: readonly Cut[] };

/** Ids of every zone there is or has been on a part. */
export function zoneIdsOf({ zones, cuts = [] }: Divided): Set<string> {
  return new Set([...zones, ...cuts.flatMap((cut) => cut.into)].map((zone) => zone.id));
}

/** Zones as they stand: what is cut is gone, its parts stand in its place. */
export function standingZones({ zones, cuts = [] }: Divided): Zone[] {
  return cuts.reduce<readonly Zone[]>(
    (standing, cut) => (cut.merged === true ? standing : standing.flatMap((zone) => (zone.id === cut.of ? cut.into : [zone]))),
    zones,
  ) as Zone[];
}

/** The standing zones that a zone has become: itself, those it was cut into, or the one it was merged back into. */
export function standingFor(part: Divided, zoneId: string): string[] {
  const cuts = part.cuts ?? [];
  const merged = cuts.find((cut) => cut.merged === true && cut.into.some((zone) => zone.id === zoneId));
  if (merged) return standingFor(part, merged.of);
  const cut = cuts.find((own) => own.merged !== true && own.of === zoneId);
  return cut ? cut.into.flatMap((zone) => standingFor(part, zone.id)) : [zoneId];
}

/** A zone changed wherever it is written: among the measured ones or in the cut that made it. */
export function withZone<P extends { zones: Zone[]; cuts?: Cut[] }>(part: P, zoneId: string, change: (zone: Zone) => Zone): P {
  const changed = (zones: readonly Zone[]) => zones.map((zone) => (zone.id === zoneId ? change(zone) : zone));
  return {
    ...part,
    zones: changed(part.zones),
    ...(part.cuts ? { cuts: part.cuts.map((cut) => ({ ...cut, into: changed(cut.into) })) } : {}),
  };
}

/** Some zone of it gets paint: not all of it stays bare by choice. */
export function hasPaintedZone(part: Divided): boolean {
  return standingZones(part).some((zone) => zone.bare === undefined);
}
