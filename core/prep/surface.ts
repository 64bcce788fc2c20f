import { type Family, isMetal, type Mark, type Material, type Part, type Role } from '#core/facts/index';
import { markText } from './repairs.ts';
import { finishRange, GRITS, gritLadder, gritsToBuy, hidesUm, type Ladder, type NextCoat, scratchUm } from './ladder.ts';

/** From what the survey saw to the papers that are used, and what of their scratches the primer hides. */

/** The coat that comes next, as the finish table names it. */
export function nextCoatOf(first: { readonly family: Family; readonly role: Role } | undefined, material: Material): NextCoat {
  if (!first) return 'fine-primer';
  if (first.family === 'etch-primer') return 'etch';
  if (first.family === 'epoxy-primer') return 'epoxy';
  if (first.family === 'candy') return isMetal(material) ? 'bare-transparent' : 'metallic';
  if (first.role === 'filler-primer') return 'filler-primer';
  if (first.role === 'fine-primer' || first.role === 'primer') return 'fine-primer';
  if (first.role === 'metallic') return 'metallic';
  return 'colour';
}

/** Sides below this are a small casting: coarse paper takes its shape. */
const SMALL_CASTING_MM = 150;

export type StartGrit = { readonly grit: number; readonly because: string };

/** The paper to begin with: the coarsest that a mark asks for, held back on plastics, small castings and kept paint (BRIEF §4). */
export function startGrit(part: Part, keepsPaint: boolean): StartGrit {
  const hardMetal = isMetal(part.material);
  if (keepsPaint) return { grit: 400, because: 'Sound old paint is only keyed: P400 or a red pad, lightly.' };
  const asked = (part.marks ?? []).map((mark) => ({ mark, grit: gritForMark(mark, part) })).filter(({ grit }) => grit !== null);
  const usual = hardMetal ? 240 : part.material === 'wood' ? 180 : 400;
  const coarsest = asked.reduce<{ mark: Mark; grit: number | null } | null>(
    (found, own) => (found === null || (own.grit as number) < (found.grit as number) ? own : found),
    null,
  );
  if (coarsest?.grit === null || coarsest === null || coarsest.grit >= usual) {
    const why = hardMetal
      ? 'Light scratches and stains of stripping: P240.'
      : part.material === 'wood'
        ? 'Wood begins at P180, with the grain.'
        : 'Plastic begins at P400.';
    return { grit: usual, because: why };
  }
  return { grit: coarsest.grit, because: `${markText(coarsest.mark)}: it asks for P${coarsest.grit}.` };
}

function gritForMark(mark: Mark, part: Part): number | null {
  if (mark.mend === 'leave' || mark.mend === 'replace') return null;
  const soft = !isMetal(part.material) && part.material !== 'wood';
  const longest = Math.max(...part.faces.map((face) => face.longMm));
  const small = longest < SMALL_CASTING_MM;
  const bad = mark.severity === 'deep';
  switch (mark.kind) {
    case 'gouge':
    case 'pitting':
    case 'chip':
    case 'crack':
      return soft ? 320 : bad ? (small ? 180 : 80) : small ? 220 : 120;
    case 'rust-deep':
      return small ? 180 : 120;
    case 'scratch':
    case 'rust-light':
    case 'dent':
      return soft ? 400 : mark.severity === 'slight' ? 240 : 180;
    case 'mould-line':
      return 320;
    case 'bent':
    case 'seized':
    case 'missing':
      return null;
  }
}

export type Rung = {
  readonly grit: number;
  readonly grainRatio: number | null;
  readonly scratchUm: number;
  /** Whether the primer planned hides the scratches of this paper, were it the last. */
  readonly hidden: boolean | null;
  readonly because: string;
};

export type Surface = {
  readonly start: StartGrit;
  readonly next: NextCoat;
  readonly ladder: Ladder | null;
  /** Grits to buy where those owned make no ladder. */
  readonly buy: readonly number[];
  readonly rungs: readonly Rung[];
  readonly primerFilmUm: number | null;
  /** Deepest scratch the primer hides, µm. */
  readonly hidesUm: number | null;
};

/** The grit ladder of a part for what comes next, each rung with its reason and what the primer makes of its scratches. */
export function surfaceOf(
  part: Part,
  keepsPaint: boolean,
  first: { readonly family: Family; readonly role: Role } | undefined,
  primerFilmUm: number | null,
  owned: readonly number[] = GRITS,
): Surface {
  const start = startGrit(part, keepsPaint);
  const next = nextCoatOf(first, part.material);
  const range = finishRange(next, primerFilmUm ?? undefined);
  const ladder = keepsPaint ? { grits: [start.grit], ratios: [] } : gritLadder(start.grit, next, owned, range);
  const buy = ladder ? [] : gritsToBuy(start.grit, next, owned, range);
  // Without a ladder from the papers owned the plan goes on with the one that the missing paper makes.
  const used = ladder ?? gritLadder(start.grit, next, [...owned, ...buy], range);
  const hides = primerFilmUm === null ? null : hidesUm(primerFilmUm);
  const rungs = (used?.grits ?? []).map((grit, index): Rung => {
    const ratio = index === 0 ? null : (used as Ladder).ratios[index - 1];
    const depth = scratchUm(grit);
    return {
      grit,
      grainRatio: ratio,
      scratchUm: depth,
      hidden: hides === null ? null : depth <= hides + 1e-9,
      because:
        index === 0
          ? start.because
          : `${(ratio as number).toFixed(2)} times finer than the paper before: ${(ratio as number) <= 2 ? 'it takes the old scratches out' : 'care, a little wide; take your time'}.`,
    };
  });
  return { start, next, ladder: used, buy, rungs, primerFilmUm, hidesUm: hides };
}
