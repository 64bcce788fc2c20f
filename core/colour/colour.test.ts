import { describe, expect, it } from 'vitest';
import { colourDifference, colourWord, contrastOf, hexOf, hidingShare, labOf, readColour } from './index.ts';

describe('colour', () => {
  it('goes to Lab and back', () => {
    for (const hex of ['#1d4b78', '#e6dcc0', '#c23a2a', '#26282a', '#f4f4f0']) expect(hexOf(labOf(hex))).toBe(hex);
    expect(labOf('#ffffff').l).toBeCloseTo(100, 1);
    expect(() => labOf('tartan')).toThrow(RangeError);
  });
  it('measures contrast by lightness or a quarter of the chroma distance', () => {
    expect(contrastOf({ l: 95, a: 0, b: 0 }, { l: 15, a: 0, b: 0 })).toBeCloseTo(0.8);
    expect(contrastOf({ l: 50, a: 0, b: 0 }, { l: 50, a: 60, b: 80 })).toBeCloseTo(0.25);
    expect(colourDifference(labOf('#1d4b78'), labOf('#1d4b78'))).toBe(0);
  });
  it('names plain colours and knows how well they hide', () => {
    const cases: readonly (readonly [string, string, number])[] = [
      ['#1e1f20', 'black', 0.1],
      ['#969696', 'grey', 0.2],
      ['#f4f4f0', 'white', 0.4],
      ['#e6dcc0', 'cream', 0.35],
      ['#1d4b78', 'blue', 0.3],
      ['#2c6b3a', 'green', 0.25],
      ['#c23a2a', 'red', 0.5],
      ['#e8b820', 'yellow', 0.6],
      ['#d8702a', 'orange', 0.6],
      ['#6b4a30', 'brown', 0.2],
    ];
    for (const [hex, word, share] of cases) expect([hex, colourWord(labOf(hex)), hidingShare(labOf(hex))]).toEqual([hex, word, share]);
  });
  it.each([
    ['#e6dcc0', labOf('#e6dcc0')],
    ['E6DCC0', labOf('#e6dcc0')],
    ['#fff', labOf('#ffffff')],
    ['88; 0,5; 14', { l: 88, a: 0.5, b: 14 }],
    ['L 88 a -2 b 14.5', { l: 88, a: -2, b: 14.5 }],
  ])('reads %s as it is typed', (text, lab) => {
    expect(readColour(text)).toEqual({ ok: true, lab });
  });
  it.each([
    ['#e6dcc00', /three or six digits/],
    ['#ggg', /three or six digits/],
    ['tartan', /hex colour/],
    ['12 13', /hex colour/],
    ['120 0 0', /L goes from 0/],
    ['50 120 120', /No paint can look like/],
    ['', /hex colour/],
  ])('says what is wrong with “%s”', (text, mend) => {
    expect(readColour(text)).toMatchObject({ ok: false, mend: expect.stringMatching(mend) });
  });
});
