import type { Lab } from '#core/facts/index';
import { labOfSpectrum, type Spectrum, spectrumOf } from './spectrum.ts';

/**
 * What a paint looks like over a ground: each coat leaves its share of what showed below, band by band. Reckoned on cube roots, as
 * lightness is: the contrast that a coat lets through is one of L*, so that prediction and coats to hide agree (trade §7).
 * A colour that no surface can have is taken as it is.
 * @param share of the contrast below that one coat lets through, 0–1
 */
export function overGround(ground: Lab, paint: Lab, share: number, coats: number): Lab {
  const [below, own] = [reflectanceOf(ground), reflectanceOf(paint)];
  if (!below || !own) return paint;
  const shows = share ** coats;
  return labOfSpectrum(
    own.map((reflectance, band) => (Math.cbrt(reflectance) + (Math.cbrt(below[band]) - Math.cbrt(reflectance)) * shows) ** 3),
  );
}

function reflectanceOf(lab: Lab): Spectrum | null {
  try {
    return spectrumOf(lab);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
