import type { Family, Material } from '#core/facts/index';
import { dryingRate } from './clock.ts';
import { familyDrying } from './families.ts';

/** How hot a part may be cured: the lowest of what its material and its coating bear (BRIEF §8), °C. */
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
};
/** Lacquers, acrylic enamel and all others. */
const OTHER_COATING_LIMIT = 55;
const LEAST_FLASH_MIN = 30;

export function cureLimit(material: Material, family: Family): number {
  return Math.min(MATERIAL_LIMIT[material], COATING_LIMIT[family] ?? OTHER_COATING_LIMIT);
}

export type ForcedCure = { readonly limitC: number; readonly flashOffMin: number; readonly hours: number | null; readonly because: string };

/** Hours of low oven that finish a cure, after flash-off, ramped below 40 °C; null hours where the family never cures by itself. */
export function forcedCure(material: Material, family: Family, safelyBelowC = 5): ForcedCure {
  const drying = familyDrying(family);
  const limitC = cureLimit(material, family);
  const flashOffMin = Math.max(LEAST_FLASH_MIN, 2 * drying.coatFrom * 60);
  const hours = drying.cure === null ? null : drying.cure / dryingRate(drying.mechanism, limitC - safelyBelowC, 50);
  return {
    limitC,
    flashOffMin,
    hours,
    because: `At most ${limitC} °C, by the weaker of part and coating; first ${Math.round(flashOffMin)} min of flash-off, then warm slowly. Cheap ovens overshoot: a thermometer beside the part, no gas or glowing element.`,
  };
}

/** Surface of a part in full sun, °C: dark ones run hot, and dark plastic stays out of it. */
export function sunSurface(airC: number, lightness: number): number {
  return airC + (lightness < 40 ? 40 : 15);
}
