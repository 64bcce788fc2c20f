import { readingSchema } from '#core/facts/index';
import type { Changes } from './changes.ts';
import { simulatedForecast } from './standins/forecast.ts';
import { type SensorFailure, simulatedSensor } from './standins/thermoHygrometer.ts';
import type { Store } from './store/store.ts';

const EVERY_MS = 5 * 60_000;

/**
 * Writes what the simulated sensors say into the readings, one a place, every five minutes. What no air can be is not taken:
 * the last good reading grows old on the screen. Returns how to stop.
 */
export function runSensors(store: Store, changes: Changes, failing?: SensorFailure, everyMs = EVERY_MS): () => void {
  const readAll = () => {
    const { facts, revisions } = store.snapshot();
    const at = new Date();
    for (const place of facts.places.filter((candidate) => candidate.hasSensor)) {
      const air = simulatedSensor(place, failing).read(at);
      const reading = readingSchema.safeParse({
        id: place.id,
        placeId: place.id,
        at: `${at.toISOString().slice(0, 19)}Z`,
        ...air,
        from: 'sensor',
      });
      if (!reading.success) continue;
      store.put('readings', place.id, reading.data, revisions[`readings/${place.id}`] ?? 0);
      changes.announce(store.snapshot().changes);
    }
  };
  const timer = setInterval(readAll, everyMs);
  return () => clearInterval(timer);
}

const HOUR_MS = 3_600_000;

/** Asks the simulated forecast for every unheated place, at once and each hour. Returns how to stop. */
export function runForecasts(store: Store, changes: Changes, failing: boolean, everyMs = HOUR_MS): () => void {
  const ask = () => {
    const { facts, revisions } = store.snapshot();
    const from = new Date(Math.floor(Date.now() / HOUR_MS) * HOUR_MS);
    for (const place of facts.places.filter((candidate) => !candidate.heated)) {
      const hours = simulatedForecast(place, failing).hours(from);
      if (!hours) continue;
      const id = `forecast-${place.id}`.slice(0, 64);
      store.put(
        'airSeries',
        id,
        { id, placeId: place.id, from: 'forecast', start: `${from.toISOString().slice(0, 19)}Z`, ...hours },
        revisions[`airSeries/${id}`] ?? 0,
      );
      changes.announce(store.snapshot().changes);
    }
  };
  ask();
  const timer = setInterval(ask, everyMs);
  return () => clearInterval(timer);
}
