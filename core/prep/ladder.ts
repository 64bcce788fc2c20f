/** Grit ladders: the fewest papers from a start to a finish with no scratch left behind (BRIEF §4). */

/** FEPA P-grade to median grain size, µm. */
export const GRAIN_UM: Record<number, number> = {
  80: 201,
  100: 162,
  120: 125,
  150: 100,
  180: 82,
  220: 68,
  240: 58.5,
  280: 52.2,
  320: 46.2,
  360: 40.5,
  400: 35,
  500: 30.2,
  600: 25.8,
  800: 21.8,
  1000: 18.3,
  1200: 15.3,
  1500: 12.6,
  2000: 10.3,
  2500: 8.4,
  3000: 6,
};
export const GRITS = Object.keys(GRAIN_UM).map(Number);

export type NextCoat = 'filler-primer' | 'fine-primer' | 'colour' | 'metallic' | 'bare-transparent' | 'etch' | 'epoxy' | 'clear-polish';

/** Grits that a surface may end on under each coat: coarsest and finest. */
export const FINISH_GRITS: Record<NextCoat, readonly [number, number]> = {
  'filler-primer': [320, 400],
  'fine-primer': [400, 600],
  colour: [600, 800],
  metallic: [800, 1000],
  'bare-transparent': [1000, 1000],
  etch: [320, 400],
  epoxy: [180, 320],
  'clear-polish': [3000, 3000],
};

export type Ladder = { readonly grits: readonly number[]; readonly ratios: readonly number[] };

/** Ratio of grain sizes from one paper to the next: ≤ 2.0 good, to 2.5 care. */
export const GOOD_RATIO = 2;
const WORST_RATIO = 2.5;

/**
 * Shortest ladder from a grit to a finish for the next coat, from the grits owned.
 * Every ratio ≤ 2.0; only where that cannot be, ≤ 2.5. Ties go to the smallest worst ratio. Null where no ladder exists.
 */
export function gritLadder(from: number, next: NextCoat, owned: readonly number[] = GRITS): Ladder | null {
  const [coarsest, finest] = FINISH_GRITS[next];
  const start = nearestGrit(from);
  const papers = [...new Set([start, ...owned])].filter((grit) => GRAIN_UM[grit] !== undefined && grit >= start).sort((a, b) => a - b);
  return shortest(papers, start, coarsest, finest, GOOD_RATIO) ?? shortest(papers, start, coarsest, finest, WORST_RATIO);
}

function shortest(papers: readonly number[], start: number, coarsest: number, finest: number, limit: number): Ladder | null {
  type Best = { steps: number; worst: number; before: number | null };
  const best = new Map<number, Best>([[start, { steps: 1, worst: 1, before: null }]]);
  for (const grit of papers) {
    const here = best.get(grit);
    if (!here) continue;
    for (const finer of papers.filter((paper) => paper > grit)) {
      const ratio = GRAIN_UM[grit] / GRAIN_UM[finer];
      if (ratio > limit + 1e-9) continue;
      const offer: Best = { steps: here.steps + 1, worst: Math.max(here.worst, ratio), before: grit };
      const known = best.get(finer);
      if (!known || offer.steps < known.steps || (offer.steps === known.steps && offer.worst < known.worst)) best.set(finer, offer);
    }
  }
  const ends = papers.filter((grit) => grit >= coarsest && (grit <= finest || grit === start) && best.has(grit));
  const rank = (grit: number) => best.get(grit) as Best;
  const end = ends.sort((a, b) => rank(a).steps - rank(b).steps || rank(a).worst - rank(b).worst)[0];
  if (end === undefined) return null;
  const grits: number[] = [];
  for (let grit: number | null = end; grit !== null; grit = rank(grit).before) grits.unshift(grit);
  const ratios = grits.slice(1).map((grit, i) => GRAIN_UM[grits[i]] / GRAIN_UM[grit]);
  return { grits, ratios };
}

function nearestGrit(grit: number): number {
  return GRITS.reduce((a, b) => (Math.abs(b - grit) < Math.abs(a - grit) ? b : a));
}
