import type { Facts } from '#core/facts/index';

/** Grades of the papers in the drawer, coarsest first; undefined where none are listed: then any can be had. */
export function ownedGrits({ stock }: Pick<Facts, 'stock'>): number[] | undefined {
  const papers = stock.filter((row) => row.kind === 'paper');
  if (papers.length === 0) return undefined;
  return papers
    .filter((row) => row.left !== 0)
    .flatMap((row) => (/^P\d+$/.test(row.spec) ? [Number(row.spec.slice(1))] : []))
    .sort((a, b) => a - b);
}
