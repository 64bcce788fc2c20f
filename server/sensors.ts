import { readingSchema } from '#core/facts/index';
import { createHash } from 'node:crypto';
import type { Changes } from './changes.ts';
import { rightNow } from './clock.ts';
import { simulatedForecast } from './standins/forecast.ts';
import { type SensorFailure, simulatedSensor } from './standins/thermoHygrometer.ts';
import { diskTroubleOf } from './store/diskTrouble.ts';
import type { Store } from './store/store.ts';

const EVERY_MS = 5 * 60_000;

/**
 * Writes what the simulated sensors say into the readings, one a place, every five minutes. What no air can be is not taken:
 * the last good reading grows old on the screen. Returns how to stop.
 */
export function runSensors(store: Store, changes: Changes, failing?: SensorFailure, everyMs = EVERY_MS): () => void {
  const readAll = () => {
    const at = rightNow();
    for (const place of store.snapshot().facts.places.filter((candidate) => candidate.hasSensor)) {
      const air = simulatedSensor(place, failing).read(at);
      const reading = readingSchema.safeParse({
        id: place.id,
        placeId: place.id,
        at: `${at.toISOString().slice(0, 19)}Z`,
        ...air,
        from: 'sensor',
      });
      if (!reading.success) continue;
      store.observe('readings', reading.data);
      changes.announce(store.changes);
    }
  };
  const timer = setInterval(() => inBackground(readAll), everyMs);
  return () => clearInterval(timer);
}

const HOUR_MS = 3_600_000;

/** Asks the simulated forecast for every unheated place, at once and each hour. Returns how to stop. */
export function runForecasts(store: Store, changes: Changes, failing: boolean, everyMs = HOUR_MS): () => void {
  const ask = () => {
    const from = new Date(Math.floor(rightNow().getTime() / HOUR_MS) * HOUR_MS);
    for (const place of store.snapshot().facts.places.filter((candidate) => !candidate.heated)) {
      const hours = simulatedForecast(place, failing).hours(from);
      if (!hours) continue;
      store.observe('airSeries', {
        id: forecastId(place.id),
        placeId: place.id,
        from: 'forecast',
        start: `${from.toISOString().slice(0, 19)}Z`,
        ...hours,
      });
      changes.announce(store.changes);
    }
  };
  inBackground(ask);
  const timer = setInterval(() => inBackground(ask), everyMs);
  return () => clearInterval(timer);
}

/** Nobody waits for a background write: what the disk refuses is said on the pages, and the next one tries again. */
function inBackground(work: () => void): void {
  try {
    work();
  } catch (error) {
    if (!diskTroubleOf(error)) console.error(error);
  }
}

const LONGEST_ID = 64;

/** One series a place, whatever the length of its id. */
function forecastId(placeId: string): string {
  const id = `forecast-${placeId}`;
  return id.length <= LONGEST_ID ? id : `forecast-${createHash('sha256').update(placeId).digest('hex').slice(0, 40)}`;
}
