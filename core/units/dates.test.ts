import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, clockFigures, dateFigures, parseClock, parseDate } from './index.ts';

describe('a typed date', () => {
  it.each([
    ['24.12.2026', 'day-first', '2026-12-24'],
    ['24/12/26', 'day-first', '2026-12-24'],
    ['12/24/2026', 'month-first', '2026-12-24'],
    ['3.4.2026', 'day-first', '2026-04-03'],
    ['3/4/2026', 'month-first', '2026-03-04'],
    ['2026-04-03', 'month-first', '2026-04-03'],
    ['2026-04-03', 'day-first', '2026-04-03'],
    ['24 Dec', 'day-first', '2026-12-24'],
    ['december 24, 2027', 'day-first', '2027-12-24'],
    ['3.1.', 'day-first', '2027-01-03'],
    ['29.2.2028', 'day-first', '2028-02-29'],
  ] as const)('%s, %s', (text, order, date) => {
    expect(parseDate(text, order, '2026-11-26')).toBe(date);
  });
  it.each(['', '31.2.2026', '24', 'soon', '24.13.2026', '0.1.2026', '1.2.3.4', '24 Smarch', '-', '24.12.2026; drop', '2026'])(
    '%j is none',
    (text) => {
      expect(parseDate(text, 'day-first', '2026-11-26')).toBeNull();
    },
  );
  it('reads back what is written in figures, in either order', () => {
    fc.assert(
      fc.property(fc.integer({ min: -9000, max: 40_000 }), fc.constantFrom('day-first' as const, 'month-first' as const), (days, order) => {
        const date = addDays('2026-11-26', days);
        expect(parseDate(dateFigures(date, order), order, '2026-11-26')).toBe(date);
      }),
      { seed: 4, numRuns: 300 },
    );
  });
});

describe('a typed hour', () => {
  it.each([
    ['19:30', '19:30'],
    ['7.30 pm', '19:30'],
    ['7:30PM', '19:30'],
    ['1930', '19:30'],
    ['12 am', '00:00'],
    ['12:05 pm', '12:05'],
    ['7', '07:00'],
    ['0:05', '00:05'],
    ['25:00', null],
    ['13 pm', null],
    ['0 am', null],
    ['12:60', null],
    ['noon', null],
    ['', null],
  ])('%s', (text, clock) => {
    expect(parseClock(text)).toBe(clock);
  });
  it('reads back what it writes, by either clock', () => {
    for (let minute = 0; minute < 1440; minute++) {
      const clock = `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
      for (const hours of [12, 24] as const) expect(parseClock(clockFigures(clock, hours))).toBe(clock);
    }
  });
});
