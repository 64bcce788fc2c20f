import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY_FACTS, type Facts } from '#core/facts/index';
import { newWorkshop } from '#core/buying/index';
import { toIso } from '#core/units/index';
import { airAt, airVerdict, conditionsOf, monthOf, SprayHours, USUAL_AIR, usualAir, usualPlace } from './index.ts';

const NOW = 30_000_000;
const facts = (readings: Facts['readings'], hasSensor = true): Facts => {
  const { workshop, places } = newWorkshop('UTC');
  return {
    ...EMPTY_FACTS,
    workshop: [workshop],
    places: [{ ...places[0], id: 'shed', meanC: 15, swingC: 4, meanRh: 60, hasSensor }],
    readings,
  };
};
const reading = (ago: number, airC: number, rh: number, from: 'sensor' | 'typed' = 'sensor') => ({
  id: 'shed',
  placeId: 'shed',
  at: toIso(NOW - ago),
  airC,
  rh,
  from,
});

describe('the air of a place', () => {
  it('is its usual day without a sensor, warmest in the afternoon', () => {
    const { shed } = conditionsOf(facts([], false), NOW);
    expect(shed.rests).toContain('No sensor');
    expect(Math.max(...shed.tempC)).toBeCloseTo(19, 1);
    expect(Math.min(...shed.tempC)).toBeCloseTo(11, 1);
  });
  it('is what the sensor says now, and forgets it over days', () => {
    const { shed } = conditionsOf(facts([reading(5, 22, 40)]), NOW);
    const usual = conditionsOf(facts([]), NOW).shed;
    expect(shed.measured).toBe(true);
    expect(shed.rests).toBe('Sensor, 5 min ago.');
    expect(airAt(shed, NOW).airC).toBeCloseTo(22, 0);
    const later = NOW + 6 * 1440;
    expect(Math.abs(airAt(shed, later).airC - airAt(usual, later).airC)).toBeLessThan(0.3);
  });
  it('says that a silent sensor is silent and falls back', () => {
    const { shed } = conditionsOf(facts([reading(400, 30, 20)]), NOW);
    expect(shed.measured).toBe(false);
    expect(shed.rests).toContain('Last reading 7 h ago');
    expect(airAt(shed, NOW).airC).toBeLessThan(20);
  });
  it('keeps what was typed', () => {
    const { shed } = conditionsOf(facts([reading(400, 24, 45, 'typed')]), NOW);
    expect(shed.measured).toBe(true);
    expect(shed.rests).toBe('As you typed it.');
  });
  it('counts what was typed until the moment that is said, and then no more', () => {
    const cold = { ...reading(60, 7, 82, 'typed'), until: toIso(NOW + 180) };
    const { shed } = conditionsOf(facts([cold]), NOW);
    expect(shed.countsUntil).toBe(NOW + 180);
    expect(airAt(shed, NOW + 120).airC - airAt(shed, NOW).airC).toBeCloseTo(
      airAt(conditionsOf(facts([]), NOW).shed, NOW + 120).airC - airAt(conditionsOf(facts([]), NOW).shed, NOW).airC,
      5,
    );
    const over = conditionsOf(facts([cold]), NOW + 181).shed;
    expect([over.measured, over.countsUntil]).toEqual([false, undefined]);
    expect(over.rests).toContain('too old to count');
  });
  it('typed where it is heated counts until the next one, and half a day where it is not', () => {
    const typed = facts([reading(60, 9, 78, 'typed')]);
    const of = (heated: boolean) => conditionsOf({ ...typed, places: [{ ...typed.places[0], heated }] }, NOW).shed;
    expect(of(true).countsUntil).toBeNull();
    expect(airAt(of(true), NOW + 9 * 1440).airC).toBeLessThan(14);
    expect(of(false).countsUntil).toBe(NOW - 60 + 720);
  });
  it('never leaves the range of humidity', () => {
    const { shed } = conditionsOf(facts([reading(1, 20, 100)]), NOW);
    expect(Math.max(...shed.rh)).toBeLessThanOrEqual(100);
    expect(Math.min(...shed.rh)).toBeGreaterThanOrEqual(5);
  });
});

describe('a part measured by itself', () => {
  it('counts in place of the air less two degrees; typed, for three hours: a cold one warms up in the room', () => {
    const assumed = conditionsOf(facts([reading(5, 20, 60)]), NOW).shed;
    const warm = conditionsOf(facts([{ ...reading(5, 20, 60), surfaceC: 24 }]), NOW).shed;
    const cold = conditionsOf(facts([{ ...reading(5, 20, 60), surfaceC: 13 }]), NOW).shed;
    expect(airAt(warm, NOW).dewMarginC - airAt(assumed, NOW).dewMarginC).toBeCloseTo(6, 1);
    expect(airAt(cold, NOW).dewMarginC - airAt(assumed, NOW).dewMarginC).toBeCloseTo(-5, 1);
    expect(airVerdict(airAt(cold, NOW), { minC: 10, maxC: 32, maxRh: 80 }).verdict).toBe('stop');
    const later = NOW + 8 * 1440;
    const typed = { ...reading(0, 18, 55, 'typed'), surfaceC: 9 };
    const room = conditionsOf({ ...facts([typed]), places: [{ ...facts([]).places[0], heated: true }] }, NOW).shed;
    expect(airAt(room, NOW + 20).dewMarginC).toBeCloseTo(0.2, 0);
    expect(airAt(room, NOW + 20).dewMarginC).toBeLessThan(1);
    expect(airAt(room, NOW + 24 * 60).airC).toBeCloseTo(18, 0);
    expect(airAt(room, NOW + 24 * 60).dewMarginC).toBeGreaterThan(6);
    expect(airAt(warm, later).dewMarginC - airAt(assumed, later).dewMarginC).toBeCloseTo(0, 1);
  });
});

describe('daylight', () => {
  const NOON = Date.UTC(2026, 11, 1, 12) / 60_000;
  const yardFacts = (kind: 'outdoors' | 'shed', more: Partial<Facts['readings'][number]> = {}): Facts => {
    const own = facts([]);
    return {
      ...own,
      places: [{ ...own.places[0], kind }],
      readings: Object.keys(more).length > 0 ? [{ ...reading(0, 18, 50), at: toIso(NOON), ...more }] : [],
    };
  };
  const range = { minC: 5, maxC: 40, maxRh: 90 };
  it('is needed in the open, where a lamp does for a shed', () => {
    const night = NOON + 12 * 60;
    expect(airVerdict(airAt(conditionsOf(yardFacts('outdoors'), NOON).shed, night), range).because).toContain('dark');
    expect(airVerdict(airAt(conditionsOf(yardFacts('shed'), NOON).shed, night), range).verdict).not.toBe('stop');
    expect(airVerdict(airAt(conditionsOf(yardFacts('outdoors'), NOON).shed, NOON), range).verdict).not.toBe('stop');
    expect(airAt(conditionsOf(yardFacts('outdoors'), NOON).shed, NOON + 400 * 1440 + 12 * 60).dark).toBe(true);
  });
  it('wind that was felt counts for some hours', () => {
    const yard = conditionsOf(yardFacts('outdoors', { windMs: 6 }), NOON).shed;
    expect(airVerdict(airAt(yard, NOON), range).because).toContain('Wind of 6.0 m/s');
    expect(airAt(yard, NOON + 8 * 60).windMs).toBeUndefined();
  });
});

describe('in the open', () => {
  const yard = (windMs: (number | null)[] | undefined, kind: 'outdoors' | 'shed' = 'outdoors'): Facts => {
    const known = facts([], false);
    const hours = windMs?.length ?? 4;
    return {
      ...known,
      places: [{ ...known.places[0], id: 'yard', kind, heated: false, meanC: 20, swingC: 0, meanRh: 50 }],
      airSeries: [
        {
          id: 'f',
          placeId: 'yard',
          from: 'forecast',
          start: toIso(Math.floor(NOW / 60) * 60),
          tempC: Array.from({ length: hours }, () => 20),
          rh: Array.from({ length: hours }, () => 50),
          ...(windMs ? { windMs } : {}),
        },
      ],
    };
  };
  const verdictAt = (known: Facts, hour: number) =>
    airVerdict(airAt(conditionsOf(known, NOW).yard, NOW + hour * 60), { minC: 10, maxC: 32, maxRh: 65 });
  it('wind to 1 m/s is nothing, to 3 care, above it a stop', () => {
    const blowing = yard([0.4, 1, 2.2, 3.4, null, 0.2]);
    expect([0, 1, 2, 3, 4, 5].map((hour) => verdictAt(blowing, hour).verdict)).toEqual(['sits', 'sits', 'care', 'stop', 'sits', 'sits']);
    expect(verdictAt(blowing, 3).because).toContain('3.4 m/s');
  });
  it('it says nothing indoors, nor where the forecast does not know', () => {
    expect(verdictAt(yard([9, 9, 9], 'shed'), 1).verdict).toBe('sits');
    expect(airAt(conditionsOf(yard(undefined), NOW).yard, NOW).windMs).toBeUndefined();
  });
  it('a blow puts a coat off until it is over', () => {
    const hours = new SprayHours(conditionsOf(yard([9, 9, 9, 0.5, 0.5, 0.5]), NOW).yard, { minC: 10, maxC: 32, maxRh: 65 }, NOW);
    const start = Math.floor(NOW / 60) * 60;
    expect(hours.next(NOW)).toBe(start + 3 * 60);
  });
  it('a typed reading of an unheated place grows old', () => {
    const typed = (hoursAgo: number) => {
      const known = yard(undefined);
      return conditionsOf(
        { ...known, readings: [{ id: 'yard', placeId: 'yard', at: toIso(NOW - hoursAgo * 60), airC: 9, rh: 80, from: 'typed' }] },
        NOW,
      ).yard;
    };
    expect(typed(2)).toMatchObject({ measured: true, rests: 'As you typed it.' });
    expect(typed(20)).toMatchObject({ measured: false });
    expect(typed(20).rests).toContain('Typed 20 h ago, too old to count');
  });
});

describe('hours to spray', () => {
  const hourly = fc.array(fc.record({ tempC: fc.integer({ min: 2, max: 36 }), rh: fc.integer({ min: 30, max: 98 }) }), {
    minLength: 25,
    maxLength: 80,
  });
  const range = { minC: 10, maxC: 32, maxRh: 65 };
  it('are found as a walk of quarter hours would find them, past the known hours too', () => {
    fc.assert(
      fc.property(hourly, fc.integer({ min: 0, max: 600 }), fc.integer({ min: 0, max: 6000 }), (series, now, later) => {
        const air = { start: 0, tempC: series.map((one) => one.tempC), rh: series.map((one) => one.rh), rests: '', measured: false };
        const right = (at: number) => airVerdict(airAt(air, at), range).verdict !== 'stop';
        const walk = (from: number): number | null => {
          for (let quarter = Math.floor(from / 15) * 15; quarter < from + 9000; quarter += 15)
            if (right(quarter) && right(quarter + 15)) return Math.max(from, quarter);
          return null;
        };
        expect(new SprayHours(air, range, now).next(now + later)).toBe(walk(now + later));
      }),
      { seed: 11, numRuns: 60 },
    );
  });
});

describe('what is usual by month', () => {
  const [january, july] = [0.65, 6.65];
  const at = (place: Parameters<typeof usualAir>[0], month: number) => usualAir(place, month, 'Europe/Lisbon', NOW);
  const standing = (latitude: number) => ({ ...usualPlace('s', 'Shed', 'shed'), position: { latitude, longitude: 0 } });
  it('is cold in winter and warm in summer where nothing heats, by the latitude', () => {
    expect(at(standing(50), january).c).toBeCloseTo(28 - 18.25 + 2 - 9.5, 2);
    expect(at(standing(50), july).c).toBeCloseTo(28 - 18.25 + 2 + 9.5, 2);
    expect(at(standing(60), january).c).toBeLessThan(at(standing(40), january).c);
    expect(at(standing(50), january).rh).toBeGreaterThan(at(standing(50), july).rh);
    expect(at(standing(50), january).from).toBe('position');
  });
  it('is turned round in the south', () => {
    expect(at(standing(-40), january).c).toBeCloseTo(at(standing(40), july).c, 6);
  });
  it('is the same all the year where it is heated, or where somebody has said it', () => {
    const room = usualPlace('r', 'Room', 'room');
    const said = { ...standing(50), meanC: 11 };
    for (const place of [room, said]) expect(at(place, january)).toEqual({ c: place.meanC, rh: place.meanRh, from: 'year' });
    expect(USUAL_AIR.shed.heated).toBe(false);
  });
  it('is what was typed by month, and in between from the middle of one to the middle of the next', () => {
    const usual = Array.from({ length: 12 }, (_, index) => ({ c: index, rh: 50 + index }));
    const place = { ...standing(50), usual };
    expect(at(place, 3.5)).toEqual({ c: 3, rh: 53, from: 'months' });
    expect(at(place, 4).c).toBeCloseTo(3.5, 6);
    expect(at(place, 0).c).toBeCloseTo(5.5, 6);
    expect(at(place, 11.99).c).toBeCloseTo(11 - 0.49 * 11, 1);
  });
  it('counts months from New Year', () => {
    expect(monthOf(Date.UTC(2026, 11, 16, 12) / 60_000)).toBeCloseTo(11.5, 2);
    expect(monthOf(Date.UTC(2026, 0, 1) / 60_000)).toBe(0);
  });
});
