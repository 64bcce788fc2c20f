import type { Material } from '#core/facts/index';

/** Density by water displacement, g/cm³ (trade §3). */
export const DENSITIES: Partial<Record<Material, number>> = { magnesium: 1.8, aluminium: 2.7, zinc: 6.7, steel: 7.8, brass: 8.5 };

/** How far a weighing in a kitchen jug may be off. */
const DENSITY_TOLERANCE = 0.08;

export type DensityAnswer = { readonly density: number; readonly materials: readonly Material[]; readonly because: string };

/**
 * What a part may be by its weight and the water it displaces.
 * @param grams weight, above 0
 * @param millilitres water displaced, above 0
 * @throws RangeError for a weight or volume that is not above 0
 */
export function materialByDensity(grams: number, millilitres: number): DensityAnswer {
  if (!(grams > 0) || !(millilitres > 0)) throw new RangeError('Weight and displaced water are above 0. Weigh and dip it again.');
  const density = grams / millilitres;
  const materials = (Object.entries(DENSITIES) as [Material, number][])
    .filter(([, known]) => Math.abs(density - known) <= known * DENSITY_TOLERANCE)
    .sort(([, a], [, b]) => Math.abs(density - a) - Math.abs(density - b))
    .map(([material]) => material);
  const figure = `${density.toFixed(1)} g/cm³`;
  const because =
    materials.length > 0
      ? `${figure}: ${materials.map((material) => `${material} is ${DENSITIES[material]}`).join(', ')}.`
      : density < 1.6
        ? `${figure}: lighter than any metal here, so plastic or wood, or hollow.`
        : `${figure} fits none of the metals: is it one solid part, with no air trapped?`;
  return { density, materials, because };
}
