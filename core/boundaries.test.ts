import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { describe, expect, it } from 'vitest';
import { LAYERS, ROOMS } from './boundaries.ts';

const root = new URL('.', import.meta.url).pathname;
const project = join(root, '..');

const SOURCES = ['core', 'server', 'web', 'demo', 'bin', 'docs', 'speed', 'solver', 'e2e'];
const MOST_FILES = 20;

type Source = { readonly file: string; readonly text: string };

/** Every source file below a folder, by its path from the project; tests left out. */
function sourcesIn(folder: string): Source[] {
  return readdirSync(join(project, folder), { withFileTypes: true }).flatMap((entry) => {
    const file = `${folder}/${entry.name}`;
    if (entry.isDirectory()) return sourcesIn(file);
    return /\.tsx?$/.test(entry.name) && !entry.name.includes('.test.') ? [{ file, text: readFileSync(join(project, file), 'utf8') }] : [];
  });
}

function targetsOf(text: string): string[] {
  return [...text.matchAll(/(?:from|import)\s*\(?\s*'([^']+)'/g)].map(([, target]) => target);
}

/** The room of core/plan a file stands in; null outside it, where the public index may open every room. */
function roomOf(file: string): string | null {
  const [, folder, ...rest] = file.split('/');
  if (folder !== 'plan' || rest.join('/') === 'index.ts') return null;
  return rest.length > 1 ? rest[0] : '.';
}

function violations({ file, text }: Source): string[] {
  const folder = file.split('/')[1];
  const own = LAYERS.findIndex((layer) => layer.includes(folder));
  const found = targetsOf(text).flatMap((target) => {
    const inside = /^#core\/([a-z]+)\/(.+)$/.exec(target);
    if (inside) {
      const other = LAYERS.findIndex((layer) => layer.includes(inside[1]));
      if (inside[2] !== 'index') return [`${file} reaches inside ${target}`];
      return other >= own ? [`${file} imports upwards: ${target}`] : [];
    }
    if (target.startsWith('.')) return withinFolder(file, target);
    return target.startsWith('#server') || target.startsWith('node:') ? [`${file} leaves core: ${target}`] : [];
  });
  if (/\bDate\.now\(|new Date\(\)|Math\.random\(|\bdocument\.|\bprocess\./.test(text))
    found.push(`${file} has a clock, chance or the outside world in it`);
  return found;
}

function withinFolder(file: string, target: string): string[] {
  const to = relative(project, join(project, dirname(file), target));
  if (to.split('/')[1] !== file.split('/')[1]) return [`${file} leaves its folder: ${target}`];
  const [from, room] = [roomOf(file), roomOf(to)];
  if (from === null || room === null || from === room) return [];
  if (room !== '.' && !to.endsWith('/index.ts')) return [`${file} reaches inside the room ${room}: ${target}`];
  return ROOMS.indexOf(room) > ROOMS.indexOf(from) ? [`${file} imports upwards: ${target}`] : [];
}

/** Files that import each other in a circle, each circle once as a chain of paths. */
function circles(sources: readonly Source[]): string[] {
  const files = new Map(sources.map((source) => [source.file, source]));
  const next = ({ file, text }: Source): string[] =>
    targetsOf(text)
      .map((target) =>
        target.startsWith('.')
          ? relative(project, join(project, dirname(file), target))
          : target.startsWith('#')
            ? `${target.slice(1)}.ts`
            : '',
      )
      .filter((to) => files.has(to));
  const found: string[] = [];
  const settled = new Set<string>();
  const visit = (file: string, path: readonly string[]): void => {
    const at = path.indexOf(file);
    if (at >= 0) {
      found.push([...path.slice(at), file].join(' > '));
      return;
    }
    if (settled.has(file)) return;
    for (const to of next(files.get(file) as Source)) visit(to, [...path, file]);
    settled.add(file);
  };
  for (const file of files.keys()) visit(file, []);
  return found;
}

/** Folders with more files than a person takes in at one look, each with its count. */
function crowded(files: readonly string[]): string[] {
  const counts = new Map<string, number>();
  for (const file of files) counts.set(dirname(file), (counts.get(dirname(file)) ?? 0) + 1);
  return [...counts].filter(([, count]) => count > MOST_FILES).map(([folder, count]) => `${folder} holds ${count}`);
}

const core = sourcesIn('core').filter(({ file }) => file.split('/').length > 2);

describe('boundaries of core', () => {
  it('names every folder and every room', () => {
    const folders = (path: string) =>
      readdirSync(path, { withFileTypes: true })
        .filter((entry) => entry.isDirectory())
        .map((entry) => entry.name);
    expect(folders(root).filter((folder) => !LAYERS.flat().includes(folder))).toEqual([]);
    expect(folders(join(root, 'plan')).filter((room) => !ROOMS.includes(room))).toEqual([]);
    for (const folder of LAYERS.flat()) expect(existsSync(join(root, folder, 'index.ts'))).toBe(true);
  });

  it('imports only downwards, through index files, and keeps the world out', () => {
    expect(core.flatMap(violations)).toEqual([]);
  });

  it('has no files that import each other in a circle', () => {
    expect(circles(SOURCES.flatMap(sourcesIn))).toEqual([]);
  });

  it('keeps every folder to twenty files beside its tests', () => {
    expect(crowded(SOURCES.flatMap(sourcesIn).map(({ file }) => file))).toEqual([]);
  });

  it('notices planted violations', () => {
    const planted = (file: string, text: string) => violations({ file, text });
    expect(planted('core/units/planted.ts', "import { plan } from '#core/plan/index';")).toHaveLength(1);
    expect(planted('core/plan/planted.ts', "import { x } from '#core/units/quantities';")).toHaveLength(1);
    expect(planted('core/plan/planted.ts', 'const now = Date.now();')).toHaveLength(1);
    expect(planted('core/plan/films/planted.ts', "import { x } from '../steps/index.ts';")).toHaveLength(1);
    expect(planted('core/plan/steps/planted.ts', "import { x } from '../films/history.ts';")).toHaveLength(1);
    expect(planted('core/plan/steps/planted.ts', "import { x } from '../films/index.ts';")).toEqual([]);
  });

  it('notices a planted circle', () => {
    const a = { file: 'core/units/a.ts', text: "import { b } from './b.ts';" };
    const b = { file: 'core/units/b.ts', text: "import type { A } from './a.ts';" };
    expect(circles([a, b])).toEqual(['core/units/a.ts > core/units/b.ts > core/units/a.ts']);
    expect(circles([a, { ...b, text: '' }])).toEqual([]);
  });

  it('notices a planted crowd', () => {
    const files = (count: number) => Array.from({ length: count }, (_, at) => `core/units/file${at}.ts`);
    expect(crowded(files(MOST_FILES))).toEqual([]);
    expect(crowded(files(MOST_FILES + 1))).toEqual(['core/units holds 21']);
  });
});
