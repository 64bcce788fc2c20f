import { strToU8, zipSync } from 'fflate';
import { createHash } from 'node:crypto';
import { crc32 } from 'node:zlib';
import yauzl from 'yauzl';
import { BadFact } from './store/refusals.ts';
import type { StoredPicture } from './store/pictures.ts';

/** The workshop file with its pictures: a zip of workshop.json, pictures/<id>.jpg and pictures.json with their hashes. */

const FACTS = 'workshop.json';
const HASHES = 'pictures.json';
const PICTURE = /^pictures\/([A-Za-z0-9_-]{1,64})\.jpg$/;
const MOST_UNPACKED = 400_000_000;
const MOST_FILES = 10_000;

export type ZippedPicture = {
  readonly id: string;
  readonly bytes: Buffer;
  /** The bytes are the ones that were exported. */
  readonly asExported: boolean;
};
export type Unpacked = { readonly text: string; readonly pictures: readonly ZippedPicture[] };

export function packed(text: string, pictures: readonly StoredPicture[]): Buffer {
  const hashes = Object.fromEntries(pictures.map(({ id, bytes }) => [id, hashOf(bytes)]));
  const files = Object.fromEntries(pictures.map(({ id, bytes }) => [`pictures/${id}.jpg`, [new Uint8Array(bytes), { level: 0 }] as const]));
  return Buffer.from(
    zipSync({ [FACTS]: strToU8(text), [HASHES]: strToU8(JSON.stringify(hashes)), ...files } as Parameters<typeof zipSync>[0]),
  );
}

/**
 * Sizes are read from the zip's directory before anything is unpacked, and every checksum is held against its bytes.
 * @throws BadFact for a zip that cannot be read, is too large unpacked, or holds no workshop
 */
export async function unpacked(zip: Buffer): Promise<Unpacked> {
  const files = await filesOf(zip);
  const facts = files.get(FACTS);
  if (!facts) throw refused(`The zip file holds no ${FACTS}.`, 'Choose a file that was exported from here.');
  const hashes = hashesIn(files.get(HASHES));
  const pictures = [...files].flatMap(([name, bytes]) => {
    const id = PICTURE.exec(name)?.[1];
    return id ? [{ id, bytes, asExported: hashes.get(id) === hashOf(bytes) }] : [];
  });
  return { text: facts.toString('utf8'), pictures };
}

export function isZip(file: Buffer): boolean {
  return file.subarray(0, 2).toString('latin1') === 'PK';
}

function hashOf(bytes: Buffer): string {
  return createHash('sha256').update(bytes).digest('hex');
}

function hashesIn(file: Buffer | undefined): ReadonlyMap<string, unknown> {
  try {
    return new Map(Object.entries(JSON.parse(file?.toString('utf8') ?? '{}') ?? {}));
  } catch {
    return new Map();
  }
}

function refused(error: string, mend: string): BadFact {
  return new BadFact({ error, at: '(file)', mend });
}

async function filesOf(zip: Buffer): Promise<Map<string, Buffer>> {
  try {
    const archive = await yauzl.fromBufferPromise(zip, { lazyEntries: true, validateEntrySizes: true });
    const entries: yauzl.Entry[] = [];
    for await (const entry of archive.eachEntry()) {
      entries.push(entry);
      refuseTooLarge(entries);
    }
    const files = new Map<string, Buffer>();
    for (const entry of entries.filter(({ fileName }) => [FACTS, HASHES].includes(fileName) || PICTURE.test(fileName)))
      files.set(entry.fileName, await bytesOf(archive, entry));
    return files;
  } catch (error) {
    if (error instanceof BadFact) throw error;
    throw refused('This zip file cannot be read.', 'It may be cut short. Export it again and import that.');
  }
}

function refuseTooLarge(entries: readonly yauzl.Entry[]): void {
  const size = entries.reduce((sum, entry) => sum + entry.uncompressedSize, 0);
  if (size > MOST_UNPACKED || entries.length > MOST_FILES)
    throw refused(
      'This zip file is too large.',
      `Import a file of at most ${MOST_UNPACKED / 1e6} MB unpacked, with at most ${MOST_FILES} files in it.`,
    );
}

async function bytesOf(archive: yauzl.ZipFile, entry: yauzl.Entry): Promise<Buffer> {
  const chunks: Buffer[] = [];
  for await (const chunk of await archive.openReadStreamPromise(entry)) chunks.push(chunk as Buffer);
  const bytes = Buffer.concat(chunks);
  if (crc32(bytes) !== entry.crc32)
    throw refused(
      `${entry.fileName} in the zip file is damaged: its checksum is another.`,
      'Export it again, or take an earlier export, and import that.',
    );
  return bytes;
}
