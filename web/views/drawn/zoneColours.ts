import { hexOf } from '#core/colour/index';
import type { Part } from '#core/facts/index';
import type { LayerView, StackView } from '#core/plan/index';
import { areaMm2 } from '#core/survey/index';
import { dividedPart } from '#core/zones/index';

/** What each zone of a part shows and measures, for its drawing. */

export type ZoneLook = {
  readonly id: string;
  readonly name: string;
  /** Why it stays bare; absent: it is painted. */
  readonly bare?: string;
  /** The last colour on it; null: none chosen. */
  readonly colour: LayerView | null;
  readonly areaMm2: number;
};

const BARE = '#b9b9b9';
const UNDECIDED = '#f2f2f2';

export function zoneLooks(stored: Part, stack: StackView): ZoneLook[] {
  const part = dividedPart(stored);
  return part.zones.map((zone) => ({
    id: zone.id,
    name: zone.name,
    ...(zone.bare === undefined ? {} : { bare: zone.bare }),
    colour: lastColour(stack, zone.id),
    areaMm2: areaMm2(part.faces.filter((face) => face.zoneId === zone.id)),
  }));
}

/** The top colour of a zone, else the primer it is left in. */
function lastColour(stack: StackView, zoneId: string): LayerView | null {
  const on = stack.layers.filter((layer) => layer.zoneIds.includes(zoneId) && layer.role !== 'clear');
  return on.at(-1) ?? null;
}

export function fillOf(look: Pick<ZoneLook, 'bare' | 'colour'> | undefined): string {
  if (!look || look.bare !== undefined) return BARE;
  return look.colour ? hexOf(look.colour.lab) : UNDECIDED;
}

/** Areas of every zone there has been, so that what was cut is drawn as large as what it became. */
export function shareOfZones(stored: Part): (zoneId: string) => number {
  const part = dividedPart(stored);
  const areas = new Map(part.zones.map((zone) => [zone.id, areaMm2(part.faces.filter((face) => face.zoneId === zone.id))]));
  const cuts = [...(stored.cuts ?? [])].reverse();
  for (const cut of cuts) areas.set(cut.of, areas.get(cut.of) ?? cut.into.reduce((sum, zone) => sum + (areas.get(zone.id) ?? 0), 0));
  return (zoneId) => areas.get(zoneId) ?? 0;
}
