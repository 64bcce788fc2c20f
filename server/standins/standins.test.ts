import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { starterShelf } from '#core/buying/index';
import { airSeriesSchema, offerSchema, readingSchema, shopSchema } from '#core/facts/index';
import { Changes } from '../changes.ts';
import { runForecasts, runSensors } from '../sensors.ts';
import { type Opened, openWorkshop } from '../workshopFolder.ts';
import { simulatedForecast } from './forecast.ts';
import { simulatedShops } from './shops.ts';
import { simulatedSensor } from './thermoHygrometer.ts';

const shed = { meanC: 12, swingC: 5, meanRh: 70 };
const hourAt = (hour: number) => new Date(2026, 10, 25, hour);

describe('a simulated sensor', () => {
  it('tells a believable day, warmest and driest after noon', () => {
    const day = Array.from({ length: 24 }, (_, hour) => simulatedSensor(shed).read(hourAt(hour)) as { airC: number; rh: number });
    const warmest = day.findIndex((air) => air.airC === Math.max(...day.map((own) => own.airC)));
    expect(warmest).toBeGreaterThanOrEqual(13);
    expect(warmest).toBeLessThanOrEqual(17);
    for (const air of day) {
      expect(air.airC).toBeGreaterThan(6);
      expect(air.airC).toBeLessThan(18);
      expect(air.rh).toBeGreaterThanOrEqual(15);
      expect(air.rh).toBeLessThanOrEqual(98);
    }
    expect(day[4].rh).toBeGreaterThan(day[15].rh);
  });
  it('falls silent, or speaks what no reading may be', () => {
    expect(simulatedSensor(shed, 'silent').read(hourAt(9))).toBeNull();
    const wild = simulatedSensor(shed, 'nonsense').read(hourAt(9));
    expect(readingSchema.safeParse({ id: 'r', placeId: 'shed', at: '2026-11-25T09:00:00Z', from: 'sensor', ...wild }).success).toBe(false);
  });
});

describe('a simulated forecast', () => {
  it('tells three days by the hour, with a hole now and then', () => {
    const hours = simulatedForecast(shed).hours(hourAt(0));
    expect(hours?.tempC).toHaveLength(72);
    const holes = hours?.tempC.filter((value) => value === null).length;
    expect(holes).toBe(2);
    expect(hours?.rh.filter((value) => value === null)).toHaveLength(2);
    const series = { id: 'f', placeId: 'shed', from: 'forecast', start: '2026-11-25T00:00:00Z', ...hours };
    expect(airSeriesSchema.safeParse(series).success).toBe(true);
  });
  it('does not answer when it fails', () => expect(simulatedForecast(shed, true).hours(hourAt(0))).toBeNull());
});

describe('simulated shops', () => {
  const { products, sheets } = starterShelf();
  it('have most paints at prices round a usual one, the same on the same day, and move from month to month', () => {
    const list = simulatedShops().ask({ products, sheets }, '2026-12-01');
    expect(list?.shops).toHaveLength(3);
    for (const shop of list?.shops ?? []) expect(shopSchema.safeParse(shop).error?.issues ?? []).toEqual([]);
    for (const offer of list?.offers ?? []) {
      expect(offerSchema.safeParse(offer).error?.issues ?? []).toEqual([]);
      const usual = products.find(({ id }) => id === offer.productId)?.typicalPrice ?? 0;
      expect(offer.price).toBeGreaterThan(usual * 0.7);
      expect(offer.price).toBeLessThan(usual * 1.3);
      expect(offer.seenOn <= '2026-12-01').toBe(true);
    }
    expect(list?.offers.length).toBeGreaterThan(products.length);
    expect(new Set(list?.offers.map(({ id }) => id)).size).toBe(list?.offers.length);
    expect(simulatedShops().ask({ products, sheets }, '2026-12-01')).toEqual(list);
    const later = simulatedShops().ask({ products, sheets }, '2027-01-09');
    expect(later?.offers.map(({ id }) => id)).toEqual(list?.offers.map(({ id }) => id));
    expect(later?.offers.map(({ price }) => price)).not.toEqual(list?.offers.map(({ price }) => price));
  });
  it('have nothing of what was mixed here, and do not answer when they fail', () => {
    const mixed = products.map((product) => ({ ...product, mix: { parts: [{ productId: product.id, ml: 5 }] } }));
    expect(simulatedShops().ask({ products: mixed, sheets }, '2026-12-01')?.offers).toEqual([]);
    expect(simulatedShops(true).ask({ products, sheets }, '2026-12-01')).toBeNull();
  });
});

describe('what they write', () => {
  let folder = '';
  let opened: Opened;
  let changes: Changes;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'enamelos-standins-'));
    opened = openWorkshop(folder);
    changes = new Changes();
    const { facts, revisions } = opened.store.snapshot();
    const [first] = facts.places;
    opened.store.put('places', first.id, { ...first, heated: true, hasSensor: true }, revisions[`places/${first.id}`]);
    for (const id of ['yard', 'lean-to'])
      opened.store.put('places', id, { ...first, id, name: id, kind: 'outdoors', heated: false, hasSensor: false }, 0);
  });
  afterEach(() => {
    opened.close();
    rmSync(folder, { recursive: true, force: true });
  });
  const series = () => opened.store.snapshot().facts.airSeries;

  it('a forecast for every unheated place at once, one each, however often it is asked', async () => {
    const stop = runForecasts(opened.store, changes, false, 5);
    expect(
      series()
        .map((own) => own.placeId)
        .sort(),
    ).toEqual(['lean-to', 'yard']);
    await new Promise((resolve) => setTimeout(resolve, 30));
    stop();
    expect(series()).toHaveLength(2);
  });
  it('nothing when the service is away; what it said before stays', () => {
    runForecasts(opened.store, changes, true, 60_000)();
    expect(series()).toEqual([]);
    runForecasts(opened.store, changes, false, 60_000)();
    runForecasts(opened.store, changes, true, 60_000)();
    expect(series()).toHaveLength(2);
  });
  it('tells the open tabs of each', () => {
    let told = 0;
    changes.subscribe(() => {
      told++;
    });
    runForecasts(opened.store, changes, false, 60_000)();
    expect(told).toBe(2);
  });
  it('a reading of places with a sensor only', async () => {
    const stop = runSensors(opened.store, changes, undefined, 5);
    await expect.poll(() => opened.store.snapshot().facts.readings.length, { timeout: 5000 }).toBe(1);
    stop();
  });
});
