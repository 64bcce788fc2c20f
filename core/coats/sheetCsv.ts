import { type Problem, problemOf, type Sheet, sheetSchema } from '#core/facts/index';
import Papa from 'papaparse';

/** Product sheets as CSV both ways: one row a sheet, label figures in their own columns, empty where the label is silent. */

const HEAD = ['id', 'name', 'family', 'role', 'hand', 'form', 'thinner', 'forPlastics', 'isocyanate'] as const;
const FIGURES = [
  'touchMin',
  'coatFromMin',
  'coatUntilMin',
  'layerFromMin',
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
] as const;

export function sheetsToCsv(sheets: readonly Sheet[]): string {
  const rows = sheets.map((sheet) => ({
    ...Object.fromEntries(HEAD.map((key) => [key, sheet[key] ?? ''])),
    ...Object.fromEntries(FIGURES.map((key) => [key, sheet.label[key] ?? ''])),
  }));
  return Papa.unparse(rows, { columns: [...HEAD, ...FIGURES] });
}

export type SheetsRead = { readonly ok: true; readonly sheets: readonly Sheet[] } | { readonly ok: false; readonly problem: Problem };

/** Reads sheets back; the first bad row refuses the file with its line. Figures the columns do not hold stay as `known` has them. */
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

function rowAsSheet(row: Record<string, string>, before: Sheet | undefined, newId: () => string): unknown {
  const text = (key: string) => row[key]?.trim() || undefined;
  const figures = Object.fromEntries(
    FIGURES.flatMap((key) => {
      const value = text(key);
      return value === undefined ? [] : [[key, Number(value.replace(',', '.'))]];
    }),
  );
  const kept = Object.fromEntries(Object.entries(before?.label ?? {}).filter(([key]) => !(FIGURES as readonly string[]).includes(key)));
  const yes = (key: string) => /^(true|yes|1)$/i.test(row[key] ?? '');
  return {
    id: text('id') ?? newId(),
    name: text('name'),
    family: text('family'),
    role: text('role'),
    hand: text('hand'),
    ...(text('form') ? { form: text('form') } : {}),
    ...(text('thinner') ? { thinner: text('thinner') } : {}),
    forPlastics: yes('forPlastics'),
    isocyanate: yes('isocyanate'),
    label: { ...kept, ...figures },
    source: Object.keys(figures).length > 0 ? 'label' : (before?.source ?? 'default'),
  };
}
