import { CAN_RESIDUE, paintIn } from '#core/amounts/index';
import type { Can, Facts, LaidCoat, LogEvent } from '#core/facts/index';
import { type Minute, splitExactly, toMinute } from '#core/units/index';
import { typicalPack } from './typical.ts';

/**
 * Paint that was sprayed and that nobody noted buying. It came out of some can all the same: a usual one at the price that is known,
 * bought when it was first sprayed and borne by the pieces by what they take of it. Once a can of the paint is entered, that one counts.
 */

export type UnnotedPaint = {
  /** The product, or the word for a paint that is none yet: what batches of it are told by. */
  readonly key: string;
  /** As cans of the shelf; none where it is no product. */
  readonly cans: readonly Can[];
  /** What will still come out of them, mL. */
  readonly leftMl: number;
  readonly paid: readonly { readonly pieceId: string; readonly at: Minute; readonly paid: number }[];
};

/** So much of a paint taken for a piece: by a coat, or poured into a mix that its coats were sprayed from. */
type Taking = {
  readonly eventId: string;
  readonly at: string;
  readonly pieceId: string;
  readonly ml: number;
  readonly paint: Pick<LaidCoat, 'productId' | 'family' | 'role' | 'hand'>;
  /** Tells the cans of one entry apart: paints that went into one cup. */
  readonly slot: string;
};

const KNOWN = new WeakMap<Facts, readonly UnnotedPaint[]>();

/** Remembered for as long as the same facts stand. @param standing the log as it counts */
export function unnotedPaint(facts: Facts, standing: readonly LogEvent[]): readonly UnnotedPaint[] {
  const known = KNOWN.get(facts) ?? reckoned(facts, standing);
  KNOWN.set(facts, known);
  return known;
}

/** What batches of a paint are told by. */
function keyOf({ productId, family, role, name }: LaidCoat): string {
  return productId ?? `${family} ${role} ${name}`;
}

function reckoned(facts: Facts, standing: readonly LogEvent[]): UnnotedPaint[] {
  const cameBy = cansCameBy(facts.events);
  // Such a can of which more was said is still one that nobody noted buying; jars and bought ones are told by their entries.
  const entered = facts.cans.filter((can) => !cameBy(can));
  const owned = new Set([
    ...entered.map(({ productId }) => productId),
    ...standing.flatMap((event) => (event.kind === 'bought' || event.kind === 'mixed' ? [event.productId] : [])),
    // What is mixed here is in no shop.
    ...facts.products.flatMap(({ id, mix }) => (mix ? [id] : [])),
  ]);
  const coats = standing.flatMap((event) => takenByCoat(event, facts));
  const takings = new Map<string, Taking[]>();
  for (const [key, taking] of [...coats, ...standing.flatMap((event) => pouredInto(event, coats, facts))])
    if (!owned.has(key)) takings.set(key, [...(takings.get(key) ?? []), taking]);
  return [...takings].map(([key, own]) =>
    paintOf(
      key,
      own.sort((a, b) => toMinute(a.at) - toMinute(b.at)),
      facts,
    ),
  );
}

type Keyed = readonly [key: string, taking: Taking];

function takenByCoat(event: LogEvent, facts: Facts): Keyed[] {
  // An entry without a word on supplies is from before they were noted; of what is recalled nobody knows whose can it was.
  if (event.kind !== 'done' || event.recalled || event.supplies === undefined || !event.coat?.ml) return [];
  const { id: eventId, at, pieceId, coat } = event;
  return [[keyOf(coat), { eventId, at, pieceId, ml: mlOf(coat, facts), paint: coat, slot: '' }]];
}

/** What went into a cup is borne by the pieces that were sprayed from it; before that it is nobody's. */
function pouredInto(event: LogEvent, coats: readonly Keyed[], facts: Facts): Keyed[] {
  if (event.kind !== 'mixed') return [];
  const takers = coats.flatMap(([key, taking]) => (key === event.productId ? [taking] : []));
  const whole = takers.reduce((sum, { ml }) => sum + ml, 0);
  return event.parts.flatMap(({ productId, ml }, index) => {
    const sheetId = facts.products.find(({ id }) => id === productId)?.sheetId;
    const sheet = facts.sheets.find(({ id }) => id === sheetId);
    if (!sheet) return [];
    const paint = { productId, family: sheet.family, role: sheet.role, hand: sheet.hand ?? ('airbrush' as const) };
    return takers.map((taker): Keyed => {
      const { id: eventId, at } = event;
      return [productId, { eventId, at, pieceId: taker.pieceId, ml: (ml * taker.ml) / whole, paint, slot: `p${index}` }];
    });
  });
}

function paintOf(key: string, takings: readonly Taking[], facts: Facts): UnnotedPaint {
  const [first] = takings;
  const pack = packOf(first.paint, facts);
  const byPiece = new Map<string, number>();
  for (const { pieceId, ml } of takings) byPiece.set(pieceId, (byPiece.get(pieceId) ?? 0) + ml);
  const takenMl = [...byPiece.values()].reduce((sum, ml) => sum + ml, 0);
  const usable = pack.ml * (first.paint.hand === 'aerosol' ? 1 - CAN_RESIDUE : 1);
  const count = Math.max(1, Math.ceil(takenMl / usable - 1e-9));
  const shares = splitExactly(count * pack.price, [...byPiece.values()]);
  const { productId } = first.paint;
  const can = (index: number, id: string): Can => ({
    id: `${first.eventId}-${first.slot}${index}`,
    productId: id,
    packMl: pack.ml,
    leftMl: pack.ml,
    leftAt: first.at,
    opened: false,
    paid: pack.price,
  });
  return {
    key,
    cans: productId === undefined ? [] : Array.from({ length: count }, (_, index) => can(index, productId)),
    leftMl: count * usable - takenMl,
    paid: [...byPiece.keys()].map((pieceId, index) => ({
      pieceId,
      at: toMinute((takings.find((taking) => taking.pieceId === pieceId) ?? first).at),
      paid: shares[index],
    })),
  };
}

/** Whether a can came by an entry of the log, bought, mixed or first sprayed from, and was not entered by itself. */
export function cansCameBy(events: readonly LogEvent[]): (can: Pick<Can, 'id' | 'productId'>) => boolean {
  const byId = new Map(events.map((event) => [event.id, event]));
  return ({ id, productId }) => {
    // An id may look so by chance: the entry must be of the same paint too.
    const event = byId.get(id.replace(/-(p\d)?\d+$/, ''));
    if (event?.kind === 'done') return event.coat?.productId === productId;
    if (event?.kind === 'mixed') return event.productId === productId || event.parts.some((part) => part.productId === productId);
    return event?.kind === 'bought' && event.productId === productId;
  };
}

/** The cheapest pack that a shop has of it, else its usual one. */
function packOf(
  { productId, family, role, hand }: Taking['paint'],
  { offers, products }: Facts,
): { readonly ml: number; readonly price: number } {
  const [offer] = offers.filter((own) => own.productId === productId && own.stock !== 0).sort((a, b) => a.price - b.price);
  if (offer) return { ml: offer.packMl, price: offer.price };
  const product = products.find(({ id }) => id === productId);
  return product ? { ml: product.typicalMl, price: product.typicalPrice } : typicalPack(family, role, hand);
}

/** Paint from its container in a coat as it was sprayed: less what was mixed in (trade §6). */
export function mlOf(coat: LaidCoat, { products, sheets }: Facts): number {
  const ml = coat.ml ?? 0;
  if (coat.ratio) return ml / (1 + coat.ratio.reducer + coat.ratio.hardener);
  const product = products.find((own) => own.id === coat.productId);
  return paintIn(ml, sheets.find((own) => own.id === product?.sheetId)?.label, coat.hand).paintMl;
}
