import type { FreeInterval, Placed } from '#core/schedule/index';
import { DAY, type Minute } from '#core/units/index';
import { SPREAD } from '../films/index.ts';
import { type Step, stepsLookedAt } from '../steps/index.ts';

/** Dates are never single: the plan is lived through many times with slower films, failed coats and late parcels (trade §17). */

export const RISK_RUNS = 500;
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

/** How widely the waits of one mix are spread: the σ of ln(real ÷ planned). */
export type SpreadOf = (mix: string) => number;

/** A step as the runs need it: everything by place, reckoned once. */
type RunStep = {
  readonly start: Minute;
  readonly minutes: number;
  readonly isCoat: boolean;
  /** Waits for a parcel. */
  readonly awaits: boolean;
  readonly after: readonly { readonly step: number; readonly wait: number; readonly mix: number }[];
};

/** A wait shorter than this lies within one stay and keeps its length. */
const WITHIN_A_STAY = 90;

/**
 * Median and 90 % finish of one piece. Each run stretches every wait of a product by its own log-normal factor, lets one coat
 * in twelve fail, and shifts what follows to the next free time. Work is never sooner than planned.
 */
export function pieceDates(
  steps: readonly Step[],
  placed: ReadonlyMap<string, Placed>,
  free: readonly FreeInterval[],
  seed: number,
  spreadOf: SpreadOf = () => SPREAD,
  runs = RISK_RUNS,
): PieceDates | null {
  const { own, spreads } = runSteps(steps, placed, spreadOf);
  if (own.length === 0) return null;
  return livedOnce(JSON.stringify([own, spreads, seed, runs, hoursKey(free)]), () => {
    const random = seededRandom(seed);
    const finishes = Float64Array.from({ length: runs }, () => oneRun(own, spreads, free, random)).sort();
    return { likely: finishes[Math.floor(runs * 0.5)], safe: finishes[Math.min(runs - 1, Math.floor(runs * 0.9))] };
  });
}

/** Dates of pieces that nothing has moved are known: after an event most of them are. */
const LIVED = new Map<string, PieceDates>();
const MOST_LIVED = 300;

function livedOnce(key: string, live: () => PieceDates): PieceDates {
  const known = LIVED.get(key);
  if (known) return known;
  const [oldest] = LIVED.keys();
  if (LIVED.size >= MOST_LIVED && oldest !== undefined) LIVED.delete(oldest);
  const dates = live();
  LIVED.set(key, dates);
  return dates;
}

const HOURS = new WeakMap<readonly FreeInterval[], string>();

function hoursKey(free: readonly FreeInterval[]): string {
  const known = HOURS.get(free) ?? free.map(({ from, to }) => `${from}-${to}`).join(' ');
  HOURS.set(free, known);
  return known;
}

function runSteps(steps: readonly Step[], placed: ReadonlyMap<string, Placed>, spreadOf: SpreadOf): { own: RunStep[]; spreads: number[] } {
  const sorted = steps
    .flatMap((step) => {
      const slot = placed.get(step.id);
      return slot ? [{ step, slot }] : [];
    })
    .sort((a, b) => a.slot.start - b.slot.start);
  const place = new Map(sorted.map(({ step }, index) => [step.id, index]));
  const mixes = [...new Set(sorted.flatMap(({ step }) => (step.coat ? [step.coat.mix] : [])))];
  const after: { step: number; wait: number; mix: number }[][] = sorted.map(() => []);
  for (const [to, { step }] of sorted.entries()) {
    for (const id of step.constraints.flatMap(stepsLookedAt)) {
      const from = place.get(id);
      if (from === undefined) continue;
      const wait = sorted[to].slot.start - sorted[from].slot.end;
      const mix = sorted[from].step.coat?.mix;
      after[to].push({ step: from, wait, mix: mix === undefined || wait < WITHIN_A_STAY ? -1 : mixes.indexOf(mix) });
    }
  }
  const own = sorted.map(({ step, slot }, index) => ({
    start: slot.start,
    minutes: slot.end - slot.start,
    isCoat: step.coat !== undefined,
    awaits: (step.stage === 'assemble' || step.stage === 'fit') && step.notBefore !== undefined,
    after: after[index],
  }));
  return { own, spreads: mixes.map(spreadOf) };
}

function oneRun(steps: readonly RunStep[], spreads: readonly number[], free: readonly FreeInterval[], random: () => number): Minute {
  // Only ever later: what dries sooner waits for the stay it was planned in.
  const factors = spreads.map((spread) => Math.max(1, Math.exp(spread * normal(random))));
  const ends = new Float64Array(steps.length);
  let finish = 0;
  for (const [index, step] of steps.entries()) {
    let start = step.start;
    for (const { step: earlier, wait, mix } of step.after) start = Math.max(start, ends[earlier] + (mix < 0 ? wait : wait * factors[mix]));
    if (step.awaits && random() < PARCEL_LATE) start += LATE_DAYS * DAY;
    const begun = start > step.start + 1 ? nextFree(start, step.minutes, free) : start;
    const failed = step.isCoat && random() < COAT_FAILS;
    ends[index] = begun + step.minutes + (failed ? REWORK_MINUTES : 0);
    finish = Math.max(finish, ends[index]);
  }
  return finish;
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
