import { isSprayCan } from '#core/coats/index';
import type { Can, Product, Sheet } from '#core/facts/index';
import { densityOf } from './tint.ts';

/** What a can still holds by the kitchen scale: its weight less that of the empty one, through the density of what is in it. */

/** Paint of an aerosol with the propellant it is dissolved in, g/mL. */
const AEROSOL_DENSITY = 0.8;
/** Scales and printed volumes are out by so much, of the pack. */
const TOLERANCE = 0.05;

export type Weighed = { readonly ok: true; readonly ml: number } | { readonly ok: false; readonly mend: string };

/** @param grossG the can as it stands, g @param emptyG the same can empty, g */
export function leftByWeight(
  can: Pick<Can, 'packMl'>,
  product: Product,
  sheet: Sheet | undefined,
  grossG: number,
  emptyG: number,
): Weighed {
  if (emptyG <= 0) return { ok: false, mend: 'Type what the empty can weighs: another empty one of its kind will do.' };
  if (grossG < emptyG) return { ok: false, mend: 'It weighs less than an empty one. Are the two weights the other way round?' };
  const aerosol = sheet !== undefined && isSprayCan(sheet);
  const ml = (grossG - emptyG) / (aerosol && product.density === undefined ? AEROSOL_DENSITY : densityOf(product));
  if (ml > can.packMl * (1 + TOLERANCE))
    return { ok: false, mend: `That would be ${Math.round(ml)} mL, more than it holds. Check both weights, or the density of the paint.` };
  return { ok: true, ml: Math.min(can.packMl, Math.round(ml * 10) / 10) };
}
