import type { Lab } from '#core/facts/index';
import { labOfSpectrum, spectrumOf } from './spectrum.ts';

/**
 * What a paint looks like over a ground: each coat leaves its share of what showed below, band by band, so that prediction and
 * coats to hide agree (BRIEF §7).
 * @param share of the contrast below that one coat lets through, 0–1
 */
export function overGround(ground: Lab, paint: Lab, share: number, coats: number): Lab {
  const [below, own] = [spectrumOf(ground), spectrumOf(paint)];
  const shows = share ** coats;
  return labOfSpectrum(own.map((reflectance, band) => reflectance + (below[band] - reflectance) * shows));
}
