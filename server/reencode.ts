import sharp, { type FormatEnum, type Metadata } from 'sharp';
import { BadFact } from './store/refusals.ts';
import type { StoredPicture } from './store/pictures.ts';

const LONGEST_SIDE = 1600;
const MOST_PIXELS = 120_000_000;
const MOST_SECONDS = 20;
const QUALITY = 82;
/** What a camera or a phone makes; a drawing that is a program, such as SVG, is none of them. */
const FORMATS: readonly (keyof FormatEnum)[] = ['jpeg', 'png', 'webp', 'tiff', 'heif', 'gif'];

/**
 * A picture made small, turned upright by its own mark, and freed of metadata: nobody learns where it was taken.
 * @throws BadFact where the bytes are no picture that can be read
 */
export async function reencode(id: string, bytes: Buffer): Promise<StoredPicture> {
  try {
    await photographOf(bytes);
    const { data, info } = await opened(bytes)
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
      mend: `Choose a JPEG, PNG, WebP, TIFF or GIF of at most ${MOST_PIXELS / 1e6} megapixels.`,
    });
  }
}

/**
 * A picture that was exported from here stays byte for byte: it is small, upright and bare already. Any other, and one
 * that does not decode to its end, is encoded once more or refused. @throws BadFact as `reencode`
 */
export async function asExported(id: string, bytes: Buffer): Promise<StoredPicture> {
  try {
    const { format, width, height, ...seen } = await photographOf(bytes);
    const bare = !seen.exif && !seen.icc && !seen.iptc && !seen.xmp && !seen.orientation;
    if (format !== 'jpeg' || !bare || Math.max(width, height) > LONGEST_SIDE) return await reencode(id, bytes);
    await opened(bytes).stats();
    return { id, width, height, bytes };
  } catch {
    return reencode(id, bytes);
  }
}

function opened(bytes: Buffer) {
  return sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'truncated' }).timeout({ seconds: MOST_SECONDS });
}

async function photographOf(bytes: Buffer): Promise<Metadata> {
  const seen = await sharp(bytes, { limitInputPixels: MOST_PIXELS }).metadata();
  if (!FORMATS.includes(seen.format)) throw new Error(`${seen.format} is no photograph.`);
  return seen;
}
