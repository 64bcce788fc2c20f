import { type Read, readWorkshopText, type WorkshopFile } from '#core/facts/index';
import { refusedIn } from './refused.ts';

/** Reads a workshop file as the program takes it: its shape and references, and nothing in it that is never done. */
export function readWorkshopFile(text: string): Read<WorkshopFile> {
  const read = readWorkshopText(text);
  if (!read.ok) return read;
  const { facts } = read.value;
  for (const [index, piece] of facts.pieces.entries()) {
    const problem = refusedIn(piece, facts, `facts.pieces.${index}`);
    if (problem) return { ok: false, problem };
  }
  return read;
}
