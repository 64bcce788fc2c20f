import type { Role, Workshop } from '#core/facts/index';

/** Paint kept for touch-up, unmixed, labelled and dated (trade §6 and §7). */

/** mL kept of each colour of a piece where the person has not said otherwise: enough for a few chips by brush. */
export const TOUCH_UP_ML = 5;

const KEPT: readonly Role[] = ['colour', 'metallic'];

/** mL of one paint kept a piece, for touch-up: of colours only; primer and clear are bought again. */
export function reserveMl(role: Role, workshop: Pick<Workshop, 'touchUpMl'>): number {
  return KEPT.includes(role) ? (workshop.touchUpMl ?? TOUCH_UP_ML) : 0;
}
