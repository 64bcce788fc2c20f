import { describe, expect, it } from 'vitest';
import { atLocal, clockText, durationText, formatMoney, formatQuantity, localMoment, parseQuantity, toMinute } from './index.ts';

const value = (text: string, dimension: Parameters<typeof parseQuantity>[1], unit: string) => {
  const parsed = parseQuantity(text, dimension, unit);
  return parsed.ok ? parsed.value : parsed.mend;
};

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
});
