import { type Label, type Problem, problemOf, type Sheet, sheetSchema } from '#core/facts/index';
import { FORMULA_LIKE, withoutGuard } from '#core/units/index';
import Papa from 'papaparse';

/** Product sheets as CSV both ways: one row a sheet, label figures in their own columns, empty where the label is silent. */

const HEAD = ['id', 'name', 'family', 'role', 'hand', 'form', 'thinner', 'forPlastics', 'isocyanate'] as const;
const FIGURES = [
  'touchMin',
  'coatFromMin',
  'coatUntilMin',
  'layerFromMin',
  'layerUntilMin',
  'clearFromMin',
  'clearUntilMin',
  'againMin',
  'flatMin',
  'tapeSafeMin',
  'handleMin',
  'fitMin',
  'cureMin',
  'filmUm',
  'solids',
  'minC',
  'maxC',
  'maxRh',
  'gloss',
  'potLifeMin',
  'inductionMin',
  'heatC',
] as const;

/** What a label says in more than one figure: each as its own column, families one after the other. */
const SAYINGS = [
  'pattern',
  'afterwards',
  'thinningLeast',
  'thinningUsual',
  'thinningMost',
  'hardenerParts',
  'hardenerLeast',
  'hardenerMost',
  'hardenerGloss',
  'over',
  'notOver',
] as const;

type Cells = Readonly<Record<string, string | number>>;

function sayingsOf({ pattern, afterwards, thinning, hardener, over, notOver }: Label): Cells {
  return {
    pattern: pattern ?? '',
    afterwards: afterwards ?? '',
    thinningLeast: thinning?.least ?? '',
    thinningUsual: thinning?.usual ?? '',
    thinningMost: thinning?.most ?? '',
    hardenerParts: hardener?.parts ?? '',
    hardenerLeast: hardener?.least ?? '',
    hardenerMost: hardener?.most ?? '',
    hardenerGloss: hardener?.glossAtMost ?? '',
    over: over?.join(' ') ?? '',
    notOver: notOver?.join(' ') ?? '',
  };
}

function cellsOf(sheet: Sheet): Cells {
  return {
    ...Object.fromEntries(HEAD.map((key) => [key, String(sheet[key] ?? '')])),
    ...Object.fromEntries(FIGURES.map((key) => [key, sheet.label[key] ?? ''])),
    ...sayingsOf(sheet.label),
  };
}

/** A cell that a spreadsheet would take for a formula begins with an apostrophe, which reading takes off again. */
export function sheetsToCsv(sheets: readonly Sheet[]): string {
  return Papa.unparse(sheets.map(cellsOf), { columns: [...HEAD, ...FIGURES, ...SAYINGS], escapeFormulae: FORMULA_LIKE });
}

export type SheetsRead = { readonly ok: true; readonly sheets: readonly Sheet[] } | { readonly ok: false; readonly problem: Problem };

/** Reads sheets back; the first bad row refuses the file with its line. Columns the file does not have stay as `known` has them. */
export function sheetsFromCsv(text: string, known: readonly Sheet[], newId: () => string): SheetsRead {
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true });
  const missing = (['name', 'family', 'role', 'hand'] as const).filter((column) => !meta.fields?.includes(column));
  if (missing.length > 0)
    return {
      ok: false,
      problem: {
        error: `The file lacks the column ${missing[0]}`,
        at: 'line 1',
        mend: `Its first line names the columns ${HEAD.join(', ')} and label figures.`,
      },
    };
  const sheets: Sheet[] = [];
  for (const [index, row] of data.entries()) {
    const before = known.find((sheet) => sheet.id === row.id);
    const read = sheetSchema.safeParse(rowAsSheet(row, before, newId));
    if (!read.success) {
      const problem = problemOf(read.error);
      return { ok: false, problem: { ...problem, at: `line ${index + 2}, ${problem.at.replace(/^label\./, '')}` } };
    }
    sheets.push(read.data);
  }
  return { ok: true, sheets };
}

/** A row as a sheet, not yet checked; an empty cell says nothing. */
function rowAsSheet(row: Record<string, string>, before: Sheet | undefined, newId: () => string): unknown {
  const cells = before ? { ...cellsOf(before), ...row } : row;
  const text = (key: string) => withoutGuard(String(cells[key] ?? '').trim()) || undefined;
  const number = (key: string) => {
    const value = text(key);
    return value === undefined ? undefined : Number(value.replace(',', '.'));
  };
  const yes = (key: string) => /^(true|yes|1)$/i.test(text(key) ?? '');
  const families = (key: string) => text(key)?.split(/[\s;,]+/);
  const label = said({
    ...Object.fromEntries(FIGURES.map((key) => [key, number(key)])),
    pattern: text('pattern'),
    afterwards: text('afterwards'),
    thinning: ratios({ least: number('thinningLeast'), usual: number('thinningUsual'), most: number('thinningMost') }),
    hardener: ratios({
      parts: number('hardenerParts'),
      least: number('hardenerLeast'),
      most: number('hardenerMost'),
      glossAtMost: number('hardenerGloss'),
    }),
    over: families('over'),
    notOver: families('notOver'),
  });
  return said({
    id: text('id') ?? newId(),
    name: text('name'),
    family: text('family'),
    role: text('role'),
    hand: text('hand'),
    form: text('form'),
    thinner: text('thinner'),
    forPlastics: yes('forPlastics'),
    isocyanate: yes('isocyanate'),
    label,
    source: Object.keys(label).length > 0 ? 'label' : (before?.source ?? 'default'),
  });
}

/** Only what was said. */
function said(fields: Readonly<Record<string, unknown>>): Record<string, unknown> {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
}

function ratios(parts: Readonly<Record<string, number | undefined>>): Record<string, unknown> | undefined {
  const own = said(parts);
  return Object.keys(own).length > 0 ? own : undefined;
}
