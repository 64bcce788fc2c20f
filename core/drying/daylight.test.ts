import { describe, expect, it } from 'vitest';
import { darkHours, guessedPosition } from './daylight.ts';

const minute = (iso: string) => Date.parse(iso) / 60_000;
const NOW = minute('2026-12-01T12:00:00Z');

describe('where a time zone lies', () => {
  it.each([
    ['Europe/Lisbon', 48, 0],
    ['Europe/Berlin', 48, 15],
    ['America/New_York', 38, -75],
    ['Australia/Sydney', -33, 150],
    ['Asia/Kolkata', 30, 82.5],
    ['UTC', 40, 0],
  ])('%s', (zone, latitude, longitude) => expect(guessedPosition(zone, NOW)).toEqual({ latitude, longitude }));
});

describe('hours without daylight', () => {
  const hoursOfLight = (date: string, latitude: number) =>
    darkHours(minute(`${date}T00:00:00Z`), 24, { latitude, longitude: 0 }).filter((dark) => !dark).length;
  it('are most of a winter day in the north and few of a summer one', () => {
    expect(hoursOfLight('2026-12-21', 52)).toBeLessThan(8);
    expect(hoursOfLight('2026-06-21', 52)).toBeGreaterThan(14);
  });
  it('turn round south of the equator', () => {
    expect(hoursOfLight('2026-12-21', -33)).toBeGreaterThan(12);
    expect(hoursOfLight('2026-06-21', -33)).toBeLessThan(10);
  });
  it('are all of them in the polar night, none in the polar day', () => {
    expect(hoursOfLight('2026-12-21', 75)).toBe(0);
    expect(hoursOfLight('2026-06-21', 75)).toBe(24);
  });
  it('hold midnight, never noon', () => {
    const dark = darkHours(minute('2026-03-20T00:00:00Z'), 24, { latitude: 45, longitude: 0 });
    expect([dark[0], dark[12], dark[23]]).toEqual([true, false, true]);
  });
});
