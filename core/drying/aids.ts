import type { AirMovement } from './clock.ts';
import type { Conditions, PlaceAir } from './climate.ts';

/** What the person may change about the air a film dries in. */
export type AirChange = {
  readonly warmerC?: number;
  readonly damperRh?: number;
  readonly air?: AirMovement;
};

/** The same air warmer or drier by so much, everywhere or in one place; humidity stays within 5 to 100 %. */
export function changedAir(conditions: Conditions, change: AirChange, placeId?: string): Conditions {
  const { warmerC = 0, damperRh = 0, air } = change;
  const changed = (place: PlaceAir): PlaceAir => ({
    ...place,
    tempC: place.tempC.map((value) => value + warmerC),
    rh: place.rh.map((value) => Math.min(100, Math.max(5, value + damperRh))),
    ...(air ? { air } : {}),
  });
  return Object.fromEntries(
    Object.entries(conditions).map(([id, place]) => [id, placeId === undefined || id === placeId ? changed(place) : place]),
  );
}

/** Aids a hobby workshop has, as changes of its air. A heater dries the air it warms. */
export const AIDS: readonly { readonly name: string; readonly change: AirChange; readonly caution?: string }[] = [
  { name: 'a fan', change: { air: 'fan' } },
  { name: 'a heater, 6 °C more', change: { warmerC: 6, damperRh: -14 }, caution: 'none that glows or burns near spray or vapour' },
  { name: 'a dehumidifier', change: { damperRh: -15 } },
  { name: 'a closed box', change: { air: 'box' } },
];
