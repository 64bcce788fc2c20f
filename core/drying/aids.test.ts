import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type AirSeries, EMPTY_FACTS, type Facts, FAMILIES } from '#core/facts/index';
import { newWorkshop } from '#core/buying/index';
import { HOUR, toIso } from '#core/units/index';
import {
  AIDS,
  airAt,
  changedAir,
  conditionsOf,
  DryingClocks,
  forcedCure,
  readLoggerCsv,
  seriesAt,
  sunSurface,
  usualPlace,
  warmthLimit,
} from './index.ts';

const NOW = 30_000_000 - (30_000_000 % HOUR);
const still = { place: { start: NOW, tempC: [18], rh: [60], rests: '', measured: false } };

describe('what quickens a film', () => {
  const reached = (conditions: typeof still, mechanism: 'evaporation' | 'coalescence' | 'oxidation' | 'crosslinking', hours = 10) =>
    new DryingClocks(conditions).reached('place', mechanism, NOW, hours) as number;
  it('is air that moves, warmth, and for water paints dryness', () => {
    const aid = (name: string) => changedAir(still, AIDS.find((own) => own.name.includes(name))?.change ?? {}) as typeof still;
    expect((reached(still, 'evaporation') - NOW) / (reached(aid('fan'), 'evaporation') - NOW)).toBeCloseTo(1.3, 3);
    expect(reached(aid('heater'), 'oxidation')).toBeLessThan(reached(still, 'oxidation'));
    expect(reached(aid('dehumidifier'), 'coalescence')).toBeLessThan(reached(still, 'coalescence'));
    expect(reached(aid('dehumidifier'), 'oxidation')).toBe(reached(still, 'oxidation'));
    expect(reached(aid('box'), 'evaporation')).toBeGreaterThan(reached(still, 'evaporation'));
  });
  it('keeps humidity between 5 and 100 %, in every place or in the one that is meant', () => {
    const two = { ...still, other: still.place };
    const rh = (damperRh: number, placeId?: string) => Object.values(changedAir(two, { damperRh }, placeId)).map((place) => place.rh[0]);
    expect(rh(30)).toEqual([90, 90]);
    expect(rh(70)).toEqual([100, 100]);
    expect(rh(-90, 'place')).toEqual([5, 60]);
    expect(changedAir(two, { warmerC: 6 }).place.tempC).toEqual([24]);
  });
  it('never delays an evaporating film by a warmer hour, and the clock only goes on', () => {
    const day = fc.array(fc.double({ min: -5, max: 35, noNaN: true }), { minLength: 24, maxLength: 24 });
    fc.assert(
      fc.property(
        day,
        fc.integer({ min: 0, max: 23 }),
        fc.double({ min: 0.1, max: 15, noNaN: true }),
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        (tempC, hour, more, hours) => {
          const warmer = tempC.map((value, index) => (index === hour ? value + more : value));
          const at = (values: number[], wait: number) =>
            new DryingClocks({ place: { start: NOW, tempC: values, rh: [50], rests: '', measured: false } }).reached(
              'place',
              'evaporation',
              NOW,
              wait,
            ) as number;
          expect(at(warmer, hours)).toBeLessThanOrEqual(at(tempC, hours) + 1e-6);
          expect(at(tempC, hours * 1.5)).toBeGreaterThanOrEqual(at(tempC, hours));
        },
      ),
      { seed: 6, numRuns: 25 },
    );
  });
  it('is a low oven within the weaker of part and coating, after flash-off', () => {
    expect(warmthLimit(['steel'], ['alkyd-enamel']).limitC).toBe(80);
    expect(warmthLimit(['abs'], ['alkyd-enamel']).limitC).toBe(50);
    // A hobby acrylic under an enamel bears no more for lying under it.
    expect(forcedCure('steel', 'alkyd-enamel', ['water-acrylic']).limitC).toBe(45);
    expect(warmthLimit(['resin'], ['urethane-2k']).limitC).toBe(45);
    const oven = forcedCure('steel', 'alkyd-enamel');
    expect(oven.flashOffMin).toBe(40);
    expect(oven.hours as number).toBeLessThan(24);
    expect(forcedCure('steel', 'solvent-base').hours).toBeNull();
    for (const family of FAMILIES) expect(forcedCure('wood', family).limitC).toBeLessThanOrEqual(40);
    expect(sunSurface(25, 20)).toBe(65);
    expect(sunSurface(25, 80)).toBe(40);
  });
});

describe('hourly air', () => {
  const series = (tempC: (number | null)[], from: AirSeries['from'] = 'forecast', hoursBack = 2): AirSeries => ({
    id: `${from}-yard`,
    placeId: 'yard',
    from,
    start: toIso(NOW - hoursBack * HOUR),
    tempC,
    rh: tempC.map((value) => (value === null ? null : 50)),
  });
  const { workshop } = newWorkshop('UTC');
  const facts = (airSeries: AirSeries[], more: Partial<Facts> = {}): Facts => ({
    ...EMPTY_FACTS,
    workshop: [workshop],
    places: [usualPlace('yard', 'Yard', 'outdoors')],
    airSeries,
    ...more,
  });
  it('bridges short holes and falls back to the usual day in long ones', () => {
    const holed = series([10, null, null, 16, null, null, null, null, 20]);
    expect(seriesAt(holed, NOW - 1 * HOUR)?.tempC).toBeCloseTo(12, 6);
    expect(seriesAt(holed, NOW + 4 * HOUR)).toBeNull();
    expect(seriesAt(holed, NOW + 99 * HOUR)).toBeNull();
  });
  it('stands in for the usual day outside, and says for how long and how much is missing', () => {
    const air = conditionsOf(facts([series([5, 5, 5, 5, null, 5, 5, 5, 5, 5, 5, 5])]), NOW).yard;
    expect(airAt(air, NOW + HOUR).airC).toBeCloseTo(5, 6);
    expect(air.rests).toContain('forecast stands in for 9 h, 1 h of it missing');
    const none = conditionsOf(facts([]), NOW).yard;
    expect(none.rests).toContain('usual day');
    expect(airAt(none, NOW).airC).not.toBeCloseTo(5, 1);
  });
  it('is left out where the place is heated', () => {
    const heated = facts([series(Array(48).fill(-5))], { places: [usualPlace('yard', 'Room', 'room')] });
    expect(airAt(conditionsOf(heated, NOW).yard, NOW).airC).toBeGreaterThan(10);
  });
  it('is shifted by what the sensor last said, and falls back when it is silent', () => {
    const reading = (hoursAgo: number) => ({
      id: 'yard',
      placeId: 'yard',
      at: toIso(NOW - hoursAgo * HOUR),
      airC: 9,
      rh: 60,
      from: 'sensor' as const,
    });
    const cold = series(Array(72).fill(5), 'forecast', 10);
    expect(airAt(conditionsOf(facts([cold], { readings: [reading(0)] }), NOW).yard, NOW).airC).toBeCloseTo(9, 1);
    const silent = conditionsOf(facts([cold], { readings: [reading(8)] }), NOW).yard;
    expect(airAt(silent, NOW).airC).toBeCloseTo(5, 1);
    expect(silent.rests).toContain('Last reading 8 h ago');
  });
});

describe('a logger’s file', () => {
  it('becomes hours, whatever its columns and marks are called', () => {
    const csv = 'Timestamp;Temperature °C;Humidity %\n2026-12-01 10:05;17,5;60\n2026-12-01 10:35;18,5;58\n2026-12-01 13:00;20;55\n';
    expect(readLoggerCsv(csv)).toEqual({
      ok: true,
      start: '2026-12-01T10:00:00Z',
      tempC: [18, null, null, 20],
      rh: [59, null, null, 55],
      rows: 3,
    });
    expect(readLoggerCsv('date,temp °F,rh\n01.12.2026 10:00,68,50\n')).toMatchObject({ ok: true, tempC: [20] });
  });
  it('leaves out what no air is, and says when nothing is left', () => {
    expect(readLoggerCsv('time,temp,rh\n2026-12-01 10:00,400,50\n2026-12-01 11:00,20,50\n')).toMatchObject({
      ok: true,
      rows: 1,
      tempC: [20],
    });
    expect(readLoggerCsv('time,temp,rh\n2026-12-01 10:00,400,50\n')).toMatchObject({ ok: false });
    for (const broken of ['-41,50', '61,50', '20,0', '20,101', 'x,50', '20,']) {
      expect(readLoggerCsv(`time,temp,rh\n2026-12-01 10:00,${broken}\n`)).toMatchObject({ ok: false });
    }
    for (const sound of ['-40,1', '60,100'])
      expect(readLoggerCsv(`time,temp,rh\n2026-12-01 10:00,${sound}\n`)).toMatchObject({ ok: true, rows: 1 });
    expect(readLoggerCsv('a,b\n1,2')).toMatchObject({ ok: false, mend: expect.stringContaining('columns') });
    expect(readLoggerCsv('')).toMatchObject({ ok: false });
  });
});
