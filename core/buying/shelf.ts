import { paintIn } from '#core/amounts/index';
import { type Can, type Facts, type Family, type LaidCoat, type LogEvent, standingEvents } from '#core/facts/index';
import { type Minute, toMinute } from '#core/units/index';

/** A can with what is left in it now: as entered or weighed, less what was sprayed since. */
export type ShelfCan = {
  readonly id: string;
  readonly productId: string;
  readonly packMl: number;
  readonly leftMl: number;
  readonly opened: boolean;
  readonly paid: number;
  readonly source: 'own' | 'default';
};

/** Every can on the shelf; cans marked bought stand here too. What is left is derived, a weighing resets it. */
export function shelfCans(facts: Facts): ShelfCan[] {
  const events = standingEvents(facts.events);
  const bought: Can[] = events.flatMap((event) =>
    event.kind !== 'bought'
      ? []
      : Array.from({ length: event.count }, (_, index) => ({
          id: `${event.id}-${index}`,
          productId: event.productId,
          packMl: event.packMl,
          leftMl: event.packMl,
          leftAt: event.at,
          opened: false,
          paid: Math.round(event.paid / event.count),
        })),
  );
  const entries = [...facts.cans, ...bought, ...events.flatMap(jarOf)].map((can): Entry => {
    const weighing = events.filter((event) => event.kind === 'weighed' && event.canId === can.id).at(-1);
    const weighed = weighing?.kind === 'weighed' && toMinute(weighing.at) >= toMinute(can.leftAt) ? weighing : null;
    return {
      can,
      left: weighed ? weighed.leftMl : can.leftMl,
      since: toMinute(weighed ? weighed.at : can.leftAt),
      weighed: weighed !== null,
      opened: can.opened,
      paid: can.paid,
    };
  });
  for (const event of events) {
    const at = toMinute(event.at);
    if (event.kind === 'done' && event.coat?.productId !== undefined && event.coat.ml)
      drawn(entries, event.coat.productId, at, paintOf(event.coat, facts));
    if (event.kind !== 'mixed') continue;
    const paid = event.parts.reduce((sum, part) => sum + drawn(entries, part.productId, at, part.ml), 0);
    const jar = entries.find(({ can }) => can.id === jarId(event.id));
    if (jar) jar.paid = Math.round(paid);
  }
  return entries.map(({ can, left, weighed, opened, paid }) => ({
    id: can.id,
    productId: can.productId,
    packMl: can.packMl,
    leftMl: left,
    opened,
    paid,
    source: weighed ? 'own' : 'default',
  }));
}

type Entry = {
  readonly can: Can;
  left: number;
  readonly since: Minute;
  readonly weighed: boolean;
  opened: boolean;
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
    cost += (taken / entry.can.packMl) * entry.paid;
    if (taken > 0) entry.opened = true;
    if (wanted <= 0) break;
  }
  return cost;
}

function jarId(eventId: string): string {
  return `${eventId}-0`;
}

/** The jar that a mix fills. */
function jarOf(event: LogEvent): Can[] {
  if (event.kind !== 'mixed') return [];
  const ml = event.parts.reduce((sum, part) => sum + part.ml, 0);
  return [{ id: jarId(event.id), productId: event.productId, packMl: ml, leftMl: ml, leftAt: event.at, opened: true, paid: 0 }];
}

/** Paint from its container in a coat as it was sprayed: less what was mixed in (BRIEF §6). */
function paintOf(coat: LaidCoat, facts: Facts): number {
  const ml = coat.ml ?? 0;
  if (coat.ratio) return ml / (1 + coat.ratio.reducer + coat.ratio.hardener);
  const product = facts.products.find((own) => own.id === coat.productId);
  const label = facts.sheets.find((own) => own.id === product?.sheetId)?.label;
  return paintIn(ml, label, coat.hand).paintMl;
}

/** mL of a product that will still come out of its cans. */
export function usableMl(cans: readonly ShelfCan[], productId: string, residue: number): number {
  return cans.filter((can) => can.productId === productId).reduce((sum, can) => sum + Math.max(0, can.leftMl - residue * can.packMl), 0);
}

/** The families of which some paint is on the shelf: an empty can is no paint. */
export function ownedFamilies(facts: Facts): Family[] {
  const left = shelfCans(facts).filter((can) => can.leftMl > 0);
  const sheetIds = left.map((can) => facts.products.find((product) => product.id === can.productId)?.sheetId);
  return [...new Set(facts.sheets.filter((sheet) => sheetIds.includes(sheet.id)).map((sheet) => sheet.family))];
}
