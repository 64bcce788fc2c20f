import type { Family, Material } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import type { DryingClocks } from './climate.ts';
import { dryingRate } from './clock.ts';
import { familyDrying } from './families.ts';
import { heatSetLimit } from './heatSet.ts';

/** What a material bears of warmth (trade §8), °C. */
const MATERIAL_LIMIT: Record<Material, number> = {
  zinc: 90,
  steel: 90,
  galvanised: 90,
  tinplate: 90,
  'cast-iron': 90,
  aluminium: 90,
  magnesium: 90,
  brass: 90,
  pp: 60,
  abs: 50,
  polystyrene: 50,
  'plated-plastic': 50,
  clear: 45,
  resin: 45,
  vinyl: 40,
  rubber: 40,
  wood: 40,
  unknown: 40,
};

const COATING_LIMIT: Partial<Record<Family, number>> = {
  'alkyd-enamel': 80,
  'urethane-2k': 60,
  'epoxy-primer': 60,
  'waterborne-base': 60,
  'waterborne-sealer': 60,
  'alcohol-acrylic': 45,
  'water-acrylic': 45,
  // By itself it never is the weakest: what lies beside or below it is.
  'high-temperature': 260,
};
/** Lacquers, acrylic enamel and all others. */
const OTHER_COATING_LIMIT = 55;
const LEAST_FLASH_MIN = 30;

export type WarmthLimit = { readonly limitC: number; readonly by: Material | Family };

/** How hot a part may be cured: the least that all its materials and films bear, °C, and which of them it is. @param materials at least one */
export function warmthLimit(materials: readonly Material[], families: readonly Family[]): WarmthLimit {
  const heatSet = heatSetLimit(materials, families);
  if (heatSet !== null) return { limitC: heatSet, by: materials[0] };
  const limits: WarmthLimit[] = [
    ...materials.map((by) => ({ limitC: MATERIAL_LIMIT[by], by })),
    ...families.map((by) => ({ limitC: COATING_LIMIT[by] ?? OTHER_COATING_LIMIT, by })),
  ];
  return limits.reduce((least, own) => (own.limitC < least.limitC ? own : least));
}

export type ForcedCure = { readonly limitC: number; readonly flashOffMin: number; readonly hours: number | null; readonly because: string };

/** How long a film is left alone before heat, reference minutes: twice coat-from, and never less than half an hour (trade §8). */
export function flashOffMinutes(family: Family): number {
  return Math.max(LEAST_FLASH_MIN, 2 * familyDrying(family).coatFrom * 60);
}

/** When a film laid at a moment may be warmed: its flash-off on the clock of the place, and never less than half an hour by the watch. */
export function mayBeWarmed(family: Family, placeId: string, laid: Minute, clocks: DryingClocks): Minute | null {
  const drying = familyDrying(family);
  const flashed = clocks.reached(placeId, drying.early ?? drying.mechanism, laid, flashOffMinutes(family) / 60);
  return flashed === null ? null : Math.max(flashed, laid + LEAST_FLASH_MIN);
}

/**
 * Hours of low oven that finish a cure, after flash-off, ramped below 40 °C; null hours where the family never cures by itself.
 * @param below films that lie under it on the part: what is hidden softens too
 */
export function forcedCure(material: Material, family: Family, below: readonly Family[] = [], safelyBelowC = 5): ForcedCure {
  const drying = familyDrying(family);
  const { limitC } = warmthLimit([material], [family, ...below]);
  const flashOffMin = flashOffMinutes(family);
  const hours = drying.cure === null ? null : drying.cure / dryingRate(drying.mechanism, limitC - safelyBelowC, 50);
  return {
    limitC,
    flashOffMin,
    hours,
    because: `At most ${limitC} °C, by the weaker of part and coating; first ${Math.round(flashOffMin)} min of flash-off, then warm slowly. Cheap ovens overshoot: a thermometer beside the part, no gas or glowing element.`,
  };
}

/** A colour darker than this runs hot in the sun, L*. */
const DARK = 40;

/** Surface of a part in full sun, °C: dark ones run hot, and dark plastic stays out of it. */
export function sunSurface(airC: number, lightness: number): number {
  return airC + (lightness < DARK ? 40 : 15);
}

const PLASTIC: readonly Material[] = ['pp', 'abs', 'polystyrene', 'plated-plastic', 'clear', 'resin', 'vinyl'];

/** Dark plastic softens in full sun whatever the air is. */
export function shunsSun(material: Material, lightness: number): boolean {
  return lightness < DARK && (PLASTIC.includes(material) || material === 'unknown');
}
