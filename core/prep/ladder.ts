/** Grit ladders: the fewest papers from a start to a finish with no scratch left behind (trade §4). */

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
export const WORST_RATIO = 2.5;

/** Scratch depth ÷ grain size. */
const SCRATCH_SHARE = 0.2;
/** Share of a primer's film that fills scratches below it. */
const FILLING_SHARE = 0.5;

/** Depth of the scratches a paper leaves, µm. */
export function scratchUm(grit: number): number {
  return SCRATCH_SHARE * (GRAIN_UM[grit] ?? GRAIN_UM[nearestGrit(grit)]);
}

/** Deepest scratch a primer set hides, µm: half the dry film it has left after flatting. */
export function hidesUm(primerFilmUm: number): number {
  return FILLING_SHARE * primerFilmUm;
}

/** The coarsest paper whose scratches a primer of this film still hides; null where even the finest would show. */
export function coarsestHidden(primerFilmUm: number): number | null {
  return GRITS.find((grit) => scratchUm(grit) <= hidesUm(primerFilmUm) + 1e-9) ?? null;
}

/**
 * Coarsest and finest grit to end on: the table's, and where a primer film is named no coarser than what it hides.
 * A thinner film never permits a coarser finish.
 */
export function finishRange(next: NextCoat, primerFilmUm?: number): readonly [number, number] {
  const [coarsest, finest] = FINISH_GRITS[next];
  if (primerFilmUm === undefined) return [coarsest, finest];
  const hidden = coarsestHidden(primerFilmUm) ?? (GRITS.at(-1) as number);
  const least = Math.max(coarsest, hidden);
  return [least, Math.max(finest, least)];
}

/**
 * Shortest ladder from a grit to a finish for the next coat, from the grits owned.
 * Every ratio ≤ 2.0; only where that cannot be, ≤ 2.5. Ties go to the smallest worst ratio. Null where no ladder exists.
 */
export function gritLadder(
  from: number,
  next: NextCoat,
  owned: readonly number[] = GRITS,
  range: readonly [number, number] = FINISH_GRITS[next],
): Ladder | null {
  const start = nearestGrit(from);
  const papers = [...new Set([start, ...owned])].filter((grit) => GRAIN_UM[grit] !== undefined && grit >= start).sort((a, b) => a - b);
  return shortest(papers, start, range, GOOD_RATIO) ?? shortest(papers, start, range, WORST_RATIO);
}

/** The fewest grits to buy so that a ladder exists, coarsest first; empty when one exists already. */
export function gritsToBuy(
  from: number,
  next: NextCoat,
  owned: readonly number[],
  range: readonly [number, number] = FINISH_GRITS[next],
): number[] {
  if (gritLadder(from, next, owned, range)) return [];
  const wanted = GRITS.filter((grit) => !owned.includes(grit) && grit > from);
  for (const grit of wanted.map((one) => ({ one, ladder: gritLadder(from, next, [...owned, one], range) })).sort(byWorstRatio)) {
    if (grit.ladder) return [grit.one];
  }
  // More than one is missing: those of the best ladder that are not owned.
  return (gritLadder(from, next, GRITS, range)?.grits ?? []).filter((grit) => grit !== nearestGrit(from) && !owned.includes(grit));
}

function byWorstRatio(a: { ladder: Ladder | null }, b: { ladder: Ladder | null }): number {
  const worst = ({ ladder }: { ladder: Ladder | null }) => (ladder ? Math.max(1, ...ladder.ratios) : Number.POSITIVE_INFINITY);
  const [left, right] = [worst(a), worst(b)];
  return left === right ? 0 : left - right;
}

function shortest(papers: readonly number[], start: number, [coarsest, finest]: readonly [number, number], limit: number): Ladder | null {
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

export function nearestGrit(grit: number): number {
  return GRITS.reduce((a, b) => (Math.abs(b - grit) < Math.abs(a - grit) ? b : a));
}
