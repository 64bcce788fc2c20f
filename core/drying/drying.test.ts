import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Mechanism } from './familyRow.ts';
import {
  airVerdict,
  dewAnswer,
  dewPoint,
  DryingClock,
  DryingClocks,
  dryingRate,
  familyDrying,
  filmState,
  filmTimes,
  sprayRange,
  waitHours,
} from './index.ts';

const shed = Array.from({ length: 24 }, (_, hour) => 16 + 6 * Math.cos(((hour - 15) / 24) * 2 * Math.PI));
const RUNS = process.env.PROOF ? 1000 : 100;

describe('dew point', () => {
  it('meets the worked figures', () => {
    expect(dewPoint(22, 65)).toBeCloseTo(15.1, 1);
    expect(dewPoint(12, 85)).toBeCloseTo(9.6, 1);
  });
  it('stops below three degrees of margin', () => {
    expect(dewAnswer(22, 50).verdict).toBe('sits');
    expect(dewAnswer(12, 85).verdict).toBe('stop');
    expect(dewAnswer(20, 50, 12).verdict).toBe('stop');
  });
});

describe('drying clock', () => {
  it('meets the worked figures', () => {
    expect(waitHours({ mechanism: 'oxidation', referenceHours: 48, startHour: 0, tempC: [10], rh: [50] })).toBeCloseTo(96, 3);
    expect(waitHours({ mechanism: 'oxidation', referenceHours: 24, startHour: 20, tempC: shed, rh: [50] })).toBeCloseTo(32.4, 1);
    expect(waitHours({ mechanism: 'oxidation', referenceHours: 24, startHour: 8, tempC: shed, rh: [50] })).toBeCloseTo(29.5, 1);
    expect(waitHours({ mechanism: 'coalescence', referenceHours: 1, startHour: 0, tempC: [20], rh: [80] })).toBeCloseTo(2.5, 3);
  });
  it('stands still in the cold', () => {
    expect(waitHours({ mechanism: 'coalescence', referenceHours: 1, startHour: 0, tempC: [7], rh: [50] })).toBeNull();
    expect(waitHours({ mechanism: 'crosslinking', referenceHours: 1, startHour: 0, tempC: [4], rh: [50] })).toBeNull();
  });
  it('waits out a cold night for a film that only dries by day', () => {
    const cold = shed.map((temp) => temp - 9);
    const hours = waitHours({ mechanism: 'crosslinking', referenceHours: 20, startHour: 18, tempC: cold, rh: [50] });
    expect(hours).toBeGreaterThan(48);
  });
  it('agrees with a fine integration within 0.1 %', () => {
    const mechanisms: Mechanism[] = ['evaporation', 'oxidation', 'crosslinking', 'coalescence'];
    fc.assert(
      fc.property(
        fc.constantFrom(...mechanisms),
        fc.integer({ min: 0, max: 23 }),
        fc.double({ min: 0.2, max: 60, noNaN: true }),
        (mechanism, start, reference) => {
          const humid = shed.map((_, hour) => 55 + 15 * Math.sin(hour));
          const got = waitHours({ mechanism, referenceHours: reference, startHour: start, tempC: shed, rh: humid }) as number;
          let [sum, hour] = [0, start];
          const step = 1 / 600;
          const at = (series: number[], when: number) =>
            series[Math.floor(when) % 24] * (1 - (when % 1)) + series[Math.ceil(when) % 24] * (when % 1);
          while (sum < reference) {
            sum += step * dryingRate(mechanism, at(shed, hour + step / 2), at(humid, hour + step / 2));
            hour += step;
          }
          expect(Math.abs(got - (hour - start))).toBeLessThan(Math.max(0.001 * got, 2 * step));
        },
      ),
      { seed: 1, numRuns: RUNS / 2 },
    );
  });
  it('is monotone: more drying takes longer, a warmer place never takes longer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 100, noNaN: true }),
        fc.double({ min: 0.01, max: 20, noNaN: true }),
        fc.integer({ min: 0, max: 12 }),
        (reference, more, warmer) => {
          const clock = new DryingClock({ startHour: 0, tempC: shed, rh: [50] }, 'evaporation');
          const warm = new DryingClock({ startHour: 0, tempC: shed.map((temp) => temp + warmer), rh: [50] }, 'evaporation');
          const hours = clock.hoursUntil(5, reference) as number;
          expect(clock.hoursUntil(5, reference + more)).toBeGreaterThan(hours);
          expect(warm.hoursUntil(5, reference)).toBeLessThanOrEqual(hours + 1e-9);
        },
      ),
      { seed: 2, numRuns: RUNS },
    );
  });
  it('runs backwards before the first known hour', () => {
    const clock = new DryingClock({ startHour: 100, tempC: [20], rh: [50] }, 'oxidation');
    expect(clock.progress(40, 100)).toBeCloseTo(60, 6);
    expect(clock.hoursUntil(40, 30)).toBeCloseTo(30, 6);
  });
});

describe('films', () => {
  const clocks = new DryingClocks({ room: { start: 0, tempC: [20], rh: [50], rests: '', measured: false } });
  const film = { family: 'alkyd-enamel' as const, placeId: 'room', firstCoatEnd: 0, lastCoatEnd: 20, coatRatio: 1, filmRatio: 1 };

  it('shuts from the first coat of an enamel, opens from the last', () => {
    const times = filmTimes(film, clocks);
    expect(times.opens).toBeCloseTo(40, 3);
    expect(times.shuts).toBeCloseTo(60, 3);
    expect(times.dry).toBeCloseTo(20 + 48 * 60, 3);
    expect([10, 50, 100, 20 + 49 * 60, 20 + 15 * 1440].map((at) => filmState(times, at))).toEqual(['wet', 'fresh', 'shut', 'dry', 'cured']);
  });
  it('never plans a shutting time later than the reference', () => {
    const cold = new DryingClocks({ room: { start: 0, tempC: [12], rh: [50], rests: '', measured: false } });
    expect(filmTimes(film, cold).shuts).toBe(60);
    const warm = new DryingClocks({ room: { start: 0, tempC: [30], rh: [50], rests: '', measured: false } });
    expect(filmTimes(film, warm).shuts).toBeCloseTo(30, 1);
  });
  it('slows later stages of a thick film, by the square for oxidation and at most four times', () => {
    expect(filmTimes({ ...film, filmRatio: 1.5 }, clocks).tape).toBeCloseTo(20 + 48 * 60 * 2.25, 2);
    expect(filmTimes({ ...film, filmRatio: 9 }, clocks).tape).toBeCloseTo(20 + 48 * 60 * 4, 2);
  });
  it('puts the label before the family', () => {
    const labelled = filmTimes({ ...film, label: { coatFromMin: 30, coatUntilMin: 45, tapeSafeMin: 600 } }, clocks);
    expect(labelled.opens).toBeCloseTo(50, 3);
    expect(labelled.shuts).toBe(45);
    expect(labelled.tape).toBeCloseTo(620, 3);
  });
  it('has no cure for a bare basecoat and the strictest times for an unknown paint', () => {
    expect(filmTimes({ ...film, family: 'solvent-base' }, clocks).cured).toBeNull();
    expect(familyDrying('unknown').coatUntil).toBe(1);
  });
});

describe('air', () => {
  it('stops in the cold and the damp, cares a little over the limit', () => {
    const range = sprayRange('evaporation', 'acrylic-lacquer');
    const air = (airC: number, rh: number) =>
      airVerdict({ airC, rh, dewPointC: dewPoint(airC, rh), dewMarginC: airC - 2 - dewPoint(airC, rh) }, range).verdict;
    expect(air(20, 50)).toBe('sits');
    expect(air(20, 68)).toBe('care');
    expect(air(20, 78)).toBe('stop');
    expect(air(8, 50)).toBe('stop');
  });
});
