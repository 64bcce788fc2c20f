import { colourDifference } from '#core/colour/index';
import type { Budget, Facts, LogEvent, Piece, Product, Sheet } from '#core/facts/index';
import type { PieceFile } from './pieceFile.ts';

/** A piece of another workshop as one of this: under ids of its own, in the paints that are here where they are the same. */

export type BroughtIn = {
  readonly piece: Piece;
  readonly sheets: readonly Sheet[];
  readonly products: readonly Product[];
  /** What may be spent on it. */
  readonly budgets: readonly Budget[];
  readonly events: readonly LogEvent[];
  /** Ids of pictures in the file, to what they are called here. */
  readonly pictures: ReadonlyMap<string, string>;
  readonly report: {
    readonly name: string;
    /** Paints of the file that are here already, by name. */
    readonly matched: readonly string[];
    /** Paints that come along. */
    readonly brought: readonly string[];
    /** What its money is in, where that is another than here. */
    readonly otherCurrency: string | null;
    /** Places of its log that are not here: their coats count as laid where things dry here. */
    readonly placesUnknown: readonly string[];
  };
};

/** The same colour to the eye, ΔE2000. */
const SAME_COLOUR = 1;

export function broughtIn(file: PieceFile, here: Facts, newId: () => string): BroughtIn {
  const [piece] = file.facts.pieces;
  const paints = paintsFor(file.facts, here, newId);
  const placeIds = placesFor(file.facts, here);
  const pictures = new Map((piece.pictures ?? []).map((picture) => [picture.id, newId()]));
  const id = newId();
  const eventIds = new Map(file.facts.events.map((event) => [event.id, newId()]));
  const renamed: Renaming = { pieceId: new Map([[piece.id, id]]), productId: paints.ids, placeId: placeIds, pictureId: pictures };
  const own = renamedIn(piece, renamed) as Piece;
  return {
    piece: {
      ...own,
      id,
      ...(own.pictures ? { pictures: own.pictures.map((picture) => ({ ...picture, id: pictures.get(picture.id) ?? picture.id })) } : {}),
      ...(own.board ? { board: { varies: own.board.varies } } : {}),
      parts: withFreePegs(own, here),
    },
    sheets: paints.sheets,
    products: paints.products,
    budgets: file.facts.budgets.slice(0, 1).map(({ amount }) => ({ id: newId(), pieceIds: [id], amount })),
    events: file.facts.events.map((event) => renamedEvent(event, piece.id, id, eventIds, renamed)),
    pictures,
    report: {
      name: piece.name,
      matched: paints.matched,
      brought: paints.products.map(({ name }) => name),
      otherCurrency: file.currency === here.workshop[0]?.currency ? null : file.currency,
      placesUnknown: file.facts.places.filter(({ name }) => !here.places.some((place) => place.name === name)).map(({ name }) => name),
    },
  };
}

type Paints = {
  readonly ids: ReadonlyMap<string, string>;
  readonly sheets: readonly Sheet[];
  readonly products: readonly Product[];
  readonly matched: readonly string[];
};

function paintsFor(from: Facts, here: Facts, newId: () => string): Paints {
  const ids = new Map<string, string>();
  const sheetIds = new Map<string, string>();
  const sheets: Sheet[] = [];
  const products: Product[] = [];
  const matched: string[] = [];
  for (const product of from.products) {
    const sheet = from.sheets.find((own) => own.id === product.sheetId);
    if (!sheet) continue;
    const same = here.products.find((own) => samePaint(own, product) && sameSheet(sheetOf(own, here), sheet));
    if (same) {
      ids.set(product.id, same.id);
      matched.push(same.name);
      continue;
    }
    const id = newId();
    ids.set(product.id, id);
    products.push({ ...product, id, sheetId: sheetFor(sheet) });
  }
  return { ids, sheets, products, matched };

  function sheetFor(sheet: Sheet): string {
    const known = sheetIds.get(sheet.id) ?? here.sheets.find((own) => sameWord({ ...own, id: '' }, { ...sheet, id: '' }))?.id;
    if (known !== undefined) return known;
    const id = newId();
    sheetIds.set(sheet.id, id);
    sheets.push({ ...sheet, id });
    return id;
  }
}

function samePaint(a: Product, b: Product): boolean {
  return a.name.toLocaleLowerCase() === b.name.toLocaleLowerCase() && colourDifference(a.lab, b.lab) < SAME_COLOUR;
}

function sheetOf(product: Product, facts: Facts): Sheet | undefined {
  return facts.sheets.find((sheet) => sheet.id === product.sheetId);
}

function sameSheet(a: Sheet | undefined, b: Sheet): boolean {
  return a !== undefined && a.family === b.family && a.role === b.role && a.hand === b.hand && a.isocyanate === b.isocyanate;
}

function sameWord(a: object, b: object): boolean {
  return JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
}

function sorted(value: object): object {
  return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)));
}

/** Every place of the file as one here: by its name, else where things dry. */
function placesFor(from: Facts, here: Facts): ReadonlyMap<string, string> {
  const usual = here.workshop[0]?.dryPlaceId ?? here.places[0]?.id ?? '';
  const coats = from.events.flatMap((event) => (event.kind === 'done' && event.coat ? [event.coat.placeId] : []));
  return new Map(
    coats.map((id) => {
      const name = from.places.find((place) => place.id === id)?.name;
      return [id, here.places.find((place) => place.name === name)?.id ?? usual];
    }),
  );
}

/** What is said under these names is an id, and is called otherwise here. */
type Renaming = Readonly<Record<'pieceId' | 'productId' | 'placeId' | 'pictureId', ReadonlyMap<string, string>>>;

function renamedIn(value: unknown, renaming: Renaming): unknown {
  if (Array.isArray(value)) return value.map((item) => renamedIn(item, renaming));
  if (!value || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, item]) => {
      const names = Object.hasOwn(renaming, key) ? renaming[key as keyof Renaming] : undefined;
      return [key, names && typeof item === 'string' ? (names.get(item) ?? item) : renamedIn(item, renaming)];
    }),
  );
}

function renamedEvent(event: LogEvent, was: string, is: string, ids: ReadonlyMap<string, string>, renaming: Renaming): LogEvent {
  const own = renamedIn(event, renaming) as LogEvent;
  const id = ids.get(event.id) ?? event.id;
  if (own.kind === 'undo') return { ...own, id, undoes: ids.get(own.undoes) ?? own.undoes };
  if (own.kind === 'amend') return { ...own, id, amends: ids.get(own.amends) ?? own.amends };
  if (!('stepKeys' in own)) return { ...own, id };
  return { ...own, id, stepKeys: own.stepKeys.map((key) => (key.startsWith(`${was}.`) ? `${is}${key.slice(was.length)}` : key)) };
}

/** A stick that hangs here already keeps its number; the part that comes gets one when it is hung. */
function withFreePegs(piece: Piece, here: Facts): Piece['parts'] {
  const taken = new Set(here.pieces.flatMap((own) => own.parts.flatMap((part) => part.pegs)));
  return piece.parts.map((part) => ({ ...part, pegs: part.pegs.filter((peg) => !taken.has(peg)) }));
}
