import type { Lab } from '#core/facts/index';
import { WHITE } from './observer.ts';
import { labOfXyz, xyzOfLab } from './spectrum.ts';

/**
 * A surface throws back about 4 % of the light whatever lies below it (Fresnel, refractive index 1.5): a glossy one as a mirror,
 * past the eye; a flat one all round, as a veil that makes a colour lighter and duller. So gloss deepens and flat greys.
 */
const VEIL = 0.04;

/** @param from gloss units at which the colour was seen @param to gloss units it gets, 0–100 */
export function atGloss(lab: Lab, from: number, to: number): Lab {
  const more = (VEIL * (from - to)) / 100;
  const { x, y, z } = xyzOfLab(lab);
  const veiled = (value: number, white: number) => Math.max(0, value + more * white);
  const { l, a, b } = labOfXyz(veiled(x, WHITE.x), veiled(y, WHITE.y), veiled(z, WHITE.z));
  return { l: Math.min(100, Math.max(0, l)), a, b };
}
