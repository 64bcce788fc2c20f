import { type FilmFigures, filmOfCoat } from '#core/coats/index';
import type { Family, Hand, Role } from '#core/facts/index';
import { areaGrowth } from '#core/units/index';

/** Paint used, by two models of which the larger holds (trade §7). */

/** A flat stretch of surface, and how many of it there are; its area where holes make it another than the sheet's. */
export type FlatFace = {
  readonly longMm: number;
  readonly shortMm: number;
  readonly count?: number;
  readonly areaMm2?: number;
  /** From how many sides it is swept, so that paint reaches the walls of its holes; absent: one. */
  readonly angles?: number;
};

type Tool = {
  readonly fanMm: number;
  readonly mlPerSecond: number;
  readonly mmPerSecond: number;
  readonly overrunMm: number;
  readonly efficiency: number;
};

const OVERLAP = 0.5;
const TOOLS: Record<Exclude<Hand, 'brush'>, Tool> = {
  aerosol: { fanMm: 100, mlPerSecond: 1, mmPerSecond: 300, overrunMm: 50, efficiency: 0.55 },
  airbrush: { fanMm: 15, mlPerSecond: 0.05, mmPerSecond: 100, overrunMm: 10, efficiency: 0.55 },
  gun: { fanMm: 150, mlPerSecond: 2, mmPerSecond: 300, overrunMm: 50, efficiency: 0.65 },
};
/** A brush puts nearly all of it on the part; what stays in the bristles is the rest. */
const BRUSH_EFFICIENCY = 0.9;
/** Minutes to brush 100 cm². */
const BRUSH_AT_100CM2 = 2;
export const NOZZLE_ML = 2;
export const CAN_RESIDUE = 0.05;

/** Fan, flow, speed and overrun of a spraying tool (trade §7). */
export function sprayTool(hand: Exclude<Hand, 'brush'>): Tool {
  return TOOLS[hand];
}

/** mL a coat by film: area × film ÷ solids ÷ effective transfer; a face narrower than the fan wastes more. */
export function filmMl(faces: readonly FlatFace[], film: { filmUm: number; solids: number }, hand: Hand): number {
  return faces.reduce((sum, face) => {
    const areaM2 = (face.areaMm2 ?? face.longMm * face.shortMm) / 1e6;
    const transfer =
      hand === 'brush' ? BRUSH_EFFICIENCY : TOOLS[hand].efficiency * Math.sqrt(Math.min(1, face.shortMm / TOOLS[hand].fanMm));
    return sum + ((face.count ?? 1) * (areaM2 * film.filmUm)) / film.solids / transfer;
  }, 0);
}

/** Passes over a face: one more than the fan steps across its shorter side, from each side it is sprayed from. */
export function sweepsOf(face: FlatFace, hand: Exclude<Hand, 'brush'>): number {
  return (Math.ceil(face.shortMm / (TOOLS[hand].fanMm * (1 - OVERLAP)) - 1e-9) + 1) * (face.angles ?? 1);
}

/** mL a coat by sweeps: a can empties by time. */
export function sweepsMl(faces: readonly FlatFace[], hand: Hand): number {
  if (hand === 'brush') return 0;
  const tool = TOOLS[hand];
  return faces.reduce((sum, face) => {
    const length = face.longMm + 2 * tool.overrunMm;
    return sum + ((face.count ?? 1) * sweepsOf(face, hand) * length * tool.mlPerSecond) / tool.mmPerSecond;
  }, 0);
}

export type CoatAmount = {
  readonly filmMl: number;
  readonly sweepsMl: number;
  readonly mlPerCoat: number;
  readonly holds: 'film' | 'sweeps';
};

/** mL of one coat by both models; a coat of another weight takes so many times film and sweeps. */
export function coatAmount(faces: readonly FlatFace[], film: { filmUm: number; solids: number }, hand: Hand, weight = 1): CoatAmount {
  const [byFilm, bySweeps] = [filmMl(faces, film, hand) * weight, sweepsMl(faces, hand) * weight];
  return { filmMl: byFilm, sweepsMl: bySweeps, mlPerCoat: Math.max(byFilm, bySweeps), holds: bySweeps > byFilm ? 'sweeps' : 'film' };
}

/** What must be in the can for this much to reach the piece: 2 mL clear the nozzle, 5 % never come out. */
export function batchMl(ml: number): number {
  return (ml + NOZZLE_ML) / (1 - CAN_RESIDUE);
}

/** Usual set-up before the first coat of a batch, and before each that follows with the same mix (trade §12). */
export const SPRAY_SETUP_MINUTES = 10;
export const NEXT_COAT_SETUP_MINUTES = 2;

/** Minutes to lay one coat: 1 a part and the sweeps themselves (trade §12), and never less than the tool takes to give that much paint. */
export function coatMinutes(faces: readonly FlatFace[], hand: Hand, parts: number, ml = 0): number {
  if (hand === 'brush') {
    const area = faces.reduce((sum, face) => sum + (face.count ?? 1) * face.longMm * face.shortMm, 0);
    return parts + BRUSH_AT_100CM2 * areaGrowth(area / 100);
  }
  const tool = TOOLS[hand];
  const sweeping = faces.reduce(
    (sum, face) => sum + ((face.count ?? 1) * sweepsOf(face, hand) * (face.longMm + 2 * tool.overrunMm)) / tool.mmPerSecond,
    0,
  );
  return parts + Math.max(sweeping, ml / tool.mlPerSecond) / 60;
}

/** `ask amount`: figures of a coat and of all coats, film from the table or as given. */
export function amountAnswer(question: {
  readonly family: Family;
  readonly role?: Role;
  readonly filmUm?: number;
  readonly solids?: number;
  readonly tool: Exclude<Hand, 'brush'>;
  readonly faces: readonly FlatFace[];
  readonly coats: number;
}) {
  const table: FilmFigures = filmOfCoat(question.family, question.role, question.tool);
  const film = { filmUm: question.filmUm ?? table.filmUm, solids: question.solids ?? table.solids };
  const amount = coatAmount(question.faces, film, question.tool);
  const ml = amount.mlPerCoat * question.coats;
  return { ...amount, ml, mlBatch: batchMl(ml), film };
}
