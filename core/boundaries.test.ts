import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { LAYERS } from './boundaries.ts';

const root = new URL('.', import.meta.url).pathname;

function violations(folder: string, file: string, text: string): string[] {
  const own = LAYERS.findIndex((layer) => layer.includes(folder));
  const found: string[] = [];
  for (const [, target] of text.matchAll(/from '([^']+)'/g)) {
    const inside = /^#core\/([a-z]+)\/(.+)$/.exec(target);
    if (inside) {
      const other = LAYERS.findIndex((layer) => layer.includes(inside[1]));
      if (inside[2] !== 'index') found.push(`${file} reaches inside ${target}`);
      if (other >= own && inside[1] !== folder) found.push(`${file} imports upwards: ${target}`);
    } else if (target.startsWith('../') || target.startsWith('#server') || target.startsWith('node:'))
      found.push(`${file} leaves core: ${target}`);
  }
  if (/\bDate\.now\(|new Date\(\)|Math\.random\(|\bdocument\.|\bprocess\./.test(text))
    found.push(`${file} has a clock, chance or the outside world in it`);
  return found;
}

describe('boundaries of core', () => {
  it('names every folder', () => {
    const folders = readdirSync(root, { withFileTypes: true })
      .filter((entry) => entry.isDirectory())
      .map((entry) => entry.name);
    expect(folders.filter((folder) => !LAYERS.flat().includes(folder))).toEqual([]);
  });

  it('imports only downwards, through index files, and keeps the world out', () => {
    const found = LAYERS.flat().flatMap((folder) =>
      readdirSync(join(root, folder))
        .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
        .flatMap((file) => violations(folder, `${folder}/${file}`, readFileSync(join(root, folder, file), 'utf8'))),
    );
    expect(found).toEqual([]);
  });

  it('notices a planted violation', () => {
    expect(violations('units', 'units/planted.ts', "import { plan } from '#core/plan/index';")).toHaveLength(1);
    expect(violations('plan', 'plan/planted.ts', "import { x } from '#core/units/quantities';")).toHaveLength(1);
    expect(violations('plan', 'plan/planted.ts', 'const now = Date.now();')).toHaveLength(1);
  });
});
