import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

/** A citation in code or in a document leads to a section, a rule or a file that is there. */

const root = new URL('..', import.meta.url).pathname;
const book = readFileSync(new URL('./trade.md', import.meta.url), 'utf8');

/** The numbered sections of the book of the trade, each with its text. */
const sections = new Map(
  book
    .split(/^## /m)
    .slice(1)
    .map((text) => [Number.parseInt(text, 10), text] as const),
);

const CITED = /§ ?(\d+)(?:, rules? (\d+))?/g;
/** What stands before a section that is the book's: the word, or the word with the sections before it. */
const OF_THE_BOOK = /\btrade (?:§\d+(?:, rules? \d+)?(?:,? |, of |, and | and | or ))*(?:of )?$/;
const PATH = /\b(?:core|server|web|docs|demo|bin|solver|speed|e2e)\/[\w./-]*\w\.(?:tsx?|md|json|mjs|sql|png)\b/g;

/** What a text cites that is not there. */
function leadsNowhere(file: string, text: string): string[] {
  const sectionsMissing = [...text.matchAll(CITED)].flatMap((match) => {
    const [cited, number, rule] = match;
    if (file !== 'docs/trade.md' && !OF_THE_BOOK.test(text.slice(Math.max(0, match.index - 80), match.index)))
      return [`${file}: ${cited} names no document of ours`];
    const section = sections.get(Number(number));
    if (section === undefined) return [`${file}: ${cited} is no section of docs/trade.md`];
    return rule && !new RegExp(`^ *${rule}\\. `, 'm').test(section) ? [`${file}: ${cited} is no rule there`] : [];
  });
  const pathsMissing = file.endsWith('.test.ts')
    ? []
    : [...text.matchAll(PATH)].filter(([path]) => !existsSync(root + path)).map(([path]) => `${file}: ${path} is no file`);
  return [...sectionsMissing, ...pathsMissing];
}

const sources = execFileSync('git', ['ls-files', '-co', '--exclude-standard', '*.ts', '*.tsx', '*.sql', 'docs/*.md', 'README.md'], {
  cwd: root,
  encoding: 'utf8',
})
  .split('\n')
  .filter((file) => file && existsSync(root + file) && file !== 'docs/trade.test.ts');

describe('what is cited', () => {
  it('is there', () => {
    expect(sources.length).toBeGreaterThan(500);
    expect(sources.flatMap((file) => leadsNowhere(file, readFileSync(root + file, 'utf8')))).toEqual([]);
  });

  it('numbers the sections of the book without a gap', () => {
    expect([...sections.keys()]).toEqual(Array.from({ length: 17 }, (_, at) => at + 1));
  });

  it('is missed where it is not there', () => {
    expect(leadsNowhere('x.ts', 'the wait (trade §6, rule 3)')).toEqual([]);
    expect(leadsNowhere('x.ts', 'the wait (trade §6, rule 12)')).toHaveLength(1);
    expect(leadsNowhere('x.ts', 'the wait (trade §18)')).toHaveLength(1);
    expect(leadsNowhere('x.ts', 'the wait (BRIEF §6)')).toHaveLength(1);
    expect(leadsNowhere('x.ts', 'as core/plan/nowhere.ts does')).toHaveLength(1);
  });
});
