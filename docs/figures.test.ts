import { existsSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

/** The table of figures says what is so: each function is there, and each place that shows its figure takes it from there. */

const root = new URL('../', import.meta.url);
const read = (file: string) => readFileSync(new URL(file, root), 'utf8');
const [, after] = read('docs/model.md').split('## One figure, one function');
const quoted = (cell: string) => [...cell.matchAll(/`([^`]+)`/g)].map(([, text]) => text);
const rows = after
  .split('\n')
  .filter((line) => line.startsWith('| ') && !/^\| (Figure|-)/.test(line))
  .map((line) => {
    const [, figure, made, as, shown] = line.split('|').map((cell) => cell.trim());
    const [name, file] = quoted(made);
    return { figure, name, file, as: quoted(as)[0], shown: quoted(shown) };
  });

describe('the figures of the table', () => {
  it('are many, each once', () => {
    expect(rows.length).toBeGreaterThan(20);
    expect(new Set(rows.map(({ figure }) => figure)).size).toBe(rows.length);
  });
  it.each(rows)('$figure comes from $name', ({ name, file, as, shown }) => {
    expect(read(file)).toMatch(new RegExp(`export function ${name}\\b`));
    expect(shown.length).toBeGreaterThan(0);
    for (const place of shown) {
      expect(existsSync(new URL(place, root)), place).toBe(true);
      expect(read(place), `${place} shows ${as}`).toMatch(new RegExp(`\\b${as}`, 'i'));
    }
  });
});
