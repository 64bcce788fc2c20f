import sharp from 'sharp';
import { BadFact } from './store/store.ts';
import type { StoredPicture } from './store/pictures.ts';

const LONGEST_SIDE = 1600;
const MOST_PIXELS = 120_000_000;
const QUALITY = 82;

/**
 * A picture made small, turned upright by its own mark, and freed of metadata: nobody learns where it was taken.
 * @throws BadFact where the bytes are no picture that can be read
 */
export async function reencode(id: string, bytes: Buffer): Promise<StoredPicture> {
  try {
    const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS })
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: QUALITY })
      .toBuffer({ resolveWithObject: true });
    return { id, width: info.width, height: info.height, bytes: data };
  } catch {
    throw new BadFact({
      error: 'This is no picture that can be read here.',
      at: '(file)',
      mend: 'Choose a JPEG, PNG, WebP or TIFF of at most 120 megapixels.',
    });
  }
}
