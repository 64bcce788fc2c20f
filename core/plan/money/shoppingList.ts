import type { PaintNeed, PurchaseLine, Purchases } from '#core/buying/index';
import type { Parcel, Piece } from '#core/facts/index';
import { DAY, type Minute } from '#core/units/index';
import type { PlannedStep } from '../dates/index.ts';

/** The purchases as a list to shop by: what each line is for, what waits for it, and whether it has to be ordered tonight. */

export type ShoppingLine = PurchaseLine & {
  /** Pieces that take it, in the order they need it. */
  readonly pieceIds: readonly string[];
  /** mL the coats lack of it, all packs together. */
  readonly wantedMl: number;
  /** The first step that waits for it; null where nothing has a date. */
  readonly waits: { readonly stepId: string; readonly title: string; readonly pieceId: string } | null;
  /** Ordered later than within a day it comes too late. */
  readonly tonight: boolean;
  /** Mixed in, beside the paint: reducer or hardener. */
  readonly additive: boolean;
};

export type ShoppingShop = Omit<Purchases['shops'][number], 'lines'> & { readonly lines: readonly ShoppingLine[] };

export function shoppingList(
  { shops }: Purchases,
  needs: readonly PaintNeed[],
  steps: readonly PlannedStep[],
  now: Minute,
): ShoppingShop[] {
  return shops.map((shop) => ({ ...shop, lines: shop.lines.map((line) => shoppingLine(line, needs, steps, now)) }));
}

function shoppingLine(line: PurchaseLine, needs: readonly PaintNeed[], steps: readonly PlannedStep[], now: Minute): ShoppingLine {
  const need = needs.find(({ mix }) => mix === line.mix);
  const own = steps.filter(({ coat }) => coat?.mix === line.mix).sort((a, b) => startOf(a) - startOf(b));
  const [first] = own.filter(({ placed }) => placed !== null);
  return {
    ...line,
    pieceIds: [...new Set(own.map(({ pieceId }) => pieceId))],
    wantedMl: need?.missingMl ?? 0,
    waits: first ? { stepId: first.id, title: first.title, pieceId: first.pieceId } : null,
    tonight: line.orderBy !== null && line.orderBy < now + DAY,
    additive: need !== undefined && need.what !== 'paint',
  };
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
