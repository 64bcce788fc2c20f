import { describe, expect, it } from 'vitest';
import { withFreeHour } from './index.ts';

const at = (weekday: number, from: string, to: string) => ({ weekday, from, to });
const week = [at(1, '19:00', '21:30'), at(4, '19:00', '21:30')];

describe('one stretch more of the week', () => {
  it('is kept once, however often it is added', () => {
    expect(withFreeHour(week, at(1, '19:00', '21:30'))).toBe(week);
    expect(withFreeHour(week, at(4, '19:30', '20:00'))).toBe(week);
  });
  it('becomes one with what it overlaps or meets, on its own day alone', () => {
    expect(withFreeHour(week, at(1, '21:30', '22:15'))).toEqual([at(1, '19:00', '22:15'), week[1]]);
    expect(withFreeHour(week, at(1, '18:00', '22:00'))).toEqual([at(1, '18:00', '22:00'), week[1]]);
    const split = [at(1, '07:00', '08:00'), ...week];
    expect(withFreeHour(split, at(1, '07:30', '19:30'))).toEqual([at(1, '07:00', '21:30'), week[1]]);
  });
  it('stands by itself in its place where it meets none', () => {
    expect(withFreeHour(week, at(2, '19:00', '21:30'))).toEqual([week[0], at(2, '19:00', '21:30'), week[1]]);
    expect(withFreeHour(week, at(1, '06:00', '07:00'))[0]).toEqual(at(1, '06:00', '07:00'));
  });
});
