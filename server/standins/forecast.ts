import type { Place } from '#core/facts/index';

/** A simulated hourly weather forecast for the days ahead, with its wind and cloud. Stands in for a real service on the same interface, holes included. */

type Hourly = (number | null)[];

export type Forecast = { hours(from: Date): { tempC: Hourly; rh: Hourly; windMs: Hourly; cloud: Hourly } | null };

const HOURS = 72;

/** `failing` makes the service not answer. A forecast lacks an hour now and then, as real ones do. */
export function simulatedForecast(place: Pick<Place, 'meanC' | 'swingC' | 'meanRh'>, failing = false): Forecast {
  return {
    hours(from) {
      if (failing) return null;
      const values = Array.from({ length: HOURS }, (_, index) => {
        const at = from.getTime() / 3_600_000 + index;
        const wave = Math.cos((((at % 24) - 15) / 24) * 2 * Math.PI);
        const front = 2.5 * Math.sin(at / 31);
        return {
          missing: index % 29 === 28,
          tempC: Math.round((place.meanC + place.swingC * wave + front) * 10) / 10,
          // Calm at night, a breeze after noon, a blow when a front goes through.
          windMs: Math.round(Math.max(0, 0.9 + 0.9 * wave + 1.4 * Math.max(0, Math.sin(at / 17))) * 10) / 10,
          // Fronts bring cloud, and behind them it clears.
          cloud: Math.round(Math.min(100, Math.max(0, 45 - 22 * front))),
          rh: Math.round(Math.min(98, Math.max(20, place.meanRh - 1.5 * place.swingC * wave - 4 * front))),
        };
      });
      return {
        tempC: values.map(({ missing, tempC }) => (missing ? null : tempC)),
        rh: values.map(({ missing, rh }) => (missing ? null : rh)),
        windMs: values.map(({ missing, windMs }) => (missing ? null : windMs)),
        cloud: values.map(({ missing, cloud }) => (missing ? null : cloud)),
      };
    },
  };
}
