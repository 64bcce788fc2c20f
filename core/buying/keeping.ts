import { type Conditions, familyDrying } from '#core/drying/index';
import { type Can, type Facts, type Family, type Sheet, standingEvents } from '#core/facts/index';
import { addDays, counted, DAY, dateFigures, HOUR, heatText, localMoment, type Minute, toMinute } from '#core/units/index';
import { type ShelfCan, shelfCans } from './shelf.ts';

/** How what stands on the shelf keeps: expiry, age since opening, frost where it stands, a nozzle that dries up, an end in sight. */

/** What is wrong with a can or soon will be; the gravest first. */
export type Keeping = {
  readonly kind: 'expired' | 'frost' | 'stale' | 'expiring' | 'nozzle' | 'low';
  readonly text: string;
  /** What it rests on: a printed day and a forecast, or what is usual. */
  readonly source: 'label' | 'default' | 'own';
};

/** Water paint and opened hardener are lost below this; a degree of margin for a shelf against an outer wall, °C. */
const FROST_C = 1;
const FROST_AHEAD = 7 * DAY;
/** A nozzle that has not sprayed for so long may be dry. */
const NOZZLE_DAYS = 90;
const EXPIRING_DAYS = 30;
/** Of a full can: less than this is soon used up. */
const LOW_SHARE = 0.12;

/** Days an opened container keeps, by what is in it; usual values, the label counts before them. */
function keepsDays({ family, hand }: Pick<Sheet, 'family' | 'hand'>): number {
  if (family === 'urethane-2k' || family === 'epoxy-primer') return hand === 'aerosol' ? 2 : 180;
  if (family === 'etch-primer') return 365;
  if (hand === 'aerosol') return 3 * 365;
  return familyDrying(family).mechanism === 'coalescence' ? 2 * 365 : 3 * 365;
}

/** Whether frost ruins it: paint thinned with water, and hardener that has been opened (trade §11). */
export function frostKills(family: Family, opened: boolean): boolean {
  return familyDrying(family).mechanism === 'coalescence' || (opened && familyDrying(family).mechanism === 'crosslinking');
}

function storedCan({ id }: ShelfCan, { cans }: Facts): Can | undefined {
  return cans.find((can) => can.id === id);
}

/** Everything to be said of each can, by its id; cans that are well are left out. */
export function keepingOf(facts: Facts, conditions: Conditions, now: Minute): ReadonlyMap<string, readonly Keeping[]> {
  const found = shelfCans(facts).flatMap((can) => {
    if (can.leftMl <= 0) return [];
    const list = [expiry(can, facts, now), frost(can, facts, conditions, now), age(can, facts, now), nozzle(can, facts, now), low(can)];
    const own = list.filter((keeping) => keeping !== null).sort((a, b) => RANK[a.kind] - RANK[b.kind]);
    return own.length > 0 ? [[can.id, own] as const] : [];
  });
  return new Map(found);
}

const RANK: Readonly<Record<Keeping['kind'], number>> = { expired: 0, frost: 1, stale: 2, expiring: 3, nozzle: 4, low: 5 };

function sheetOf({ productId }: ShelfCan, facts: Facts): Sheet | undefined {
  const sheetId = facts.products.find(({ id }) => id === productId)?.sheetId;
  return facts.sheets.find(({ id }) => id === sheetId);
}

function expiry(can: ShelfCan, facts: Facts, now: Minute): Keeping | null {
  const expires = storedCan(can, facts)?.expires;
  if (expires === undefined) return null;
  const [workshop] = facts.workshop;
  const today = localMoment(now, workshop?.timeZone ?? 'UTC').date;
  const day = dateFigures(expires, workshop?.units.dates ?? 'day-first');
  if (expires < today)
    return { kind: 'expired', text: `Past its day, ${day}: test it on scrap before it goes on a piece.`, source: 'label' };
  if (expires > addDays(today, EXPIRING_DAYS)) return null;
  return { kind: 'expiring', text: `Good until ${day}: plan it before then.`, source: 'label' };
}

function frost(can: ShelfCan, facts: Facts, conditions: Conditions, now: Minute): Keeping | null {
  const family = sheetOf(can, facts)?.family;
  if (family === undefined || !frostKills(family, can.opened)) return null;
  const placeId = storedCan(can, facts)?.placeId ?? facts.workshop[0]?.dryPlaceId;
  const place = facts.places.find(({ id }) => id === placeId);
  const air = placeId === undefined ? undefined : conditions[placeId];
  if (!place || !air) return null;
  const from = Math.max(0, Math.floor((now - air.start) / HOUR));
  const ahead = air.tempC.slice(from, from + FROST_AHEAD / HOUR);
  const coldest = Math.min(...ahead);
  if (coldest > FROST_C) return null;
  const hours = ahead.indexOf(coldest);
  const when = hours < 24 ? 'within a day' : `in ${counted(Math.round(hours / 24), 'day')}`;
  return {
    kind: 'frost',
    text: `${place.name} falls to ${heatText(coldest, facts.workshop[0]?.units.temperature ?? 'C')} ${when}: frost ruins it. Carry it indoors.`,
    source: air.measured ? 'own' : 'default',
  };
}

function age(can: ShelfCan, facts: Facts, now: Minute): Keeping | null {
  const sheet = sheetOf(can, facts);
  if (!sheet || can.openedAt === null) return null;
  const days = Math.floor((now - can.openedAt) / DAY);
  if (days <= keepsDays(sheet)) return null;
  return {
    kind: 'stale',
    text: `Open for ${spell(days)}; it usually keeps ${spell(keepsDays(sheet))}. Stir, strain, test on scrap.`,
    source: 'default',
  };
}

function nozzle(can: ShelfCan, facts: Facts, now: Minute): Keeping | null {
  const sheet = sheetOf(can, facts);
  if (sheet?.hand !== 'aerosol' || !can.opened) return null;
  const last = can.usedAt ?? can.openedAt;
  if (last === null) return null;
  const days = Math.floor((now - last) / DAY);
  if (days < NOZZLE_DAYS) return null;
  return {
    kind: 'nozzle',
    text: `Not sprayed for ${spell(days)}: its nozzle may be dry. Try it on card and keep a spare.`,
    source: 'default',
  };
}

function low({ leftMl, packMl, source }: ShelfCan): Keeping | null {
  if (leftMl > LOW_SHARE * packMl) return null;
  return { kind: 'low', text: 'Nearly empty.', source };
}

function spell(days: number): string {
  if (days < 60) return counted(days, 'day');
  return days < 4 * 365 ? counted(Math.round(days / 30.4), 'month') : counted(Math.round(days / 365), 'year');
}

/** Where a paint has gone: piece by piece, mL as it was sprayed, thinner and hardener in it; the last use first. */
export type PaintUse = { readonly pieceId: string; readonly ml: number; readonly coats: number; readonly last: Minute };

export function usesOf(productId: string, { events }: Pick<Facts, 'events'>): PaintUse[] {
  const uses = new Map<string, PaintUse>();
  for (const event of standingEvents(events)) {
    if (event.kind !== 'done' || event.coat?.productId !== productId) continue;
    const known = uses.get(event.pieceId) ?? { pieceId: event.pieceId, ml: 0, coats: 0, last: 0 };
    uses.set(event.pieceId, {
      ...known,
      ml: known.ml + (event.coat.ml ?? 0),
      coats: known.coats + 1,
      last: Math.max(known.last, toMinute(event.at)),
    });
  }
  return [...uses.values()].sort((a, b) => b.last - a.last);
}

/** What a paint promised and did not hold, in the person's words, the last first. */
export function letDowns(productId: string, { events }: Pick<Facts, 'events'>): readonly string[] {
  return standingEvents(events)
    .flatMap((event) => (event.kind === 'let-down' && event.productId === productId ? [event.text] : []))
    .reverse();
}

/** A coat without its minutes is taken to have been sprayed in so many. */
const USUAL_SPRAY_MINUTES = 5;

/** Minutes at the spray since the cartridges of the respirator were changed: every coat not brushed. Null where nobody counts them. */
export function cartridgeMinutes({ workshop, events }: Pick<Facts, 'workshop' | 'events'>): number | null {
  const since = workshop[0]?.cartridgesSince;
  if (since === undefined) return null;
  return standingEvents(events).reduce((sum, event) => {
    if (event.kind !== 'done' || !event.coat || event.coat.hand === 'brush' || event.recalled || toMinute(event.at) < toMinute(since))
      return sum;
    return sum + (event.minutes ?? event.expected ?? USUAL_SPRAY_MINUTES);
  }, 0);
}
