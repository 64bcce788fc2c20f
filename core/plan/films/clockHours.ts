import { type DryingClocks, familyDrying } from '#core/drying/index';
import type { Minute } from '#core/units/index';
import type { PlannedFilm } from './films.ts';
import { type EndOf, resolveRef } from './ref.ts';

/** When a film has had this many reference hours since its last coat; null if never. */
export function clockHours(film: PlannedFilm, hours: number, clocks: DryingClocks, endOf: EndOf): Minute | null {
  return clocks.reached(film.placeId, familyDrying(film.family).mechanism, resolveRef(film.last, endOf), hours);
}
