import { supplyKey, unitPrice } from '#core/amounts/index';
import { type DoneEvent, type EventOf, type Facts, type Stock, standingEvents, type SupplyLine } from '#core/facts/index';
import { localMoment, type Minute, toMinute } from '#core/units/index';
import { unnotedPaint } from './unnoted.ts';

/** Papers, tape and the rest that are on the shelf now: as counted, with what was bought since, less what steps used up. */

/** Something used that nobody noted buying: it must have been bought all the same, at the price that is known. */
export type BoughtOutside = { readonly pieceId: string; readonly at: Minute; readonly paid: number };

type Ledger = { readonly rows: readonly Stock[]; readonly outside: readonly BoughtOutside[]; readonly uses: readonly SupplyUse[] };
export type SupplyUse = { readonly pieceId: string; readonly at: string; readonly line: SupplyLine };

const KNOWN = new WeakMap<Facts, Ledger>();

/** Every row with what is left of it. Nothing falls below 0: the rest was bought outside. */
export function shelfStock(facts: Facts): readonly Stock[] {
  return ledgerOf(facts).rows;
}

/** Paint and all beside it. */
export function boughtOutside(facts: Facts): readonly BoughtOutside[] {
  return [...ledgerOf(facts).outside, ...unnotedPaint(facts, standingEvents(facts.events)).flatMap(({ paid }) => paid)];
}

/** Everything used up beside paint, by whom: what steps say, and gloves and tack cloths by the days they were worn on. */
export function supplyUses(facts: Facts): readonly SupplyUse[] {
  return ledgerOf(facts).uses;
}

/** Remembered for as long as the same facts stand. */
function ledgerOf(facts: Facts): Ledger {
  const known = KNOWN.get(facts) ?? reckoned(facts);
  KNOWN.set(facts, known);
  return known;
}

function reckoned(facts: Facts): Ledger {
  const rows = new Map(facts.stock.map((row) => [supplyKey(row), row]));
  const events = standingEvents(facts.events);
  const uses = usesIn(events, facts);
  const outside: BoughtOutside[] = [];
  let next = 0;
  for (const event of events) {
    for (; next < uses.length && toMinute(uses[next].at) < toMinute(event.at); next++) outside.push(...used(rows, uses[next]));
    if (event.kind === 'stocked') bought(rows, event);
    if (event.kind === 'counted') counted(rows, event);
  }
  for (const use of uses.slice(next)) outside.push(...used(rows, use));
  return { rows: [...rows.values()], outside, uses };
}

function usesIn(events: ReturnType<typeof standingEvents>, facts: Facts): SupplyUse[] {
  const done = events.filter((event) => event.kind === 'done');
  const said = done.flatMap(({ pieceId, at, supplies = [] }) => supplies.map((line): SupplyUse => ({ pieceId, at, line })));
  // An event without a word on supplies is from before they were noted: its gloves are no news either.
  const worn = wornIn(
    done.filter(({ supplies, recalled }) => supplies !== undefined && !recalled),
    facts.workshop[0]?.timeZone ?? 'UTC',
  );
  return [...said, ...worn].sort((a, b) => toMinute(a.at) - toMinute(b.at));
}

/** A pair of gloves a day at the bench, two with stripper, and a fifth of a tack cloth where it is sprayed; shared by the pieces of that day. */
function wornIn(done: readonly DoneEvent[], timeZone: string): SupplyUse[] {
  const days = new Map<string, DoneEvent[]>();
  for (const event of done) {
    const day = localMoment(toMinute(event.at), timeZone).date;
    days.set(day, [...(days.get(day) ?? []), event]);
  }
  return [...days.values()].flatMap((own) => {
    const pieces = [...new Set(own.map(({ pieceId }) => pieceId))];
    return pieces.flatMap((pieceId) => {
      const mine = own.filter((event) => event.pieceId === pieceId);
      return wornBy(mine, 1 / pieces.length).map((line): SupplyUse => ({ pieceId, at: mine[mine.length - 1].at, line }));
    });
  });
}

function wornBy(mine: readonly DoneEvent[], share: number): SupplyLine[] {
  const stages = mine.flatMap(({ stepKeys }) => stepKeys.map((key) => key.split('.')[2]));
  const sprayed = mine.some(({ coat }) => coat !== undefined);
  const stripper = stages.some((stage) => stage === 'strip-on' || stage === 'strip-off');
  const gloved =
    sprayed || mine.some(({ method }) => method !== undefined) || stages.some((stage) => stage === 'clean' || stage === 'metal-prep');
  return sessionSupplies({ gloved, stripper, sprayed, share });
}

/** A tack cloth serves so many sessions. */
const SESSIONS_A_TACK_CLOTH = 5;

/** What a stay at the bench uses up by itself, for a piece's share of it (trade §12). */
export function sessionSupplies({
  gloved,
  stripper,
  sprayed,
  share,
}: {
  readonly gloved: boolean;
  readonly stripper: boolean;
  readonly sprayed: boolean;
  /** Above 0, at most 1. */
  readonly share: number;
}): SupplyLine[] {
  if (!gloved) return [];
  return [
    { kind: 'gloves', spec: stripper ? 'for strippers' : 'nitrile', unit: 'pair', amount: (stripper ? 2 : 1) * share },
    ...(sprayed
      ? [{ kind: 'tack-cloth' as const, spec: 'tack cloth', unit: 'piece' as const, amount: share / SESSIONS_A_TACK_CLOTH }]
      : []),
  ];
}

function bought(rows: Map<string, Stock>, event: EventOf<'stocked'>): void {
  const { id, supply: kind, spec, unit, amount, at } = event;
  const row = rows.get(supplyKey({ kind, spec }));
  // Of a millilitre it is a part of a cent.
  const price = event.paid / amount;
  if (!row) rows.set(supplyKey({ kind, spec }), { id, kind, spec, unit, left: amount, leftAt: at, unitPrice: price });
  // Counted since then: it was among what was counted.
  else if (!since(row, at)) return;
  // Some of it, never counted, and so much more is still some of it.
  else rows.set(supplyKey(row), { ...row, ...(row.left === undefined ? {} : { left: row.left + amount }), unitPrice: price });
}

function counted(rows: Map<string, Stock>, { stockId, left, at }: EventOf<'counted'>): void {
  const row = [...rows.values()].find(({ id }) => id === stockId);
  if (row && since(row, at)) rows.set(supplyKey(row), { ...row, left, leftAt: at });
}

/** Takes it off its row, and says what of it the shelf did not have. */
function used(rows: Map<string, Stock>, { pieceId, at, line }: SupplyUse): BoughtOutside[] {
  const row = rows.get(supplyKey(line));
  const short = (amount: number): BoughtOutside[] => {
    const paid = Math.round(amount * unitPrice(line, [...rows.values()]).price);
    return paid > 0 ? [{ pieceId, at: toMinute(at), paid }] : [];
  };
  if (!row) return short(line.amount);
  // Some of it, never counted, is taken to be enough; what was counted since knows of this use.
  if (row.left === undefined || row.unit !== line.unit || !since(row, at)) return [];
  rows.set(supplyKey(row), { ...row, left: Math.max(0, Math.round((row.left - line.amount) * 1000) / 1000) });
  return short(Math.max(0, line.amount - row.left));
}

function since({ leftAt }: Stock, at: string): boolean {
  return toMinute(at) >= toMinute(leftAt);
}

/** A row as it may be kept: a price worked out from a purchase may be a part of a cent, and is worked out again. */
export function asKept({ unitPrice: price, ...row }: Stock): Stock {
  return { ...row, ...(price !== undefined && Number.isInteger(price) ? { unitPrice: price } : {}) };
}

/** Whether the log says that some of it was bought: then the row stays, with nothing left, when it is taken off the shelf. */
export function wasBought(row: Pick<Stock, 'kind' | 'spec'>, { events }: Pick<Facts, 'events'>): boolean {
  return standingEvents(events).some((event) => event.kind === 'stocked' && event.supply === row.kind && event.spec === row.spec);
}
