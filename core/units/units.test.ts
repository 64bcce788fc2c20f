import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addDays,
  atLocal,
  clockText,
  dateText,
  dayText,
  durationText,
  formatMoney,
  formatQuantity,
  localMoment,
  minuteOfDay,
  momentText,
  monthsFrom,
  noonOf,
  parseMix,
  parseQuantity,
  typedQuantity,
  parseRatio,
  toIso,
  toMinute,
  workMinutes,
} from './index.ts';

const value = (text: string, dimension: Parameters<typeof parseQuantity>[1], unit: string) => {
  const parsed = parseQuantity(text, dimension, unit);
  return parsed.ok ? parsed.value : parsed.mend;
};

describe('minutes by area', () => {
  const size = (copyCm2: number) => ({ copyCm2, copies: 1, factor: 1 });
  it.each([
    ['a casting scraped', 12, 150, 'strip', 15.6],
    ['a case scraped', 12, 3200, 'strip', 114.2],
    ['1.5 m² washed', 4, 15_000, 'wash', 23.1],
    ['a panel of 1.3 × 1.2 m scuffed', 3, 15_600, 'scuff', 29.1],
    ['a case of 0.9 m² washed', 4, 9000, 'wash', 19.3],
    ['a case of 0.9 m² scuffed', 3, 9000, 'scuff', 22.7],
    ['100 cm² flatted', 3, 100, 'flat', 3],
    ['no area', 3, 0, 'flat', 0],
  ] as const)('%s', (_name, at100, cm2, kind, minutes) => expect(workMinutes(at100, size(cm2), kind)).toBeCloseTo(minutes, 1));
  it('grows above 3,200 cm² as larger tools do it', () => {
    expect(workMinutes(12, size(12_800), 'strip') / workMinutes(12, size(3200), 'strip')).toBeCloseTo(4 ** 0.45, 9);
  });
});

describe('quantities', () => {
  it('reads decimal comma, point and fractions in the units people use', () => {
    expect(value('75', 'length', 'mm')).toBe(75);
    expect(value('7,5 cm', 'length', 'mm')).toBe(75);
    expect(value('3/4 in', 'length', 'mm')).toBeCloseTo(19.05);
    expect(value('1 1/2 in', 'length', 'mm')).toBeCloseTo(38.1);
    expect(value('15 oz', 'volume', 'mL')).toBeCloseTo(443.6, 1);
    expect(value('64 °F', 'temperature', 'C')).toBeCloseTo(17.8, 1);
    expect(value('-3 C', 'temperature', 'C')).toBe(-3);
  });

  const READ: readonly (readonly [string, Parameters<typeof parseQuantity>[1], string, number])[] = [
    ['3 m', 'length', 'mm', 3000],
    ['2 ft', 'length', 'mm', 609.6],
    ['4 1/4 "', 'length', 'mm', 107.95],
    ['1/2', 'length', 'in', 12.7],
    ['0,4 l', 'volume', 'mL', 400],
    ['2 cl', 'volume', 'mL', 20],
    ['12', 'volume', 'mL', 12],
    ['0 °C', 'temperature', 'C', 0],
    ['32', 'temperature', 'F', 0],
    ['1,5 kg', 'mass', 'g', 1500],
    ['1 oz', 'mass', 'g', 28.3495],
    ['90', 'duration', 'min', 90],
    ['1.5 h', 'duration', 'min', 90],
    ['2 days', 'duration', 'min', 2880],
    ['1 d', 'duration', 'min', 1440],
  ];
  it.each(READ)('reads %s as %s', (text, dimension, unit, expected) => expect(value(text, dimension, unit)).toBeCloseTo(expected, 6));
  const NONE = ['', '   ', 'mm', '1.2.3 mm', '--4', '1/2/3', '٣ mm', '1e9x'];
  it.each(NONE)('takes %j for no length', (text) => expect(typeof value(text, 'length', 'mm')).toBe('string'));

  it.each([
    ['0.5', 0.5],
    ['25 %', 0.25],
    ['4:1', 0.25],
    ['2 : 1', 0.5],
    ['10:1', 0.1],
    ['0 %', 0],
  ])('reads the ratio %s as %s parts to one of paint', (text, expected) => expect(parseRatio(text)).toBeCloseTo(expected, 9));
  it.each(['', 'some', '4:', '0:1', '-4:1', '4:1:1', '4:-1'])('takes %j for no ratio', (text) => expect(parseRatio(text)).toBeNull());
  it('reads a mix as paint, hardener and reducer', () => {
    expect(parseMix('12:1:1')).toEqual({ hardener: 1 / 12, reducer: 1 / 12 });
    expect(parseMix('4:1:2')).toEqual({ hardener: 0.25, reducer: 0.5 });
    expect(parseMix('2:1')).toEqual({ hardener: null, reducer: 0.5 });
    for (const text of ['', '4', '0:1', '4:1:1:1', '4:a', '4:-1:1']) expect(parseMix(text)).toBeNull();
  });
  it('says what to type when it cannot read', () => {
    expect(value('tall', 'length', 'mm')).toContain('Type a number');
    expect(value('5 stone', 'length', 'mm')).toContain('stone');
    expect(value('1/0 in', 'length', 'mm')).toContain('Type a number');
  });

  it('shows figures as they are said', () => {
    expect(formatQuantity(5.83, 'mL')).toBe('5.8 mL');
    expect(formatQuantity(38.1, 'in')).toBe('1.50 in');
    expect(formatMoney(1310, 'EUR')).toBe('13.10 EUR');
    expect(formatMoney(890, 'EUR', true)).toBe('about 8.90 EUR');
    expect(durationText(35)).toBe('35 min');
    expect(durationText(48 * 60)).toBe('2 days');
    const SAID: readonly (readonly [number, string])[] = [
      [-5, '0 min'],
      [0.4, '0 min'],
      [99, '99 min'],
      [100, '1.5 h'],
      [12 * 60 + 20, '12 h'],
      [35.9 * 60, '36 h'],
      [3.3 * 1440, '3.5 days'],
      [13 * 1440, '2 weeks'],
    ];
    for (const [minutes, said] of SAID) expect([minutes, durationText(minutes)]).toEqual([minutes, said]);
    expect(formatQuantity(300, 'in')).toBe('11.8 in');
    expect(formatQuantity(20, 'F')).toBe('68.0 °F');
    expect(formatQuantity(148, 'oz')).toBe('5.0 oz');
    expect(formatQuantity(148.4, 'mL')).toBe('148 mL');
  });
});

describe('a quantity in a field', () => {
  it.each([
    ['3.3', 'length', 'mm', '3.3 mm'],
    ['0,05 mm', 'length', 'mm', '0.05 mm'],
    ['2,75', 'volume', 'mL', '2.75 mL'],
    ['4 3/4', 'length', 'in', '4.75 in'],
    ['0.13 in', 'length', 'in', '0.13 in'],
    ['4¾', 'length', 'in', '4.75 in'],
    ['½ in', 'length', 'in', '0.5 in'],
    ['13.5', 'volume', 'oz', '13.5 oz'],
    ['68.5 °F', 'temperature', 'F', '68.5 °F'],
  ] as const)('typed as %s comes back as it was typed', (text, dimension, unit, shown) => {
    const read = parseQuantity(text, dimension, unit);
    expect(read.ok && typedQuantity(read.value, unit)).toBe(shown);
  });
  it('is the same number after any save', () => {
    const units = [
      ['length', 'mm'],
      ['length', 'in'],
      ['volume', 'mL'],
      ['volume', 'oz'],
      ['temperature', 'C'],
      ['temperature', 'F'],
    ] as const;
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 2_000_000 }),
        fc.constantFrom(1, 10, 100, 1000),
        fc.constantFrom(...units),
        (whole, part, [dimension, unit]) => {
          const once = parseQuantity(String(whole / part), dimension, unit);
          const text = once.ok ? typedQuantity(once.value, unit) : '';
          const twice = parseQuantity(text, dimension, unit);
          expect(Number.parseFloat(text)).toBe(whole / part);
          expect(once.ok && twice.ok && Math.abs(once.value - twice.value)).toBeLessThan(1e-9);
        },
      ),
      { seed: 7, numRuns: 400 },
    );
  });
});

describe('local time', () => {
  it('follows daylight saving', () => {
    const winter = toMinute('2026-12-01T19:00:00Z');
    const summer = toMinute('2026-07-01T19:00:00Z');
    expect(clockText(winter, 'Europe/Lisbon')).toBe('19:00');
    expect(clockText(summer, 'Europe/Lisbon')).toBe('20:00');
    expect(clockText(summer, 'Europe/Lisbon', 12)).toBe('8:00 pm');
    expect(localMoment(winter, 'Europe/Lisbon')).toEqual({ date: '2026-12-01', weekday: 2, minuteOfDay: 1140 });
    expect(atLocal('2026-07-01', 1200, 'Europe/Lisbon')).toBe(summer);
  });
  it('passes over an hour that is not there, and knows the one that is there twice', () => {
    const noon = (date: string) => atLocal(date, 720, 'Europe/Lisbon');
    expect(noon('2026-03-29') - noon('2026-03-28')).toBe(23 * 60);
    expect(noon('2026-10-25') - noon('2026-10-24')).toBe(25 * 60);
    expect(localMoment(atLocal('2026-03-29', 90, 'Europe/Lisbon'), 'Europe/Lisbon').minuteOfDay).toBe(150);
  });
  it('counts days over the ends of months and years', () => {
    expect(addDays('2026-02-28', 1)).toBe('2026-03-01');
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01');
    expect(addDays('2026-03-01', -1)).toBe('2026-02-28');
    expect(dayText(toMinute('2026-12-31T23:30:00Z'), 'Europe/Berlin')).toBe('Fri 1 Jan');
    expect(monthsFrom('2026-11', 3)).toEqual(['2026-11', '2026-12', '2027-01']);
    expect(monthsFrom('2026-02', 2, -3)).toEqual(['2025-11', '2025-12']);
    expect(noonOf('2026-12-31')).toBe(toMinute('2026-12-31T12:00:00Z'));
    expect(dateText(toMinute('2026-12-31T23:30:00Z'), 'UTC')).toBe('31 Dec');
  });
  it('goes to text and back', () => {
    for (const iso of ['2026-11-25T19:05:00Z', '2027-01-01T00:00:00Z']) expect(toIso(toMinute(iso))).toBe(iso);
    expect(minuteOfDay('19:05')).toBe(1145);
    expect(momentText(toMinute('2026-11-25T19:05:00Z'), toMinute('2026-11-25T08:00:00Z'), 'UTC')).toBe('19:05');
    expect(momentText(toMinute('2026-11-26T19:05:00Z'), toMinute('2026-11-25T08:00:00Z'), 'UTC')).toBe('Thu 26 Nov 19:05');
    expect(clockText(toMinute('2026-11-25T00:05:00Z'), 'UTC', 12)).toBe('12:05 am');
  });
});
