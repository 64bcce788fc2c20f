import type { Material, OldFinish, StripMethod } from '#core/facts/index';
import { quarterSheets, type WorkSize, workMinutes } from '#core/units/index';

/** How each method works at the bench: dwell, applications, minutes, what it uses up and its hazards (trade §3, §12). */

export type StripHazard = 'gel' | 'caustic' | 'chlorinated' | 'solvent' | 'dust' | 'waste';

export type MethodPractice = {
  /** Minutes: first look, usual, longest. All 0 where nothing dwells. */
  readonly dwell: { readonly least: number; readonly usual: number; readonly most: number };
  readonly applications: number;
  /** Minutes attended to put it on: so many a part, and so many more for each 100 cm² of it. */
  readonly on: { readonly each: number; readonly per100cm2: number };
  /** Minutes to take the paint off: so many a copy, and so many on 100 cm², growing as work by area does. */
  readonly off: { readonly each: number; readonly at100cm2: number };
  readonly removes: boolean;
  /** A tub the part lies in whole. */
  readonly bath: boolean;
  /** Reaches into relief and corners; paper, brush and blast serve plain faces. */
  readonly reaches: boolean;
  readonly hazards: readonly StripHazard[];
};

const NO_DWELL = { least: 0, usual: 0, most: 0 };
const NOTHING_ON = { each: 0, per100cm2: 0 };
const BATH_ON = { each: 3, per100cm2: 0 };

export const PRACTICE: Record<StripMethod, MethodPractice> = {
  gel: {
    dwell: { least: 5, usual: 30, most: 1440 },
    applications: 2,
    on: { each: 3, per100cm2: 0.3 },
    off: { each: 0, at100cm2: 12 },
    removes: true,
    bath: false,
    reaches: true,
    hazards: ['gel', 'solvent', 'waste'],
  },
  chlorinated: {
    dwell: { least: 5, usual: 10, most: 30 },
    applications: 2,
    on: { each: 3, per100cm2: 0.3 },
    off: { each: 0, at100cm2: 10 },
    removes: true,
    bath: false,
    reaches: true,
    hazards: ['chlorinated', 'waste'],
  },
  caustic: {
    dwell: { least: 5, usual: 15, most: 30 },
    applications: 1,
    on: BATH_ON,
    off: { each: 5, at100cm2: 0 },
    removes: true,
    bath: true,
    reaches: true,
    hazards: ['caustic', 'waste'],
  },
  alkaline: {
    dwell: { least: 120, usual: 480, most: 2880 },
    applications: 1,
    on: BATH_ON,
    off: { each: 5, at100cm2: 2 },
    removes: true,
    bath: true,
    reaches: true,
    hazards: ['waste'],
  },
  alcohol: {
    dwell: { least: 60, usual: 240, most: 1440 },
    applications: 1,
    on: BATH_ON,
    off: { each: 5, at100cm2: 2 },
    removes: true,
    bath: true,
    reaches: true,
    hazards: ['solvent', 'waste'],
  },
  scuff: {
    dwell: NO_DWELL,
    applications: 1,
    on: NOTHING_ON,
    off: { each: 0, at100cm2: 3 },
    removes: false,
    bath: false,
    reaches: true,
    hazards: [],
  },
  'wet-sand': {
    dwell: NO_DWELL,
    applications: 1,
    on: NOTHING_ON,
    off: { each: 0, at100cm2: 14 },
    removes: true,
    bath: false,
    reaches: false,
    hazards: ['waste'],
  },
  brush: {
    dwell: NO_DWELL,
    applications: 1,
    on: NOTHING_ON,
    off: { each: 0, at100cm2: 10 },
    removes: true,
    bath: false,
    reaches: false,
    hazards: ['dust'],
  },
  blast: {
    dwell: NO_DWELL,
    applications: 1,
    on: { each: 10, per100cm2: 0 },
    off: { each: 0, at100cm2: 3 },
    removes: true,
    bath: false,
    reaches: false,
    hazards: ['dust'],
  },
  heat: {
    dwell: NO_DWELL,
    applications: 1,
    on: NOTHING_ON,
    off: { each: 0, at100cm2: 8 },
    removes: true,
    bath: false,
    reaches: false,
    hazards: ['dust'],
  },
};

/** A second and later application takes this share of the first (trade §12). */
const LATER_SHARE = 0.4;

/** Each further copy is another thing to pick up and lay down. */
const FURTHER_COPY_MINUTES = 0.5;

/** Minutes to put one application on, set-up aside. */
export function onMinutes(method: StripMethod, { copyCm2, copies }: WorkSize): number {
  const { each, per100cm2 } = PRACTICE[method].on;
  return each + FURTHER_COPY_MINUTES * (copies - 1) + (per100cm2 * copyCm2 * copies) / 100;
}

/** Minutes to take the paint off after one application, the first counted as 1, set-up aside. */
export function offMinutes(method: StripMethod, size: WorkSize, application = 1): number {
  const { each, at100cm2 } = PRACTICE[method].off;
  const share = application > 1 ? LATER_SHARE : 1;
  const handling = each === 0 ? 0 : each + FURTHER_COPY_MINUTES * (size.copies - 1);
  return handling + workMinutes(at100cm2, size, method === 'scuff' ? 'scuff' : 'strip') * share;
}

/** Minutes of a method in all, from its first application to its last, set-up aside. */
export function methodMinutes(method: StripMethod, size: WorkSize, applications: number): number {
  let sum = 0;
  for (let number = 1; number <= applications; number++) sum += onMinutes(method, size) + offMinutes(method, size, number);
  return sum;
}

export function dwells(method: StripMethod): boolean {
  return PRACTICE[method].dwell.most > 0;
}

/** Longest dwells that a material bears, minutes, where they are shorter than the method's own. */
const SHORTER: Partial<Record<StripMethod, Partial<Record<Material, number>>>> = {
  caustic: { zinc: 5 },
  alkaline: { zinc: 240, aluminium: 30, galvanised: 240 },
};

/** First look, usual and longest dwell of a method on a material, minutes. `learned` is a factor from the log, 1 without one. */
export function dwellOn(method: StripMethod, material: Material, learned = 1): { least: number; usual: number; most: number } {
  const own = PRACTICE[method].dwell;
  const most = Math.min(own.most, SHORTER[method]?.[material] ?? own.most);
  const usual = Math.min(most, Math.max(own.least, Math.round(own.usual * learned)));
  return { least: Math.min(own.least, most), usual: Math.max(usual, Math.min(own.least, most)), most };
}

/** Minutes after putting on at which one looks: each quarter of the usual dwell. */
export function looksAt(usual: number): number[] {
  return [...new Set([0.25, 0.5, 0.75, 1].map((share) => Math.max(1, Math.round(usual * share))))];
}

export type StripWork = {
  readonly finish: OldFinish;
  /** Layers of old paint that show. */
  readonly oldCoats?: number;
};

const MOST_APPLICATIONS = 4;

/**
 * How often a method is expected to go on: loose paint once, two layers showing twice, three or more thrice (trade §3).
 * Mechanical methods go over once.
 */
export function applicationsOf(method: StripMethod, work: StripWork): number {
  const usual = PRACTICE[method].applications;
  if (!dwells(method)) return usual;
  const loose = method === 'gel' && work.finish === 'flaking' && (work.oldCoats ?? 1) < 2 ? 1 : usual;
  return Math.min(MOST_APPLICATIONS, Math.max(loose, work.oldCoats ?? 0));
}

/** What one application uses up: stripper in mL by area, a bath by its litres. */
const GEL_ML_PER_100CM2 = 20;

/** mL of stripper, or of bath, that one application takes. @param bathLitres what covers the largest copy */
export function stripperMl(method: StripMethod, { copyCm2, copies }: WorkSize, bathLitres: number): number {
  if (PRACTICE[method].bath) return bathLitres * 1000;
  return method === 'gel' || method === 'chlorinated' ? (GEL_ML_PER_100CM2 * copyCm2 * copies) / 100 : 0;
}

/** Minor units of money a mL. */
export const STRIPPER_PRICE: Partial<Record<StripMethod, number>> = {
  gel: 2.4,
  chlorinated: 3,
  alcohol: 0.45,
  alkaline: 0.2,
  caustic: 0.08,
};

/** Minor units of money a quarter sheet of paper. */
export const PAPER_PRICE = 35;
/** Quarter sheets beside what bare metal takes: old paint clogs them. */
const PAPERS: Partial<Record<StripMethod, number>> = { 'wet-sand': 2, scuff: 1 };

/** Quarter sheets that one application takes; see `quarterSheets`. */
export function stripSheets(method: StripMethod, size: WorkSize): number {
  return (PAPERS[method] ?? 0) * quarterSheets(size);
}

/** What a method uses up in all, minor units of money: gel and papers each time, a bath once. */
export function methodMoney(method: StripMethod, size: WorkSize, bathLitres: number, applications: number): number {
  const times = PRACTICE[method].bath ? 1 : applications;
  return times * (stripperMl(method, size, bathLitres) * (STRIPPER_PRICE[method] ?? 0) + stripSheets(method, size) * PAPER_PRICE);
}
