import type { Place } from '#core/facts/index';

/** A simulated thermo-hygrometer: a believable day for a place, a little restless. Stands in for a real sensor on the same interface. */

export type AirSensor = { read(at: Date): { airC: number; rh: number } | null };

/** How a sensor fails: real ones fall silent, or speak nonsense. */
export type SensorFailure = 'silent' | 'nonsense';

export function simulatedSensor(place: Pick<Place, 'meanC' | 'swingC' | 'meanRh'>, failing?: SensorFailure): AirSensor {
  return {
    read(at) {
      if (failing === 'silent') return null;
      if (failing === 'nonsense') return { airC: 400, rh: 0 };
      const hour = at.getHours() + at.getMinutes() / 60;
      const wave = Math.cos(((hour - 15) / 24) * 2 * Math.PI);
      const flutter = Math.sin(at.getTime() / 700_000) * 0.3;
      const airC = place.meanC + place.swingC * wave + flutter;
      const rh = Math.min(98, Math.max(15, place.meanRh - 1.5 * place.swingC * wave - flutter * 3));
      return { airC: Math.round(airC * 10) / 10, rh: Math.round(rh) };
    },
  };
}
