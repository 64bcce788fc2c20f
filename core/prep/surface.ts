import { type Family, isMetal, type Mark, type Material, type OldPaint, type Part, type Role, staysOf } from '#core/facts/index';
import { finishRange, GRITS, gritLadder, gritsToBuy, hidesUm, type Ladder, type NextCoat, scratchUm } from './ladder.ts';

/** From what the survey saw to the papers that are used, and what of their scratches the primer hides (trade §4). */

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

/** Once over clean metal with fine relief, and the coarsest that touches any of its faces. */
const FINE_GRIT = 600;
const COARSEST_ON_FINE = 400;
/** On a casting a line or a pit is cut locally, no coarser than this. */
const LOCAL_ON_CASTING = 320;

/** Castings and mouldings: their shape and detail go with coarse paper. */
const CAST: readonly Material[] = ['zinc', 'abs', 'polystyrene', 'resin', 'magnesium', 'pp'];

export function isCast(material: Material): boolean {
  return CAST.includes(material);
}

/** Sides below this are a small casting: coarse paper takes its shape. */
const SMALL_CASTING_MM = 150;

export type StartGrit = { readonly grit: number; readonly because: string };

/** What of a face takes no paper at all, and what it is gone over with instead. */
export type NoPaper = { readonly pad: 'grey' | 'none'; readonly because: string };

/** Faces that no paper touches: grain, what stays, and washed kit styrene, which is its own key (trade §4, §6). */
export function takesNoPaper(part: Part): NoPaper | null {
  if (staysOf(part)) return { pad: 'none', because: 'What stays as it is takes no paper.' };
  if (part.surface === 'grained') return { pad: 'grey', because: 'Paper levels the grain: prep cleaner, then a grey pad, lightly.' };
  if (part.material === 'polystyrene' && part.surface === undefined && part.finish === 'bare')
    return { pad: 'none', because: 'Washed kit plastic is its own key: only mould lines and gates are sanded.' };
  return null;
}

/** How a part comes to its sanding: old paint kept, stripped to bare, or bare from the start. */
export type SurfaceState = {
  readonly keepsPaint: boolean;
  readonly stripped: boolean;
  /** Fine relief or a small casting: nothing coarser than P400 touches a face. */
  readonly fine?: boolean;
};

/**
 * The paper the whole face begins with: P240 for the stains of stripping, the finish paper where it was clean and bare, P400 on
 * plastic and kept paint. A mark is ground where it is and asks nothing of the rest (trade §4).
 */
export function startGrit(part: Part, { keepsPaint, stripped, fine = false }: SurfaceState, coarsestFinish: number): StartGrit {
  if (keepsPaint) return { grit: 400, because: 'Sound old paint is only keyed: P400 or a red pad, lightly.' };
  if (part.surface === '3d-printed') return { grit: 240, because: 'Layer lines of a printed part: P240, wet.' };
  if (part.material === 'wood') return { grit: 180, because: 'Wood begins at P180, with the grain.' };
  if (!isMetal(part.material)) return { grit: 400, because: 'Plastic begins at P400.' };
  if (fine)
    return { grit: FINE_GRIT, because: 'Fine relief and small castings go over once with P600; lines and pits are cut where they are.' };
  if (stripped || hasStains(part)) return { grit: 240, because: 'Light scratches and stains of stripping: P240.' };
  return { grit: coarsestFinish, because: `Clean bare metal is only keyed: P${coarsestFinish}.` };
}

function hasStains(part: Part): boolean {
  return (part.marks ?? []).some((mark) => mark.kind === 'rust-light' || mark.kind === 'rust-deep' || mark.kind === 'pitting');
}

/** The paper a mark is ground with where it is; null where none is. */
export function gritForMark(mark: Mark, part: Part): number | null {
  if (mark.mend === 'leave' || mark.mend === 'replace') return null;
  const soft = !isMetal(part.material) && part.material !== 'wood';
  const small = Math.max(...part.faces.map((face) => face.longMm)) < SMALL_CASTING_MM;
  const casting = small && isCast(part.material);
  const bad = mark.severity === 'deep';
  switch (mark.kind) {
    case 'gouge':
    case 'pitting':
    case 'chip':
    case 'crack':
      return soft || casting ? LOCAL_ON_CASTING : bad ? (small ? 180 : 80) : small ? 220 : 120;
    case 'rust-deep':
      return casting ? LOCAL_ON_CASTING : small ? 180 : 120;
    case 'scratch':
    case 'rust-light':
    case 'dent':
      return soft ? 400 : casting ? LOCAL_ON_CASTING : mark.severity === 'slight' ? 240 : 180;
    case 'support-marks':
      return 220;
    case 'layer-lines':
      return 240;
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
  /** Null where no paper goes over the face. */
  readonly ladder: Ladder | null;
  readonly noPaper: NoPaper | null;
  /** Grits to buy where those owned make no ladder. */
  readonly buy: readonly number[];
  readonly rungs: readonly Rung[];
  readonly primerFilmUm: number | null;
  /** Deepest scratch the primer hides, µm. */
  readonly hidesUm: number | null;
};

/** What a surface is asked with beside the part. */
export type SurfaceQuestion = SurfaceState & {
  readonly first?: { readonly family: Family; readonly role: Role };
  /** Dry film the first primer has left, µm; null without one. */
  readonly primerFilmUm: number | null;
  readonly owned?: readonly number[];
};

/** The grit ladder of a part for what comes next, each rung with its reason and what the primer makes of its scratches. */
export function surfaceOf(
  part: Part,
  { keepsPaint, stripped, fine = false, first, primerFilmUm, owned = GRITS }: SurfaceQuestion,
): Surface {
  const next = nextCoatOf(first, part.material);
  const usual = finishRange(next, primerFilmUm ?? undefined);
  const range = fine ? ([Math.max(usual[0], COARSEST_ON_FINE), Math.max(usual[1], COARSEST_ON_FINE)] as const) : usual;
  const start = startGrit(part, { keepsPaint, stripped, fine }, range[0]);
  const noPaper = takesNoPaper(part);
  const shared = { start, next, noPaper, primerFilmUm, hidesUm: primerFilmUm === null ? null : hidesUm(primerFilmUm) };
  if (noPaper) return { ...shared, ladder: null, buy: [], rungs: [] };
  const from = Math.min(start.grit, range[1]);
  const ladder = keepsPaint ? { grits: [start.grit], ratios: [] } : gritLadder(from, next, owned, range);
  const buy = ladder ? [] : gritsToBuy(from, next, owned, range);
  // Without a ladder from the papers owned the plan goes on with the one that the missing paper makes.
  const used = ladder ?? gritLadder(from, next, [...owned, ...buy], range);
  return { ...shared, ladder: used, buy, rungs: rungsOf(used, start, shared.hidesUm) };
}

function rungsOf(ladder: Ladder | null, start: StartGrit, hides: number | null): Rung[] {
  return (ladder?.grits ?? []).map((grit, index): Rung => {
    const ratio = index === 0 ? null : (ladder as Ladder).ratios[index - 1];
    const depth = scratchUm(grit);
    return {
      grit,
      grainRatio: ratio,
      scratchUm: depth,
      hidden: hides === null ? null : depth <= hides + 1e-9,
      because: ratio === null ? start.because : ratioText(ratio),
    };
  });
}

function ratioText(ratio: number): string {
  return `${ratio.toFixed(2)} times finer than the paper before: ${ratio <= 2 ? 'it takes the old scratches out' : 'care, a little wide; take your time'}.`;
}

/** Papers a mark is ground with where it is, from its own grit to the one the whole face begins with. */
export function gritsForMark(mark: Mark, part: Part, surface: Pick<Surface, 'ladder' | 'start'>): number[] {
  const from = gritForMark(mark, part);
  if (from === null) return [];
  const to = surface.ladder?.grits[0] ?? (isMetal(part.material) ? 400 : 600);
  if (from >= to) return surface.ladder ? [] : [from];
  const between = gritLadder(from, 'colour', GRITS, [to, to])?.grits ?? [from];
  return between.filter((grit) => grit < to || !surface.ladder);
}

/** What sound old paint is known to be, in words for a title. */
export function oldPaintText(oldPaint: OldPaint | undefined): string {
  switch (oldPaint) {
    case 'baked-enamel':
      return 'the old factory enamel';
    case 'household':
      return 'the old household paint';
    case 'own-coat':
      return 'your earlier coat';
    default:
      return 'the old paint';
  }
}
