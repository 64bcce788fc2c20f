import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { BadFact } from './store/store.ts';
import type { StoredPicture } from './store/pictures.ts';

/** The workshop file with its pictures: a zip of workshop.json and pictures/<id>.jpg. */

const FACTS = 'workshop.json';
const PICTURE = /^pictures\/([A-Za-z0-9_-]{1,64})\.jpg$/;
const MOST_UNPACKED = 400_000_000;

export function packed(text: string, pictures: readonly StoredPicture[]): Buffer {
  const files = Object.fromEntries(pictures.map(({ id, bytes }) => [`pictures/${id}.jpg`, [new Uint8Array(bytes), { level: 0 }] as const]));
  return Buffer.from(zipSync({ [FACTS]: strToU8(text), ...files } as Parameters<typeof zipSync>[0]));
}

/** @throws BadFact for a zip that cannot be read, is too large unpacked, or holds no workshop */
export function unpacked(zip: Buffer): {
  readonly text: string;
  readonly pictures: readonly { readonly id: string; readonly bytes: Buffer }[];
} {
  let files: Record<string, Uint8Array>;
  let size = 0;
  try {
    files = unzipSync(new Uint8Array(zip), {
      filter: ({ name, originalSize }) => {
        size += originalSize;
        return size <= MOST_UNPACKED && (name === FACTS || PICTURE.test(name));
      },
    });
  } catch {
    throw new BadFact({
      error: 'This zip file cannot be read.',
      at: '(file)',
      mend: 'It may be cut short. Export it again and import that.',
    });
  }
  if (size > MOST_UNPACKED)
    throw new BadFact({ error: 'This zip file is too large.', at: '(file)', mend: 'Import a file of at most 400 MB unpacked.' });
  if (!files[FACTS])
    throw new BadFact({ error: `The zip file holds no ${FACTS}.`, at: '(file)', mend: 'Choose a file that was exported from here.' });
  const pictures = Object.entries(files).flatMap(([name, bytes]) => {
    const id = PICTURE.exec(name)?.[1];
    return id ? [{ id, bytes: Buffer.from(bytes) }] : [];
  });
  return { text: strFromU8(files[FACTS]), pictures };
}
