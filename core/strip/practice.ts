import type { Material, OldFinish, StripMethod } from '#core/facts/index';

/** How each method works at the bench: dwell, applications, minutes, cost and hazards (BRIEF §3, §12). */

export type StripHazard = 'gel' | 'caustic' | 'chlorinated' | 'solvent' | 'dust' | 'waste';

export type MethodPractice = {
  /** Minutes: first look, usual, longest. All 0 where nothing dwells. */
  readonly dwell: { readonly least: number; readonly usual: number; readonly most: number };
  readonly applications: number;
  /** Minutes attended a time: to put it on, and to take the paint off per 100 cm². */
  readonly fixed: number;
  readonly per100cm2: number;
  readonly removes: boolean;
  /** Minor units of money a 100 cm² a time: stripper, abrasive. */
  readonly costPer100cm2: number;
  readonly hazards: readonly StripHazard[];
};

const NO_DWELL = { least: 0, usual: 0, most: 0 };

export const PRACTICE: Record<StripMethod, MethodPractice> = {
  gel: {
    dwell: { least: 5, usual: 30, most: 1440 },
    applications: 2,
    fixed: 5,
    per100cm2: 15,
    removes: true,
    costPer100cm2: 60,
    hazards: ['gel', 'solvent', 'waste'],
  },
  chlorinated: {
    dwell: { least: 5, usual: 10, most: 30 },
    applications: 2,
    fixed: 5,
    per100cm2: 10,
    removes: true,
    costPer100cm2: 90,
    hazards: ['chlorinated', 'waste'],
  },
  caustic: {
    dwell: { least: 5, usual: 15, most: 30 },
    applications: 1,
    fixed: 8,
    per100cm2: 1,
    removes: true,
    costPer100cm2: 10,
    hazards: ['caustic', 'waste'],
  },
  alkaline: {
    dwell: { least: 120, usual: 480, most: 2880 },
    applications: 1,
    fixed: 8,
    per100cm2: 2,
    removes: true,
    costPer100cm2: 15,
    hazards: ['waste'],
  },
  alcohol: {
    dwell: { least: 60, usual: 240, most: 1440 },
    applications: 1,
    fixed: 8,
    per100cm2: 4,
    removes: true,
    costPer100cm2: 40,
    hazards: ['solvent', 'waste'],
  },
  scuff: { dwell: NO_DWELL, applications: 1, fixed: 3, per100cm2: 2, removes: false, costPer100cm2: 5, hazards: [] },
  'wet-sand': { dwell: NO_DWELL, applications: 1, fixed: 5, per100cm2: 18, removes: true, costPer100cm2: 25, hazards: ['waste'] },
  brush: { dwell: NO_DWELL, applications: 1, fixed: 5, per100cm2: 14, removes: true, costPer100cm2: 10, hazards: ['dust'] },
  blast: { dwell: NO_DWELL, applications: 1, fixed: 15, per100cm2: 3, removes: true, costPer100cm2: 30, hazards: ['dust'] },
  heat: { dwell: NO_DWELL, applications: 1, fixed: 5, per100cm2: 8, removes: true, costPer100cm2: 0, hazards: ['dust'] },
};

export function dwells(method: StripMethod): boolean {
  return PRACTICE[method].dwell.most > 0;
}

/** Longest dwells that a material bears, minutes, where they are shorter than the method's own. */
const SHORTER: Partial<Record<StripMethod, Partial<Record<Material, number>>>> = {
  caustic: { zinc: 5 },
  alkaline: { zinc: 240, aluminium: 30, magnesium: 30 },
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
  return [0.25, 0.5, 0.75, 1].map((share) => Math.max(1, Math.round(usual * share)));
}

export type StripWork = {
  readonly finish: OldFinish;
  /** Layers of old paint that show. */
  readonly oldCoats?: number;
  readonly perforated?: boolean;
};

const MOST_APPLICATIONS = 4;

/**
 * How often a method is expected to go on: loose paint once, two layers showing twice, three or more thrice (BRIEF §3).
 * Mechanical methods go over once.
 */
export function applicationsOf(method: StripMethod, work: StripWork): number {
  const usual = PRACTICE[method].applications;
  if (!dwells(method)) return usual;
  const loose = method === 'gel' && work.finish === 'flaking' && (work.oldCoats ?? 1) < 2 ? 1 : usual;
  return Math.min(MOST_APPLICATIONS, Math.max(loose, work.oldCoats ?? 0));
}

/** Perforated sheet holds paint in every hole: twice the time (BRIEF §3). */
export function minutesFactor(work: StripWork): number {
  return work.perforated ? 2 : 1;
}
