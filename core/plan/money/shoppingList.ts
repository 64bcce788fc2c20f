import type { PurchaseLine, Purchases, Want } from '#core/buying/index';
import type { Parcel, Piece } from '#core/facts/index';
import { supplyKey } from '#core/amounts/index';
import { DAY, type Minute } from '#core/units/index';
import { additivesOf, type PlannedStep } from '../dates/index.ts';

/** The purchases as a list to shop by: what each line is for, what waits for it, and whether it has to be ordered tonight. */

export type ShoppingLine = PurchaseLine & {
  /** Pieces that take it, in the order they need it. */
  readonly pieceIds: readonly string[];
  /** What is lacking of it, all packs together, in its unit. */
  readonly wanted: number;
  /** The first step that waits for it; null where nothing has a date. */
  readonly waits: { readonly stepId: string; readonly title: string; readonly pieceId: string } | null;
  /** Ordered later than within a day it comes too late. */
  readonly tonight: boolean;
};

export type ShoppingShop = Omit<Purchases['shops'][number], 'lines'> & {
  readonly lines: readonly ShoppingLine[];
  /** Until all of it is here. */
  readonly days: number;
};

export function shoppingList({ shops }: Purchases, wants: readonly Want[], steps: readonly PlannedStep[], now: Minute): ShoppingShop[] {
  const listed = shops.map((shop) => ({
    ...shop,
    lines: tonightFirst(
      shop.lines.map((line) => shoppingLine(line, wants, steps, now)),
      ({ tonight }) => tonight,
    ),
    days: Math.max(0, ...shop.lines.map(({ leadDays }) => leadDays)),
  }));
  return tonightFirst(listed, ({ lines }) => lines.some(({ tonight }) => tonight));
}

/** What has to be ordered tonight stands on top; else the order stays. */
function tonightFirst<T>(list: readonly T[], tonight: (own: T) => boolean): T[] {
  return [...list.filter(tonight), ...list.filter((own) => !tonight(own))];
}

function shoppingLine(line: PurchaseLine, wants: readonly Want[], steps: readonly PlannedStep[], now: Minute): ShoppingLine {
  const want = wants.find(({ key }) => key === line.want);
  const takers = want?.byPiece.map(({ pieceId }) => pieceId) ?? [];
  const own = steps.filter((step) => takes(step, line)).sort((a, b) => startOf(a) - startOf(b));
  const [first] = own.filter(({ placed }) => placed !== null && placed.start >= (line.neededBy ?? 0));
  return {
    ...line,
    pieceIds: [...new Set([...own.map(({ pieceId }) => pieceId).filter((id) => takers.includes(id)), ...takers])],
    wanted: want?.amount ?? 0,
    waits: first ? { stepId: first.id, title: first.title, pieceId: first.pieceId } : null,
    // A part nobody has ordered is waited for from today on.
    tonight: line.of === 'parcel' || (line.orderBy !== null && line.orderBy < now + DAY),
  };
}

/** Whether a step uses up what a line brings. */
function takes({ coat, supplies }: PlannedStep, { of, want, name }: PurchaseLine): boolean {
  if (of === 'paint') return coat?.mix === want;
  if (of === 'supply') return supplies.some((line) => supplyKey(line) === want);
  return of !== 'parcel' && coat !== undefined && additivesOf(coat).some((own) => own.what === of && own.name === name);
}

function startOf({ placed }: PlannedStep): Minute {
  return placed?.start ?? Number.POSITIVE_INFINITY;
}

/** Everything else of the pieces that nobody has ordered yet: each day it waits, what needs it waits too. */
export function toOrder(pieces: readonly Piece[]): { readonly piece: Piece; readonly parcel: Parcel }[] {
  return pieces
    .filter(({ finished, held }) => !finished && !held)
    .flatMap((piece) => piece.parcels.filter(isUnordered).map((parcel) => ({ piece, parcel })));
}

function isUnordered({ arrived, due, orderedAt }: Parcel): boolean {
  return !arrived && due === undefined && orderedAt === undefined;
}
