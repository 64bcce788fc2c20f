import { FORMULA_LIKE, withoutGuard } from '#core/units/index';
import Papa from 'papaparse';

/** Tables for a spreadsheet, both ways: what every table of the workshop has in common. */

/** More rows than this are no list of a hobby. */
const MOST_ROWS = 20_000;

export type WrongLine = {
  /** As a person counts them in the file, the heading being the first. */
  readonly line: number;
  readonly why: string;
};

export function tableText<C extends string>(rows: readonly Readonly<Record<C, string | number>>[], columns: readonly C[]): string {
  return Papa.unparse([...rows], { columns: [...columns], escapeFormulae: FORMULA_LIKE });
}

/**
 * Reads a table however a spreadsheet wrote it: commas or semicolons between, a byte-order mark. Good rows and wrong ones by line.
 * @param read what a row says, or in words what is wrong with it
 * @throws RangeError where it is no such table: a column that is needed is missing, or there are too many rows
 */
export function readTable<C extends string, T>(
  text: string,
  needed: readonly C[],
  read: (row: Readonly<Partial<Record<C, string>>>) => T | string,
): { readonly rows: readonly T[]; readonly wrong: readonly WrongLine[] } {
  const { data, meta } = Papa.parse<Partial<Record<C, string>>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (own) => own.trim().toLowerCase(),
    transform: (own) => withoutGuard(own.trim()),
  });
  const missing = needed.filter((column) => !meta.fields?.includes(column));
  if (missing.length > 0) throw new RangeError(`The first line lacks ${missing.join(', ')}. Export the table once to see how it looks.`);
  if (data.length > MOST_ROWS) throw new RangeError(`The table has ${data.length} rows; at most ${MOST_ROWS} are read.`);
  const rows: T[] = [];
  const wrong: WrongLine[] = [];
  for (const [index, row] of data.entries()) {
    const answer = read(row);
    if (typeof answer === 'string') wrong.push({ line: index + 2, why: answer });
    else rows.push(answer);
  }
  return { rows, wrong };
}

/** Whatever is called so, large or small letters. */
export function named<T extends { readonly name: string }>(list: readonly T[], name: string): T | undefined {
  return list.find((own) => own.name.toLowerCase() === name.toLowerCase());
}
