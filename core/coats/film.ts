import type { Family, Hand, Label, Lab, Role } from '#core/facts/index';
import { colourWord, contrastOf, hidingShare } from '#core/colour/index';

export type FilmFigures = { readonly filmUm: number; readonly solids: number; readonly source: 'label' | 'default' };

type Figures = readonly [filmUm: number, solids: number];

/** Film a coat in µm and solids as sprayed (trade §7). */
const FIGURES: Record<Exclude<Family, 'unknown'>, Figures> = {
  'etch-primer': [8, 0.09],
  'lacquer-primer': [12, 0.1],
  'acrylic-lacquer': [12, 0.1],
  'nitro-lacquer': [10, 0.09],
  'wood-sealer': [14, 0.14],
  'alkyd-enamel': [18, 0.18],
  'acrylic-enamel': [15, 0.15],
  'alcohol-acrylic': [9, 0.17],
  'water-acrylic': [9, 0.17],
  'waterborne-base': [8, 0.14],
  'waterborne-sealer': [10, 0.18],
  'solvent-base': [10, 0.14],
  'urethane-2k': [25, 0.42],
  'epoxy-primer': [25, 0.4],
  dye: [6, 0.1],
  candy: [7, 0.07],
  'high-temperature': [15, 0.15],
  'rust-barrier': [30, 0.25],
  texture: [60, 0.3],
  latex: [40, 0.35],
};
const FILLER_PRIMER: Figures = [22, 0.14];
const METALLIC: Figures = [8, 0.07];
const ONE_K_CLEAR: Figures = [13, 0.13];
const TWO_K_CLEAR: Figures = [28, 0.42];
const TWO_K_AEROSOL: Figures = [20, 0.22];
const HOBBY_AEROSOL: Figures = [10, 0.1];
const BASE_AEROSOL: Figures = [8, 0.07];

/** Film and solids of one normal coat: label first, then the table by family, role and hand. */
export function filmOfCoat(family: Family, role: Role = 'colour', hand: Hand = 'aerosol', label?: Label): FilmFigures {
  const [filmUm, solids] = tableFigures(family, role, hand);
  const labelled = label?.filmUm !== undefined || label?.solids !== undefined;
  return { filmUm: label?.filmUm ?? filmUm, solids: label?.solids ?? solids, source: labelled ? 'label' : 'default' };
}

function tableFigures(family: Family, role: Role, hand: Hand): Figures {
  if (family === 'unknown') return FIGURES['acrylic-lacquer'];
  if (family === 'lacquer-primer') return role === 'filler-primer' ? FILLER_PRIMER : FIGURES['lacquer-primer'];
  if (family === 'urethane-2k') return hand === 'aerosol' ? TWO_K_AEROSOL : role === 'clear' ? TWO_K_CLEAR : FIGURES['urethane-2k'];
  if (role === 'metallic') return METALLIC;
  if (family === 'acrylic-lacquer' && role === 'clear') return ONE_K_CLEAR;
  if (hand === 'aerosol' && (family === 'alcohol-acrylic' || family === 'water-acrylic')) return HOBBY_AEROSOL;
  if (hand === 'aerosol' && family === 'solvent-base') return BASE_AEROSOL;
  return FIGURES[family];
}

export const HIDDEN_CONTRAST = 0.02;

/**
 * Coats to hide a ground: smallest n ≥ 1 with shareⁿ × contrast ≤ 0.02 (trade §7).
 * @param share of contrast one normal coat lets through, above 0 and below 1 @param filmRatio film ÷ normal film
 */
export function coatsToHide(ground: Lab, coat: Lab, share = hidingShare(coat), filmRatio = 1): { coats: number; contrast: number } {
  const contrast = contrastOf(ground, coat);
  const through = share ** filmRatio;
  if (contrast <= HIDDEN_CONTRAST) return { coats: 1, contrast };
  const coats = Math.max(1, Math.ceil(Math.log(HIDDEN_CONTRAST / contrast) / Math.log(through) - 1e-9));
  return { coats, contrast };
}

/** Coats to plan for a colour over a ground: enough to hide, at least two for an even film, at most what a layer may have. */
export function coatsForColour(ground: Lab, coat: Lab, share?: number): number {
  return Math.min(12, Math.max(2, coatsToHide(ground, coat, share).coats));
}

/** Least lightness of the ground under weak-hiding colours (trade §7): yellow and orange on white or cream, red also on light grey. */
const LEAST_GROUND: Record<string, number> = { yellow: 80, orange: 80, red: 58 };

/** Whether a ground is light enough for a colour that hides weakly; others take any. */
export function groundSuits(ground: Lab, coat: Lab): boolean {
  return ground.l >= (LEAST_GROUND[colourWord(coat)] ?? 0);
}

/** Finest relief by scale denominator, µm (trade §7). */
const RELIEF: readonly (readonly [scale: number, um: number])[] = [
  [8, 400],
  [18, 300],
  [24, 250],
  [32, 230],
  [43, 200],
  [48, 180],
  [50, 175],
  [64, 150],
  [76, 100],
  [87, 90],
  [144, 80],
  [350, 40],
];

/** Depth of the finest relief at this scale, µm; null for full-size pieces, which have none worth counting. */
export function finestRelief(scale: number | undefined): number | null {
  if (scale === undefined || scale < 8) return null;
  return RELIEF.reduce((a, b) => (Math.abs(Math.log(b[0] / scale)) < Math.abs(Math.log(a[0] / scale)) ? b : a))[1];
}

/** What a film does to relief: warn, never forbid. */
export function reliefEffect(filmUm: number, reliefUm: number | null): { share: number; text: string } {
  if (reliefUm === null) return { share: 0, text: 'no fine relief' };
  const share = filmUm / reliefUm;
  const text =
    share <= 0.3 ? 'detail stays crisp' : share <= 0.6 ? 'detail still good' : share <= 1 ? 'detail softens' : 'fine detail will fill';
  return { share, text };
}

/** Film taken by sanding with a grit, a pass (trade §4). */
export const REMOVAL_UM: Record<number, number> = { 1000: 6, 1500: 4, 2000: 2.5, 3000: 1 };
export const COMPOUND_UM = 1;
export const CLEAR_TO_STAY_UM = 15;

/**
 * Clear to build for flatting: 15 µm to stay and what the grits take, three times that where edges are flatted too (trade §7).
 * Returns µm and coats of the given film.
 */
export function clearToBuild(
  grits: readonly number[],
  compound: boolean,
  edges: boolean,
  filmUm = ONE_K_CLEAR[0],
): { um: number; coats: number } {
  const removal = grits.reduce((sum, grit) => sum + (REMOVAL_UM[grit] ?? 0), 0) + (compound ? COMPOUND_UM : 0);
  const um = CLEAR_TO_STAY_UM + removal * (edges ? 3 : 1);
  return { um, coats: Math.ceil(um / filmUm - 1e-9) };
}

/** Film left by one flatting between layers: about what a P800 pad takes, µm. */
export const FLATTING_TAKES_UM = 4;
