import type { Family, Material } from '#core/facts/index';
import type { Minute } from '#core/units/index';
import type { WarmSpell } from './warmed.ts';

/** High-temperature paint sets by heat: until then it takes no tape, paper or strain (trade §6, §8). */

/** From so hot a surface on, °C, and so long, minutes, it is set. */
const SETS_FROM_C = 200;
const SETS_IN_MINUTES = 30;

/** What a home oven is set to for it: past the least, for ovens read high. */
export const HEAT_SET = { surfaceC: 230, minutes: 30 } as const;

/** The most that high-temperature paint alone is warmed to, by the metal below it, °C: zinc, tin and magnesium suffer sooner. */
const METAL_BEARS: Partial<Record<Material, number>> = { steel: 260, 'cast-iron': 260, aluminium: 260, brass: 260 };

/** How hot a part may get whose films are all high-temperature paint; null where that is no case of it. */
export function heatSetLimit(materials: readonly Material[], families: readonly Family[]): number | null {
  if (families.length === 0 || families.some((family) => family !== 'high-temperature')) return null;
  const limits = materials.map((material) => METAL_BEARS[material] ?? 0);
  return limits.every((limit) => limit > 0) ? Math.min(...limits) : null;
}

/** A spell that sets it. */
export function setsByHeat(family: Family, spell: { readonly surfaceC: number; readonly minutes: number }): boolean {
  return family === 'high-temperature' && spell.surfaceC >= SETS_FROM_C && spell.minutes >= SETS_IN_MINUTES;
}

/** When a film was, or will have been, set by heat after its last coat; null: by no spell it goes through. */
export function heatSetAt(family: Family, lastCoatEnd: Minute, spells: readonly WarmSpell[] = []): Minute | null {
  const setting = spells.filter(
    ({ from, to, surfaceC }) => from >= lastCoatEnd && setsByHeat(family, { surfaceC, minutes: Math.round((to - from) * 100) / 100 }),
  );
  return setting.length === 0 ? null : Math.min(...setting.map(({ to }) => to));
}
