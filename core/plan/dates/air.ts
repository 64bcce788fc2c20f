import { type Conditions, familyDrying, SprayHours, sprayRange } from '#core/drying/index';
import type { Facts, Family } from '#core/facts/index';
import type { Minute } from '#core/units/index';

/** The next moment at which the air of the spray place lets a paint on, reckoned once for all paints of the same range. */
export function airOf(
  conditions: Conditions,
  placeId: string,
  now: Minute,
): (family: Family, productId: string | undefined, facts: Facts) => (from: Minute) => Minute | null {
  const known = new Map<string, SprayHours>();
  const place = conditions[placeId];
  return (family, productId, facts) => {
    if (!place) return (from) => from;
    const product = facts.products.find((candidate) => candidate.id === productId);
    const sheet = facts.sheets.find((candidate) => candidate.id === product?.sheetId);
    const drying = familyDrying(family);
    const range = sprayRange(drying.early ?? drying.mechanism, family, sheet?.label);
    const key = `${range.minC} ${range.maxC} ${range.maxRh}`;
    const hours = known.get(key) ?? new SprayHours(place, range, now);
    known.set(key, hours);
    return (from) => hours.next(from);
  };
}
