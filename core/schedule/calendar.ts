import type { Facts, Workshop } from '#core/facts/index';
import { addDays, atLocal, DAY, joinedSpans, localMoment, type Minute, minuteOfDay, toMinute } from '#core/units/index';
import type { FreeInterval } from './model.ts';

/** Minutes kept free at both ends of a stay: laying out and packing up. */
export const LAY_OUT_MINUTES = 6;
export const PACK_UP_MINUTES = 5;
const HORIZON_DAYS = 150;

/**
 * Free stretches from now on: weekly habit and single stretches, less days away and busy time; overlapping ones joined, none longer
 * than a stay may be.
 */
export function freeIntervals(
  workshop: Workshop,
  now: Minute,
  { days = HORIZON_DAYS, busy = [] }: { readonly days?: number; readonly busy?: readonly FreeInterval[] } = {},
): FreeInterval[] {
  const around = stretchesAround(workshop, localMoment(now, workshop.timeZone).date, days);
  const free = without(joinedSpans(around.filter((span) => span.to > now && span.from < now + days * DAY)), busy);
  const { longestStay } = workshop;
  return longestStay === undefined ? free : free.map(({ from, to }) => ({ from, to: Math.min(to, Math.max(from, now) + longestStay) }));
}

/** Stretches with others cut out of them. @param busy in order of time */
export function without(free: readonly FreeInterval[], busy: readonly FreeInterval[]): FreeInterval[] {
  const left: FreeInterval[] = [];
  let next = 0;
  for (const span of free) {
    let from = span.from;
    while (next < busy.length && busy[next].to <= from) next++;
    for (let at = next; at < busy.length && busy[at].from < span.to; at++) {
      if (busy[at].from > from) left.push({ from, to: busy[at].from });
      from = Math.max(from, busy[at].to);
    }
    if (from < span.to) left.push({ from, to: span.to });
  }
  return left;
}

/** Busy time of all calendars brought in, in order. */
export function busyTime({ calendars }: Pick<Facts, 'calendars'>): FreeInterval[] {
  return joinedSpans(calendars.flatMap(({ spans }) => spans.map((span) => ({ from: toMinute(span.from), to: toMinute(span.to) }))));
}

/**
 * The soonest moment from one on at which so many minutes run outside the quiet hours; null: they leave too little.
 * @param quiet local hours of every day, over midnight where they end earlier than they begin
 */
export function outsideQuiet(quiet: Workshop['quietHours'], timeZone: string, from: Minute, minutes: Minute): Minute | null {
  if (!quiet || quiet.length === 0) return from;
  const today = localMoment(from, timeZone).date;
  const spans = [-1, 0, 1, 2].flatMap((day) => {
    const date = addDays(today, day);
    return quiet.map(({ from: begins, to: ends }) => ({
      from: atLocal(date, minuteOfDay(begins), timeZone),
      to: atLocal(begins < ends ? date : addDays(date, 1), minuteOfDay(ends), timeZone),
    }));
  });
  let at = from;
  for (const span of joinedSpans(spans)) if (at < span.to && at + minutes > span.from) at = span.to;
  return at - from > 2 * DAY ? null : at;
}

const KNOWN = new WeakMap<Workshop, Map<string, readonly FreeInterval[]>>();

/** The stretches of a run of days; remembered, for local time is dear to reckon and every plan of a day asks for the same. */
function stretchesAround(workshop: Workshop, today: string, days: number): readonly FreeInterval[] {
  const known = KNOWN.get(workshop) ?? new Map<string, readonly FreeInterval[]>();
  KNOWN.set(workshop, known);
  const key = `${today} ${days}`;
  const stretches = known.get(key) ?? stretchesFrom(workshop, today, days);
  known.set(key, stretches);
  return stretches;
}

function stretchesFrom(workshop: Workshop, today: string, days: number): FreeInterval[] {
  const { timeZone } = workshop;
  const raw: { from: Minute; to: Minute }[] = [];
  for (let day = -1; day <= days; day++) {
    const date = addDays(today, day);
    if (workshop.away.some((away) => away.from <= date && date <= away.to)) continue;
    const weekday = localMoment(atLocal(date, 720, timeZone), timeZone).weekday;
    for (const free of workshop.freeHours) {
      if (free.weekday !== weekday) continue;
      raw.push({ from: atLocal(date, minuteOfDay(free.from), timeZone), to: atLocal(date, minuteOfDay(free.to), timeZone) });
    }
  }
  for (const span of workshop.extraFree) raw.push({ from: toMinute(span.from), to: toMinute(span.to) });
  return raw;
}

/** The part of each stay in which steps may stand. */
export function benchIntervals(free: readonly FreeInterval[], now: Minute): FreeInterval[] {
  return free
    .map((span) => ({ from: Math.max(now, span.from) + (span.from > now ? LAY_OUT_MINUTES : 0), to: span.to - PACK_UP_MINUTES }))
    .filter((span) => span.to - span.from >= 5);
}

/** The place of the stay a moment lies in, or else of the next one; -1: after all of them. */
export function stayIndex(free: readonly FreeInterval[], at: Minute): number {
  return free.findIndex((span) => at < span.to);
}

/** Free stretches with one more; those it meets are joined with it. */
export function withStay(free: readonly FreeInterval[], stay: FreeInterval): FreeInterval[] {
  return joinedSpans([...free, stay]);
}

/** The stay that is on now, or begins now, cut to the minutes the person has. */
export function cutToStay(free: readonly FreeInterval[], now: Minute, minutes: number | undefined): FreeInterval[] {
  if (minutes === undefined) return [...free];
  const on = free.find((span) => span.from <= now && now < span.to);
  const rest = free.filter((span) => span !== on);
  return [{ from: now, to: now + minutes }, ...rest];
}
