import type { FreeInterval, Gap, Placed } from '#core/schedule/index';
import { DAY, type Minute } from '#core/units/index';
import type { Step } from './step.ts';

/** Dates are never single: the plan is lived through many times with slower films, failed coats and late parcels (DESIGN §4). */

export const RISK_RUNS = 500;
const SPREAD = 0.25;
const COAT_FAILS = 1 / 12;
const PARCEL_LATE = 0.2;
const LATE_DAYS = 3;
/** A failed coat hardens, is flatted and laid again: about this long. */
const REWORK_MINUTES = 2 * DAY;

export type PieceDates = { readonly likely: Minute; readonly safe: Minute };

/** Small seeded generator (mulberry32): the same seed, the same dates. */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** Standard normal by Box–Muller. */
function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/**
 * Median and 90 % finish of one piece. Each run stretches every wait of a product by its own log-normal factor, lets one coat
 * in twelve fail, and shifts what follows to the next free time. Work is never sooner than planned.
 */
export function pieceDates(
  steps: readonly Step[],
  gaps: readonly Gap[],
  placed: ReadonlyMap<string, Placed>,
  free: readonly FreeInterval[],
  seed: number,
  runs = RISK_RUNS,
): PieceDates | null {
  const own = steps
    .filter((step) => placed.has(step.id))
    .sort((a, b) => (placed.get(a.id) as Placed).start - (placed.get(b.id) as Placed).start);
  if (own.length === 0) return null;
  const ids = new Set(own.map((step) => step.id));
  const before = new Map(
    own.map((step) => [step.id, gaps.filter((gap) => gap.to === step.id).flatMap((gap) => gap.from.filter((id) => ids.has(id)))]),
  );
  const random = seededRandom(seed);
  const finishes: Minute[] = [];
  for (let run = 0; run < runs; run++) finishes.push(oneRun(own, before, placed, free, random));
  finishes.sort((a, b) => a - b);
  return { likely: finishes[Math.floor(runs * 0.5)], safe: finishes[Math.min(runs - 1, Math.floor(runs * 0.9))] };
}

function oneRun(
  steps: readonly Step[],
  before: ReadonlyMap<string, readonly string[]>,
  placed: ReadonlyMap<string, Placed>,
  free: readonly FreeInterval[],
  random: () => number,
): Minute {
  const factors = new Map<string, number>();
  const ends = new Map<string, Minute>();
  const products = new Map<string, string | undefined>(steps.map((step) => [step.id, step.coat?.mix]));
  let finish = 0;
  for (const step of steps) {
    const plan = placed.get(step.id) as Placed;
    let start = plan.start;
    for (const id of before.get(step.id) ?? []) {
      const earlier = placed.get(id) as Placed;
      const end = ends.get(id) as Minute;
      const mix = products.get(id);
      const wait = plan.start - earlier.end;
      // Work in one stay keeps its distance; a wait for a film stretches with the film.
      start = Math.max(start, end + (mix === undefined || wait < 90 ? wait : wait * Math.max(1, factorOf(mix, factors, random))));
    }
    if (step.stage === 'fit' && step.notBefore !== undefined && random() < PARCEL_LATE) start += LATE_DAYS * DAY;
    const begun = start > plan.start + 1 ? nextFree(start, plan.end - plan.start, free) : start;
    const failed = step.coat !== undefined && random() < COAT_FAILS;
    const end = begun + (plan.end - plan.start) + (failed ? REWORK_MINUTES : 0);
    ends.set(step.id, end);
    finish = Math.max(finish, end);
  }
  return finish;
}

function factorOf(mix: string, factors: Map<string, number>, random: () => number): number {
  let factor = factors.get(mix);
  if (factor === undefined) {
    factor = Math.exp(SPREAD * normal(random));
    factors.set(mix, factor);
  }
  return factor;
}

function nextFree(start: Minute, minutes: number, free: readonly FreeInterval[]): Minute {
  let [low, high] = [0, free.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (free[middle].to <= start) low = middle + 1;
    else high = middle;
  }
  for (; low < free.length; low++) {
    const from = Math.max(start, free[low].from);
    if (from + minutes <= free[low].to) return from;
  }
  return start;
}
