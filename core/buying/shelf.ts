import { CAN_RESIDUE, detailMl } from '#core/amounts/index';
import { isInSprayCan } from '#core/coats/index';
import { type Can, type EventOf, type Facts, type Family, type LogEvent, standingEvents } from '#core/facts/index';
import { type Minute, noonOf, toMinute } from '#core/units/index';
import { cansCameBy, mlOf, unnotedPaint } from './unnoted.ts';

/** A can with what is left in it now: as entered or weighed, less what was sprayed since. */
export type ShelfCan = {
  readonly id: string;
  readonly productId: string;
  readonly packMl: number;
  readonly leftMl: number;
  readonly opened: boolean;
  /** When it was first drawn on, or said to be opened; null: closed, or nobody knows. */
  readonly openedAt: Minute | null;
  /** When something last came out of it; null: never, as far as the log knows. */
  readonly usedAt: Minute | null;
  readonly paid: number;
  readonly source: 'own' | 'default';
  /** How it is known what is left. */
  readonly known: 'weighed' | 'by eye' | 'reckoned';
};

/** Paint that curdled, dried up, was spilt or came out the wrong colour. */
export type LostPaint = {
  readonly canId: string;
  readonly productId: string;
  readonly ml: number;
  /** What it had cost, minor units. */
  readonly cost: number;
  /** The piece it was for. */
  readonly pieceId?: string;
};

/** Every can on the shelf; cans marked bought stand here too. What is left is derived, a weighing resets it. */
export function shelfCans(facts: Facts): ShelfCan[] {
  return ledgerOf(facts).entries.map(({ can, left, held, weighed, opened, openedAt, usedAt, paid }) => ({
    id: can.id,
    productId: can.productId,
    packMl: held,
    leftMl: left,
    opened,
    openedAt,
    usedAt,
    paid,
    source: weighed ? 'own' : 'default',
    known: weighed ? (weighed.by === 'eye' ? 'by eye' : 'weighed') : 'reckoned',
  }));
}

/** What was lost of the shelf, and what it had cost. */
export function lostPaint(facts: Facts): readonly LostPaint[] {
  return ledgerOf(facts).lost;
}

type Ledger = { readonly entries: readonly Entry[]; readonly lost: readonly LostPaint[] };

const KNOWN = new WeakMap<Facts, Ledger>();

/** Remembered for as long as the same facts stand. */
function ledgerOf(facts: Facts): Ledger {
  const known = KNOWN.get(facts) ?? reckoned(facts);
  KNOWN.set(facts, known);
  return known;
}

function reckoned(facts: Facts): Ledger {
  const events = standingEvents(facts.events);
  const entries = cansOf(facts, events).map((can) => entryOf(can, events));
  const lost: LostPaint[] = [];
  for (const event of events) {
    const at = toMinute(event.at);
    if (event.kind === 'done' && event.coat?.productId !== undefined && event.coat.ml)
      drawn(entries, event.coat.productId, at, mlOf(event.coat, facts));
    for (const { productId, ml } of detailsOf(event, facts)) drawn(entries, productId, at, ml);
    if (event.kind === 'mixed') poured(entries, event, at);
    if (event.kind === 'spoiled') lost.push(...thrownAway(entries, event, at));
  }
  return { entries, lost };
}

/**
 * Cans as entered, bought and mixed, and those that paint was sprayed from without a word. One that had more said of it since, where
 * it stands or when it expires, is a fact of its own under the same id; it goes with what it came by where that is undone.
 */
function cansOf(facts: Facts, standing: readonly LogEvent[]): Can[] {
  const made = [...standing.flatMap(madeBy), ...unnotedPaint(facts, standing).flatMap(({ cans }) => cans)];
  const known = new Set(facts.cans.map(({ id }) => id));
  const stands = new Set(made.map(({ id }) => id));
  const cameBy = cansCameBy(facts.events);
  return [...facts.cans.filter((can) => stands.has(can.id) || !cameBy(can)), ...made.filter(({ id }) => !known.has(id))];
}

function madeBy(event: LogEvent): Can[] {
  return [...boughtOf(event), ...jarOf(event)];
}

/** A can as the fact it is, or would be once something is said of it; null where there is none. */
export function canFact(id: string, facts: Facts): Can | null {
  return cansOf(facts, standingEvents(facts.events)).find((can) => can.id === id) ?? null;
}

function entryOf(can: Can, events: readonly LogEvent[]): Entry {
  const weighing = events.filter((event) => event.kind === 'weighed' && event.canId === can.id).at(-1);
  const weighed = weighing?.kind === 'weighed' && toMinute(weighing.at) >= toMinute(can.leftAt) ? weighing : null;
  return {
    can,
    left: weighed ? weighed.leftMl : can.leftMl,
    held: can.packMl,
    since: toMinute(weighed ? weighed.at : can.leftAt),
    weighed,
    opened: can.opened,
    openedAt: can.openedOn === undefined ? null : noonOf(can.openedOn),
    usedAt: null,
    paid: can.paid,
  };
}

function boughtOf(event: LogEvent): Can[] {
  if (event.kind !== 'bought') return [];
  return Array.from({ length: event.count }, (_, index) => ({
    id: `${event.id}-${index}`,
    productId: event.productId,
    packMl: event.packMl,
    leftMl: event.packMl,
    leftAt: event.at,
    opened: false,
    paid: Math.round(event.paid / event.count),
  }));
}

/** Paint that details brushed by then took of the bottle they name. */
function detailsOf(event: LogEvent, { pieces }: Facts): { readonly productId: string; readonly ml: number }[] {
  if (event.kind !== 'done') return [];
  return event.stepKeys.flatMap((key) => {
    const [pieceId, partId, stage, detailId] = key.split('.');
    if (stage !== 'detail') return [];
    const part = pieces.find((own) => own.id === pieceId)?.parts.find((own) => own.id === partId);
    const detail = part?.details?.find((own) => own.id === detailId);
    return part && detail?.productId !== undefined ? [{ productId: detail.productId, ml: detailMl(detail, part.copies) }] : [];
  });
}

/** The paints of a mix leave their bottles for its own jar, or for one that stands there. */
function poured(entries: readonly Entry[], event: EventOf<'mixed'>, at: Minute): void {
  const paid = event.parts.reduce((sum, part) => sum + drawn(entries, part.productId, at, part.ml), 0);
  const jar = entries.find(({ can }) => can.id === (event.intoCanId ?? jarId(event.id)));
  if (!jar) return;
  if (event.intoCanId === undefined) {
    jar.paid = Math.round(paid);
    return;
  }
  // A weighing since then has seen it already.
  if (jar.since > at) return;
  const worth = (jar.left / jar.held) * jar.paid + paid;
  jar.left += event.parts.reduce((sum, part) => sum + part.ml, 0);
  jar.held = Math.max(jar.held, jar.left);
  // Paid for a full jar at what a millilitre in it has cost now.
  jar.paid = Math.round((worth / jar.left) * jar.held);
}

function thrownAway(entries: readonly Entry[], event: EventOf<'spoiled'>, at: Minute): LostPaint[] {
  const entry = entries.find(({ can }) => can.id === event.canId);
  if (!entry || entry.since > at || entry.left <= 0) return [];
  const ml = entry.left;
  entry.left = 0;
  const cost = Math.round((ml / entry.held) * entry.paid);
  return [{ canId: event.canId, productId: entry.can.productId, ml, cost, ...(event.pieceId ? { pieceId: event.pieceId } : {}) }];
}

type Entry = {
  readonly can: Can;
  left: number;
  /** What it holds when full, mL: a jar grows by what is poured into it. */
  held: number;
  readonly since: Minute;
  /** The last time somebody looked or weighed; null: never. */
  readonly weighed: EventOf<'weighed'> | null;
  opened: boolean;
  openedAt: Minute | null;
  usedAt: Minute | null;
  paid: number;
};

/** Paint taken from the cans of a product that stood there by then; returns what it had cost. */
function drawn(entries: readonly Entry[], productId: string, at: Minute, ml: number): number {
  let wanted = ml;
  let cost = 0;
  const open = entries
    .filter((entry) => entry.can.productId === productId && entry.since <= at && entry.left > 0)
    // The fullest opened can first is not how it is done: the emptier one is finished before the next is opened.
    .sort((a, b) => Number(b.opened) - Number(a.opened) || a.left - b.left);
  for (const entry of open) {
    const taken = Math.min(entry.left, wanted);
    entry.left -= taken;
    wanted -= taken;
    cost += (taken / entry.held) * entry.paid;
    if (taken > 0) {
      if (!entry.opened) entry.openedAt = at;
      entry.opened = true;
      entry.usedAt = at;
    }
    if (wanted <= 0) break;
  }
  return cost;
}

function jarId(eventId: string): string {
  return `${eventId}-0`;
}

/** The jar that a mix fills. */
function jarOf(event: LogEvent): Can[] {
  if (event.kind !== 'mixed' || event.intoCanId !== undefined) return [];
  const ml = event.parts.reduce((sum, part) => sum + part.ml, 0);
  return [{ id: jarId(event.id), productId: event.productId, packMl: ml, leftMl: ml, leftAt: event.at, opened: true, paid: 0 }];
}

/** mL that stand on the shelf of each product, all its cans together. */
export function leftOnShelf(facts: Facts): ReadonlyMap<string, number> {
  const left = new Map<string, number>();
  for (const { productId, leftMl } of shelfCans(facts)) left.set(productId, (left.get(productId) ?? 0) + leftMl);
  return left;
}

/** Share of a can that never comes out of it: of spray cans alone; a bottle is poured to the last drop (trade §7). */
export function residueOf(productId: string | undefined, { products, sheets }: Pick<Facts, 'products' | 'sheets'>): number {
  const product = products.find(({ id }) => id === productId);
  const sheet = sheets.find(({ id }) => id === product?.sheetId);
  return product && sheet && isInSprayCan(product, sheet) ? CAN_RESIDUE : 0;
}

/** mL of a product that will still come out of its cans. @param residue see `residueOf` */
export function usableMl(cans: readonly ShelfCan[], productId: string, residue: number): number {
  return cans.filter((can) => can.productId === productId).reduce((sum, can) => sum + Math.max(0, can.leftMl - residue * can.packMl), 0);
}

/** The families of which some paint is on the shelf: an empty can is no paint. */
export function ownedFamilies(facts: Facts): Family[] {
  const left = shelfCans(facts).filter((can) => can.leftMl > 0);
  const sheetIds = left.map((can) => facts.products.find((product) => product.id === can.productId)?.sheetId);
  return [...new Set(facts.sheets.filter((sheet) => sheetIds.includes(sheet.id)).map((sheet) => sheet.family))];
}
