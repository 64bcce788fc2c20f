import { supplyKey } from '#core/amounts/index';
import { type EventOf, type Facts, type Stock, standingEvents, type SupplyLine } from '#core/facts/index';
import { toMinute } from '#core/units/index';

/** Papers, tape and the rest that are on the shelf now: as counted, with what was bought since, less what steps used up. */

const KNOWN = new WeakMap<Facts, readonly Stock[]>();

/** Every row with what is left of it; remembered for as long as the same facts stand. Nothing falls below 0: the count was wrong then. */
export function shelfStock(facts: Facts): readonly Stock[] {
  const known = KNOWN.get(facts) ?? reckoned(facts);
  KNOWN.set(facts, known);
  return known;
}

function reckoned(facts: Facts): Stock[] {
  const rows = new Map(facts.stock.map((row) => [supplyKey(row), row]));
  for (const event of standingEvents(facts.events)) {
    if (event.kind === 'stocked') bought(rows, event);
    if (event.kind === 'counted') counted(rows, event);
    if (event.kind === 'done') for (const line of event.supplies ?? []) used(rows, line, event.at);
  }
  return [...rows.values()];
}

function bought(rows: Map<string, Stock>, event: EventOf<'stocked'>): void {
  const { id, supply: kind, spec, unit, amount, at } = event;
  const row = rows.get(supplyKey({ kind, spec }));
  const unitPrice = Math.round(event.paid / amount);
  if (!row) rows.set(supplyKey({ kind, spec }), { id, kind, spec, unit, left: amount, leftAt: at, unitPrice });
  // Counted since then: it was among what was counted.
  else if (!since(row, at)) return;
  // Some of it, never counted, and so much more is still some of it.
  else rows.set(supplyKey(row), { ...row, ...(row.left === undefined ? {} : { left: row.left + amount }), unitPrice });
}

function counted(rows: Map<string, Stock>, { stockId, left, at }: EventOf<'counted'>): void {
  const row = [...rows.values()].find(({ id }) => id === stockId);
  if (row && since(row, at)) rows.set(supplyKey(row), { ...row, left, leftAt: at });
}

function used(rows: Map<string, Stock>, line: SupplyLine, at: string): void {
  const row = rows.get(supplyKey(line));
  if (row?.left === undefined || row.unit !== line.unit || !since(row, at)) return;
  rows.set(supplyKey(row), { ...row, left: Math.max(0, Math.round((row.left - line.amount) * 1000) / 1000) });
}

function since({ leftAt }: Stock, at: string): boolean {
  return toMinute(at) >= toMinute(leftAt);
}
