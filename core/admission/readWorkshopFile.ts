import { type Read, readWorkshopText, type WorkshopFile } from '#core/facts/index';
import { refusedMethod } from '#core/strip/index';

/** Reads a workshop file as the program takes it: its shape and references, and no strip method that is never used on its part. */
export function readWorkshopFile(text: string): Read<WorkshopFile> {
  const read = readWorkshopText(text);
  if (!read.ok) return read;
  for (const [index, piece] of read.value.facts.pieces.entries()) {
    const problem = refusedMethod(piece, `facts.pieces.${index}`);
    if (problem) return { ok: false, problem };
  }
  return read;
}
