import { loadPalette } from 'anypalette';
import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chartAsCsv, chartAsGpl, colourDifference, hexOf, labOf, readChart } from '../index.ts';

/** Charts go out and come in again, and another program's parser reads what was written. */

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const name = fc.stringMatching(/^[A-Za-z][A-Za-z0-9 ,;"'éø-]{0,30}[a-z]$/).map((text) => text.replace(/\s+/g, ' '));
const chart = fc.record({
  name,
  colours: fc.array(
    fc
      .record({ name, lab: hex.map(labOf) })
      .filter(({ lab }) => readChart(`name,l,a,b\nx,${lab.l},${lab.a},${lab.b}`).colours.length === 1),
    { minLength: 1, maxLength: 12 },
  ),
});

type Named = { readonly red: number; readonly green: number; readonly blue: number; readonly name?: string };

const anotherReadsGpl = (text: string): Promise<Named[]> =>
  new Promise((resolve, reject) => {
    loadPalette({ data: text, fileName: 'chart.gpl', fileExt: 'gpl' }, (error, palette) => (error ? reject(error) : resolve([...palette])));
  });

describe('a chart', () => {
  it.each(['=HYPERLINK("x")', '@SUM(A1)', '+cmd', '-cmd', '\t=1'])(
    'carry no formula into a spreadsheet, and give %j back as it was',
    (formula) => {
      const text = chartAsCsv({ colours: [{ name: formula.trim(), lab: labOf('#1d4b78') }] });
      const [cell] = parse(text, { columns: true }).map((row) => (row as { name: string }).name);
      expect(cell).toBe(`'${formula.trim()}`);
      expect(readChart(text).colours[0].name).toBe(formula.trim());
    },
  );
  it('as GPL is read by another parser, and back here', async () => {
    await fc.assert(
      fc.asyncProperty(chart, async (own) => {
        const text = chartAsGpl(own);
        const other = await anotherReadsGpl(text);
        expect(other.map((colour) => colour.name)).toEqual(own.colours.map((colour) => colour.name));
        expect(other.map(({ red, green, blue }) => [red, green, blue].map((share) => Math.round(share * 255)))).toEqual(
          own.colours.map(({ lab }) => [1, 3, 5].map((at) => Number.parseInt(hexOf(lab).slice(at, at + 2), 16))),
        );
        const back = readChart(text);
        expect(back).toMatchObject({ name: own.name, problems: [] });
        for (const [at, colour] of back.colours.entries()) {
          expect(colour.name).toBe(own.colours[at].name);
          expect(colourDifference(colour.lab, own.colours[at].lab)).toBeLessThan(0.5);
        }
      }),
      { seed: 12, numRuns: 60 },
    );
  });
  it('as CSV is read by another parser, and back here', () => {
    fc.assert(
      fc.property(chart, (own) => {
        const text = chartAsCsv(own);
        const rows: Record<string, string>[] = parse(text, { columns: true });
        expect(rows.map((row) => row.name)).toEqual(own.colours.map((colour) => colour.name));
        expect(rows.map((row) => row.hex)).toEqual(own.colours.map(({ lab }) => hexOf(lab)));
        for (const [at, row] of rows.entries()) expect(Number(row.l)).toBeCloseTo(own.colours[at].lab.l, 1);
        const back = readChart(text.replaceAll(/,#[0-9a-f]{6}/g, ',').replace(',hex', ',other'));
        expect(back.problems).toEqual([]);
        for (const [at, colour] of back.colours.entries()) expect(colourDifference(colour.lab, own.colours[at].lab)).toBeLessThan(0.1);
      }),
      { seed: 13, numRuns: 60 },
    );
  });
  it('with junk in it keeps what is good and says which line is not', () => {
    const gpl = '\uFEFFGIMP Palette\r\nName: Old fleet\r\n# by hand\r\n230 220 192 hull cream\r\n300 0 0 too much\r\nred\r\n12 13 14\r\n';
    expect(readChart(gpl)).toMatchObject({
      name: 'Old fleet',
      colours: [{ name: 'hull cream' }, { name: '#0c0d0e' }],
      problems: [{ line: 5 }, { line: 6 }],
    });
    const csv = 'Name;Hex;L;a;b\nHull cream;;88,5;0,3;14\nNothing;;;;\nGrey;#96969\nBlue;#1d4b78;;;\nGlow;;50;120;120\n';
    const read = readChart(csv);
    expect(read.colours.map((colour) => colour.name)).toEqual(['Hull cream', 'Blue']);
    expect(read.colours[0].lab).toEqual({ l: 88.5, a: 0.3, b: 14 });
    expect(read.problems.map(({ line }) => line)).toEqual([3, 4, 6]);
    expect(read.problems[2].mend).toContain('No paint can look like');
    expect(readChart('').colours).toEqual([]);
    expect(readChart('<html>').colours).toEqual([]);
  });
});
