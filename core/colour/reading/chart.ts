import type { Chart, Lab } from '#core/facts/index';
import { FORMULA_LIKE, withoutGuard } from '#core/units/index';
import Papa from 'papaparse';
import { readColour } from './reading.ts';
import { hexOf, labOf } from '../spaces.ts';

/** Charts of colours as files: GPL, the palette text that drawing programs share, and CSV with name and L a b or hex. */

export type ChartColour = Chart['colours'][number];
export type LineProblem = { readonly line: number; readonly mend: string };
export type ReadChart = {
  readonly name: string | null;
  readonly colours: readonly ChartColour[];
  readonly problems: readonly LineProblem[];
};

const GPL_HEAD = 'GIMP Palette';
const LONGEST_NAME = 80;

/** Reads either; good lines are kept, bad ones said by their number. An empty list of colours: nothing in it could be read. */
export function readChart(text: string): ReadChart {
  const plain = text.replace(/^\uFEFF/, '');
  return plain.trimStart().startsWith(GPL_HEAD) ? readGpl(plain) : readCsv(plain);
}

function readGpl(text: string): ReadChart {
  const colours: ChartColour[] = [];
  const problems: LineProblem[] = [];
  let name: string | null = null;
  for (const [index, raw] of text.split(/\r?\n/).entries()) {
    const line = raw.trim();
    const named = /^Name:\s*(.+)$/.exec(line);
    if (named) name = named[1].slice(0, LONGEST_NAME);
    if (line === '' || line === GPL_HEAD || line.startsWith('#') || /^(Name|Columns):/.test(line)) continue;
    const found = /^(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/.exec(line);
    const rgb = found?.slice(1, 4).map(Number) ?? [];
    if (!found || rgb.some((value) => value > 255)) {
      problems.push({ line: index + 1, mend: 'A colour reads like “230 220 192 hull cream”, each number 0 to 255.' });
      continue;
    }
    const hex = `#${rgb.map((value) => value.toString(16).padStart(2, '0')).join('')}`;
    colours.push({ name: nameOr(found[4], hex), lab: labOf(hex) });
  }
  return { name, colours, problems };
}

/** A head names the columns: name, and hex or l, a and b. Semicolons and decimal commas are read too. */
function readCsv(text: string): ReadChart {
  const { data, errors } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head) => head.trim().toLowerCase(),
  });
  const problems: LineProblem[] = errors
    .filter(({ type }) => type === 'Quotes')
    .map(({ row, message }) => ({ line: (row ?? 0) + 2, mend: `${message}.` }));
  const colours = data.flatMap((row, index): ChartColour[] => {
    const typed = row.hex?.trim() || [row.l, row.a, row.b].map((value) => value?.trim() ?? '').join('; ');
    const answer = readColour(typed);
    if (answer.ok) return [{ name: nameOr(row.name && withoutGuard(row.name.trim()), hexOf(answer.lab)), lab: answer.lab }];
    problems.push({ line: index + 2, mend: answer.mend });
    return [];
  });
  return { name: null, colours, problems };
}

function nameOr(name: string | undefined, otherwise: string): string {
  return name?.trim().slice(0, LONGEST_NAME) || otherwise;
}

/** @returns text that readChart gives back to within a rounding of the screen's colours */
export function chartAsGpl({ name, colours }: Pick<Chart, 'name' | 'colours'>): string {
  const rows = colours.map((own) => {
    const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(hexOf(own.lab).slice(at, at + 2), 16));
    return `${[r, g, b].map((value) => String(value).padStart(3)).join(' ')}\t${oneLine(own.name)}`;
  });
  return [GPL_HEAD, `Name: ${oneLine(name)}`, 'Columns: 8', '#', ...rows, ''].join('\n');
}

/** With the Lab itself, which no screen rounds. */
export function chartAsCsv({ colours }: Pick<Chart, 'colours'>): string {
  const table = {
    fields: ['name', 'l', 'a', 'b', 'hex'],
    data: colours.map(({ name, lab }) => [name, ...figures(lab), hexOf(lab)]),
  };
  return `${Papa.unparse(table, { escapeFormulae: FORMULA_LIKE })}\r\n`;
}

function figures({ l, a, b }: Lab): string[] {
  return [l, a, b].map((value) => String(Math.round(value * 100) / 100));
}

function oneLine(text: string): string {
  return text.replace(/\s+/g, ' ').trim();
}
