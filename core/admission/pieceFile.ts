import {
  EMPTY_FACTS,
  type Facts,
  FORMAT_VERSION,
  type LogEvent,
  type Piece,
  type Problem,
  problemOf,
  type Read,
  factsSchema,
  upgraded,
} from '#core/facts/index';
import { z } from 'zod';
import { refusedIn } from './refused.ts';

/** One piece as a file by itself: with its log, and the paints and places both speak of. */

export const PIECE_FORMAT = 'enamelos-piece';

export const pieceFileSchema = z
  .strictObject({
    format: z.literal(PIECE_FORMAT),
    version: z.literal(FORMAT_VERSION),
    writtenAt: z.iso.datetime({ offset: true }),
    /** What its money is in. */
    currency: z.string().regex(/^[A-Z]{3}$/),
    facts: factsSchema.extend({ pieces: factsSchema.shape.pieces.length(1, 'A piece file holds one piece.') }),
  })
  .meta({ id: 'PieceFile', title: 'Enamelos piece file' });
export type PieceFile = z.infer<typeof pieceFileSchema>;

/** @returns null where there is no such piece */
export function pieceFileOf(facts: Facts, pieceId: string, writtenAt: string): PieceFile | null {
  const piece = facts.pieces.find((own) => own.id === pieceId);
  if (!piece) return null;
  const events = eventsOf(facts.events, pieceId);
  const coats = events.flatMap((event) => (event.kind === 'done' && event.coat ? [event.coat] : []));
  const productIds = new Set([...productsOf(piece), ...coats.flatMap((coat) => coat.productId ?? [])]);
  const products = facts.products.filter((product) => productIds.has(product.id));
  const places = new Set(coats.map((coat) => coat.placeId));
  return {
    format: PIECE_FORMAT,
    version: FORMAT_VERSION,
    writtenAt,
    currency: facts.workshop[0]?.currency ?? 'EUR',
    facts: {
      ...EMPTY_FACTS,
      pieces: [piece],
      products,
      sheets: facts.sheets.filter((sheet) => products.some((product) => product.sheetId === sheet.id)),
      places: facts.places.filter((place) => places.has(place.id)),
      budgets: facts.budgets.filter(({ pieceIds }) => pieceIds?.length === 1 && pieceIds[0] === pieceId),
      events,
    },
  };
}

function productsOf(piece: Piece): string[] {
  return piece.parts.flatMap((part) => [...part.layers, ...(part.details ?? [])].flatMap(({ productId }) => productId ?? []));
}

const OF_THE_SHELF: readonly LogEvent['kind'][] = ['bought', 'mixed', 'spoiled'];

/** What was done to a piece, and what took some of that back; what was bought or mixed stays with the workshop that paid. */
function eventsOf(events: readonly LogEvent[], pieceId: string): LogEvent[] {
  const own = events.filter((event) => 'pieceId' in event && event.pieceId === pieceId && !OF_THE_SHELF.includes(event.kind));
  const ids = new Set(own.map((event) => event.id));
  return events.filter(
    (event) => ids.has(event.id) || (event.kind === 'undo' && ids.has(event.undoes)) || (event.kind === 'amend' && ids.has(event.amends)),
  );
}

/** Whether a text says of itself that it is one piece. */
export function isPieceText(text: string): boolean {
  return new RegExp(`^\\uFEFF?\\s*\\{\\s*"format"\\s*:\\s*"${PIECE_FORMAT}"`).test(text);
}

/** Reads a piece file as the program takes it: its shape, and nothing in it that is never done. */
export function readPieceText(text: string): Read<PieceFile> {
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return refuse({ error: 'This is no readable piece file.', at: '(file)', mend: 'It may be cut short. Export the piece again.' });
  }
  const version = (raw as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > FORMAT_VERSION)
    return refuse({
      error: `The file is of version ${version}; this program reads up to ${FORMAT_VERSION}.`,
      at: 'version',
      mend: 'Update the program, then bring the piece in again.',
    });
  const parsed = pieceFileSchema.safeParse(upgraded(raw));
  if (!parsed.success) return refuse(problemOf(parsed.error));
  const { facts } = parsed.data;
  const lost = productsOf(facts.pieces[0]).find((id) => !facts.products.some((product) => product.id === id));
  if (lost !== undefined)
    return refuse({ error: `The paint “${lost}” is not in the file.`, at: 'facts.products', mend: 'Export the piece again.' });
  const sheetless = facts.products.findIndex((product) => !facts.sheets.some((sheet) => sheet.id === product.sheetId));
  if (sheetless >= 0)
    return refuse({ error: 'A paint has no sheet.', at: `facts.products.${sheetless}.sheetId`, mend: 'Export the piece again.' });
  const never = refusedIn(facts.pieces[0], facts, 'facts.pieces.0');
  return never ? refuse(never) : { ok: true, value: parsed.data };
}

function refuse(problem: Problem): Read<never> {
  return { ok: false, problem };
}
