import { readFileSync, writeFileSync } from 'node:fs';
import { bareResistance, biteOf, filmOfCoat, filmResistance, glossOf } from '#core/coats/index';
import { type FamilyDrying, familyDrying } from '#core/drying/index';
import { BELOW_ONLY, FAMILIES, MATERIALS, plain } from '#core/facts/index';

/** The tables of docs/model.md, written from the data the code judges by: `npm run tables`. */

const BEGIN = '<!-- tables written by npm run tables: begin -->';
const END = '<!-- tables: end -->';
const target = new URL('./model.md', import.meta.url);

function table(head: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  const cells = [head, ...rows].map((row) => row.map(String));
  const widths = head.map((_, column) => Math.max(...cells.map((row) => row[column].length)));
  const line = (row: readonly string[]) => `| ${row.map((cell, column) => cell.padEnd(widths[column])).join(' | ')} |`;
  return [line(cells[0]), `| ${widths.map((width) => '-'.repeat(width)).join(' | ')} |`, ...cells.slice(1).map(line)].join('\n');
}

/** Hours as the trade says them; a dash for never. */
function time(hours: number | null): string {
  if (hours === null) return '–';
  if (hours < 1) return `${Math.round(hours * 60)} min`;
  return hours % 24 === 0 && hours >= 72 ? `${hours / 24} d` : `${Math.round(hours * 10) / 10} h`;
}

function againText({ again, scuffFrom }: FamilyDrying): string {
  if (again === null) return '–';
  if (again === 'scuff') return scuffFrom === null ? 'scuff' : `${time(scuffFrom)}, scuff`;
  return again === 'never' ? 'never' : time(again);
}

function dryingTable(): string {
  const rows = FAMILIES.map((family) => {
    const row = familyDrying(family);
    const window = `${time(row.coatFrom)} – ${row.coatUntil === null ? '' : time(row.coatUntil)}`.trim();
    const kind = row.early ? `${row.early}, then ${row.mechanism}` : row.mechanism;
    return [
      plain(family),
      kind,
      time(row.touch),
      window,
      time(row.layerFrom),
      againText(row),
      ...[row.flat, row.tape, row.handle, row.fit, row.cure].map(time),
      row.thinner,
    ];
  });
  return table(['family', 'dries by', 'touch', 'coat', 'layer', 'again', 'flat', 'tape', 'handle', 'fit', 'cure', 'thinned with'], rows);
}

function biteTable(): string {
  const paints = FAMILIES.map((family) => {
    const bite = family === 'alkyd-enamel' ? `${biteOf(family)} (aerosol ${biteOf(family, 'aerosol')})` : biteOf(family);
    const { filmUm, solids } = filmOfCoat(family, 'colour', 'gun');
    return [
      plain(family),
      bite,
      filmResistance(family, false),
      filmResistance(family, true),
      filmUm,
      solids,
      glossOf(family, 'colour').gloss,
    ];
  });
  const below = BELOW_ONLY.map((family) => [
    plain(family),
    '–',
    filmResistance(family, false),
    filmResistance(family, true),
    '–',
    '–',
    '–',
  ]);
  return table(['film', 'bite', 'resists dry', 'resists cured', 'µm a coat', 'solids', 'gloss'], [...paints, ...below]);
}

function bareTable(): string {
  return table(
    ['bare', 'resists'],
    MATERIALS.filter((material) => material !== 'unknown').map((material) => [plain(material), bareResistance(material)]),
  );
}

/** Everything between the marks. */
export function tablesText(): string {
  return [
    BEGIN,
    '',
    'Drying points at 20 °C and 50 %: touch and coat for one normal coat, the rest for two.',
    '',
    dryingTable(),
    '',
    'Bite of a coat against resistance of what it goes on: as much or less sits, one over is care, two over stops. Film and solids as sprayed by gun; aerosols of 2K, hobby acrylic and solvent base lay less (`core/coats/film.ts`).',
    '',
    biteTable(),
    '',
    bareTable(),
    '',
    END,
  ].join('\n');
}

function withTables(text: string): string {
  const [from, to] = [text.indexOf(BEGIN), text.indexOf(END)];
  if (from < 0 || to < from) throw new Error('docs/model.md has lost the marks of its tables.');
  return text.slice(0, from) + tablesText() + text.slice(to + END.length);
}

/** Whether the committed tables are the ones the code would write. */
export function tablesAreCurrent(): boolean {
  const text = readFileSync(target, 'utf8');
  return text === withTables(text);
}

if (process.argv[1]?.endsWith('writeTables.ts')) writeFileSync(target, withTables(readFileSync(target, 'utf8')));
