import type { Place } from '#core/facts/index';

/** The air a kind of place usually has until a reading says more: mean and swing in °C, mean humidity in %. Defaults. */
export const USUAL_AIR: Record<Place['kind'], Pick<Place, 'heated' | 'meanC' | 'swingC' | 'meanRh'>> = {
  room: { heated: true, meanC: 19, swingC: 1.5, meanRh: 52 },
  shed: { heated: false, meanC: 15, swingC: 3, meanRh: 60 },
  balcony: { heated: false, meanC: 14, swingC: 5, meanRh: 62 },
  outdoors: { heated: false, meanC: 13, swingC: 5, meanRh: 65 },
};

/** A place of this kind with its usual air; nobody sleeps there and no sensor speaks. */
export function usualPlace(id: string, name: string, kind: Place['kind']): Place {
  return { id, name, kind, sleptIn: false, hasSensor: false, ...USUAL_AIR[kind] };
}
