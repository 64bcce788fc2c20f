import { colourWord } from '#core/colour/index';
import { type Collection, type Facts, type LogEvent, type Part, type Piece, plain, type Product } from '#core/facts/index';
import { entryText, type EntryWords } from './entryText.ts';

/** What is looked for by words: pieces, their parts, paints and the log. */
export type Searchable = {
  readonly kind: 'piece' | 'part' | 'paint' | 'entry';
  readonly id: string;
  /** The piece it belongs to, or nothing. */
  readonly pieceId: string;
  /** ISO moment of an entry, or nothing. */
  readonly at: string;
  readonly title: string;
  readonly body: string;
};

/** The rows a fact gives to the search; most kinds of fact give none. */
export function searchableFact(collection: Collection, fact: { readonly id: string }, facts: Facts): Searchable[] {
  if (collection === 'pieces') return searchablePiece(fact as Piece);
  if (collection === 'products') return [searchablePaint(fact as Product, facts)];
  return [];
}

export function searchableEntry(event: LogEvent, facts: Facts, words: EntryWords): Searchable {
  const { what, who } = entryText(event, facts, words);
  return { kind: 'entry', id: event.id, pieceId: 'pieceId' in event ? (event.pieceId ?? '') : '', at: event.at, title: what, body: who };
}

function searchablePiece(piece: Piece): Searchable[] {
  const row = { pieceId: piece.id, at: '' };
  const whole: Searchable = {
    ...row,
    kind: 'piece',
    id: piece.id,
    title: piece.name,
    body: [plain(piece.looksLike), plain(piece.aim), ...piece.parcels.map(({ name }) => name)].join(', '),
  };
  return [
    whole,
    ...piece.parts.map((part) => ({ ...row, kind: 'part' as const, id: part.id, title: part.name, body: bodyOf(part, piece) })),
  ];
}

function bodyOf(part: Part, piece: Piece): string {
  const wanted = part.layers.flatMap((layer) => layer.wanted?.name ?? []);
  const marks = (part.marks ?? []).map((mark) => `${plain(mark.kind)} ${mark.where}`);
  return [piece.name, plain(part.material), ...wanted, ...marks].join(', ');
}

function searchablePaint(product: Product, facts: Facts): Searchable {
  const sheet = facts.sheets.find((own) => own.id === product.sheetId);
  return {
    kind: 'paint',
    id: product.id,
    pieceId: '',
    at: '',
    title: product.name,
    body: [product.code, sheet?.name, sheet && plain(sheet.family), sheet && plain(sheet.role), colourWord(product.lab)]
      .filter(Boolean)
      .join(', '),
  };
}

const MOST_WORDS = 12;

/** The words of what was typed, without marks: at most a dozen, the first ones. */
export function searchWords(typed: string): string[] {
  return (typed.slice(0, 400).match(/[\p{L}\p{N}]+/gu) ?? []).slice(0, MOST_WORDS);
}
