import { type Facts, FORMAT, FORMAT_VERSION, type WorkshopFile } from '#core/facts/index';
import { pieceFileOf } from '#core/admission/index';
import { packed, type Unpacked } from './archive.ts';
import { asExported, reencode } from './reencode.ts';
import type { Contents } from './store/copies.ts';
import type { StoredPicture } from './store/pictures.ts';

export type Written = { readonly bytes: Buffer; readonly kind: 'json' | 'zip' };

/** A workshop as the open file: JSON, or a zip where there are pictures. `stamp`: the moment it is written, ISO. */
export function exported({ facts, pictures }: Contents, stamp: string): Written {
  const file: WorkshopFile = { format: FORMAT, version: FORMAT_VERSION, writtenAt: `${stamp.slice(0, 19)}Z`, facts };
  return written(file, pictures);
}

/** One piece as a file by itself, or null where it is not here. */
export function exportedPiece({ facts, pictures }: Contents, pieceId: string, stamp: string): Written | null {
  const file = pieceFileOf(facts, pieceId, `${stamp.slice(0, 19)}Z`);
  if (!file) return null;
  const named = new Set(pictureIds(file.facts));
  return written(
    file,
    pictures.filter(({ id }) => named.has(id)),
  );
}

function written(file: object, pictures: readonly StoredPicture[]): Written {
  const text = JSON.stringify(file);
  return pictures.length === 0 ? { bytes: Buffer.from(text), kind: 'json' } : { bytes: packed(text, pictures), kind: 'zip' };
}

/** Every picture is read before anything is written: one that is none refuses the file. @throws BadFact */
export async function imagesOf({ pictures }: Unpacked): Promise<StoredPicture[]> {
  const images: StoredPicture[] = [];
  for (const { id, bytes, asExported: own } of pictures) images.push(await (own ? asExported(id, bytes) : reencode(id, bytes)));
  return images;
}

/** The pictures that facts name. */
export function pictureIds(facts: Facts): string[] {
  return facts.pieces.flatMap((piece) => (piece.pictures ?? []).map((picture) => picture.id));
}
