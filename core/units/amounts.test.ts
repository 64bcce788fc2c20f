import { describe, expect, it } from 'vitest';
import { parseAmount } from './index.ts';

const value = (text: string, unit: string) => {
  const read = parseAmount(text, unit);
  return read.ok ? Math.round(read.value * 1000) / 1000 : read.mend;
};

describe('an amount in the unit it is kept in', () => {
  it.each([
    ['60', 'mL', 60],
    ['0,25 L', 'mL', 250],
    ['2 oz', 'mL', 59.147],
    ['1.5 kg', 'g', 1500],
    ['350 cm', 'm', 3.5],
    ['2,75', 'm', 2.75],
    ['¾', 'sheet', 0.75],
    ['3 sheets', 'sheet', 3],
    ['1 1/2 sheet', 'sheet', 1.5],
    ['2 pairs', 'pair', 2],
  ] as const)('reads %s of %s as %s', (text, unit, wanted) => expect(value(text, unit)).toBe(wanted));
  it.each([
    ['60 g', 'mL', '"g" is no unit of volume here'],
    ['12 mL', 'g', '"mL" is no unit of mass here'],
    ['4 sheets', 'm', 'is no unit of length here'],
    ['3 m', 'sheet', 'It is counted by the sheet here, not in “m”'],
    ['some', 'piece', 'Type a number, such as 4 or 4 piece'],
    ['', 'mL', 'Type a number, such as 400 mL'],
  ] as const)('refuses %s of %s and says why', (text, unit, why) => expect(value(text, unit)).toContain(why));
});
