import { type Cut, type Decal, type Part, standingFor } from '#core/facts/index';
import { dividing } from './divided.ts';
import { islandOf } from './outline.ts';
import { aroundMm, lengthMm, outlineMm, type Region, regionArea } from './region.ts';

/** Why a zone cannot be divided so, with what to do; null where it can. */
export function cutRefused(part: Part, cut: Cut): string | null {
  const region = dividing(part).regions.find(({ zone }) => zone.id === cut.of);
  if (!region) return 'That zone is not there any more: choose another.';
  return refusedOn(region, cut);
}

/** The first cut of a part that its sizes do not allow, by its place. */
export function firstRefused(part: Part): { readonly place: number; readonly why: string } | null {
  for (const [place, cut] of (part.cuts ?? []).entries()) {
    if (cut.merged === true) continue;
    const region = dividing(part, place).regions.find(({ zone }) => zone.id === cut.of);
    const why = region ? refusedOn(region, cut) : null;
    if (why) return { place, why };
  }
  return null;
}

/** Why a decal does not fit its zone; null where it does. It may be turned. */
export function decalRefused(part: Part, decal: Decal): string | null {
  const [standing] = standingFor(part, decal.zoneId);
  const region = dividing(part).regions.find(({ zone }) => zone.id === standing);
  if (!region) return null;
  const [long, short] = [Math.max(lengthMm(region), region.tallMm), Math.min(lengthMm(region), region.tallMm)];
  const [decalLong, decalShort] = [Math.max(decal.longMm, decal.shortMm), Math.min(decal.longMm, decal.shortMm)];
  return decalLong <= long && decalShort <= short
    ? null
    : `“${decal.name}” (${mmText(decalLong)} × ${mmText(decalShort)}) is larger than ${region.zone.name} (${mmText(long)} × ${mmText(short)}).`;
}

function refusedOn(region: Region, cut: Cut): string | null {
  const { name } = region.zone;
  const area = regionArea(region);
  if (area <= 0) return `${name} has no area: measure a face of it first.`;
  const island = islandOf(cut);
  if (island) {
    if (island.areaMm2 <= 0) return 'What was drawn has no area: draw round it once more.';
    if (island.longMm > Math.max(lengthMm(region), region.tallMm))
      return `${mmText(island.longMm)} is longer than ${name} (${mmText(Math.max(lengthMm(region), region.tallMm))}). Check the size.`;
    if (island.areaMm2 * island.count >= area)
      return `${island.count > 1 ? 'Together they are' : 'It is'} larger than ${name}. Check the size and how many.`;
    return null;
  }
  const { mm, fromMm } = cut.numbers;
  if (mm === undefined) return null;
  if (cut.how === 'ends') return mm < lengthMm(region) ? null : `${name} is only ${mmText(lengthMm(region))} long.`;
  if (cut.how === 'rim') return mm * outlineMm(region) < area ? null : `A rim of ${mmText(mm)} takes all of ${name}.`;
  if (mm >= region.tallMm || mm * aroundMm(region) >= area)
    return `${name} is only ${mmText(region.tallMm)} high: ${cut.how === 'stripe' ? 'a stripe of' : 'a line at'} ${mmText(mm)} does not fit on it.`;
  if (cut.how !== 'stripe') return null;
  if (fromMm === 0) return 'Nothing would be left below the stripe: divide by a line instead.';
  if (fromMm !== undefined && fromMm + mm >= region.tallMm)
    return `From ${mmText(fromMm)} up a stripe of ${mmText(mm)} runs over the top of ${name} (${mmText(region.tallMm)}).`;
  return null;
}

function mmText(mm: number): string {
  return `${Math.round(mm * 10) / 10} mm`;
}
