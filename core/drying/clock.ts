import type { Mechanism } from './familyRow.ts';

/** The drying clock: progress per real hour depends on temperature, humidity, air and film (trade §8). */

const QUICKENING: Record<Mechanism, number> = { oxidation: 2, crosslinking: 2, evaporation: 1.6, coalescence: 1.5 };
/** Below this temperature nothing happens. */
const STANDSTILL: Partial<Record<Mechanism, number>> = { coalescence: 8, crosslinking: 5 };

export type AirMovement = 'still' | 'fan' | 'box';
const AIR_FACTOR: Record<AirMovement, number> = { still: 1, fan: 1.3, box: 0.7 };

/** Progress in reference hours per real hour at this temperature (°C) and humidity (%). */
export function dryingRate(mechanism: Mechanism, tempC: number, rh: number): number {
  const standstill = STANDSTILL[mechanism];
  if (standstill !== undefined && tempC < standstill) return 0;
  const warmth = QUICKENING[mechanism] ** ((tempC - 20) / 10);
  const damp = mechanism === 'coalescence' ? Math.min(1.4, Math.max(0.1, (100 - rh) / 50)) : 1;
  return warmth * damp;
}

/** How much slower a thick film reaches later stages; never faster than a normal one, at most four times as slow. */
export function filmSlowing(mechanism: Mechanism, filmRatio: number, stage: 'touch' | 'coat' | 'later'): number {
  const power = stage !== 'later' || mechanism === 'coalescence' ? 1 : mechanism === 'crosslinking' ? 0 : 2;
  return Math.min(4, Math.max(1, filmRatio ** power));
}

const STEP_HOURS = 1 / 12;
const STEPS_A_DAY = 24 / STEP_HOURS;

/** Hourly air of one place: value i holds at `start + i` hours, straight lines between, the last 24 repeating. */
export type Climate = { readonly startHour: number; readonly tempC: readonly number[]; readonly rh: readonly number[] };

/**
 * Accumulated drying of one mechanism over one place's air. Built once, then any wait is a look-up:
 * progress is summed in five-minute steps at each step's middle (error against a fine integration below 0.01 %).
 */
export class DryingClock {
  readonly #startHour: number;
  /** Progress since the start at each step of the given hours. */
  readonly #sums: Float64Array;
  readonly #dayProgress: number;

  constructor(climate: Climate, mechanism: Mechanism, air: AirMovement = 'still') {
    const hours = Math.max(24, climate.tempC.length);
    const steps = Math.round(hours / STEP_HOURS);
    const factor = AIR_FACTOR[air] * STEP_HOURS;
    this.#startHour = climate.startHour;
    this.#sums = new Float64Array(steps + 1);
    for (let step = 0; step < steps; step++) {
      const hour = (step + 0.5) * STEP_HOURS;
      this.#sums[step + 1] = this.#sums[step] + factor * dryingRate(mechanism, valueAt(climate.tempC, hour), valueAt(climate.rh, hour));
    }
    this.#dayProgress = this.#sums[steps] - this.#sums[steps - STEPS_A_DAY];
  }

  /** Real hours from `fromHour` (hours on the climate's own count) until this many reference hours have passed; null if never. */
  hoursUntil(fromHour: number, referenceHours: number): number | null {
    if (referenceHours <= 0) return 0;
    const target = this.#progressAt(fromHour) + referenceHours;
    const reached = this.#hourOf(target);
    return reached === null ? null : reached - fromHour;
  }

  /** Reference hours gone by between two moments. */
  progress(fromHour: number, toHour: number): number {
    return this.#progressAt(toHour) - this.#progressAt(fromHour);
  }

  #progressAt(absoluteHour: number): number {
    const hour = absoluteHour - this.#startHour;
    const last = this.#sums.length - 1;
    const end = last * STEP_HOURS;
    // Before the first known hour the first day is taken to repeat backwards.
    if (hour < 0) {
      const days = Math.ceil(-hour / 24);
      return this.#progressAt(absoluteHour + days * 24) - days * this.#sums[STEPS_A_DAY];
    }
    if (hour >= end) {
      const days = Math.floor((hour - end) / 24) + 1;
      return this.#progressAt(absoluteHour - days * 24) + days * this.#dayProgress;
    }
    const step = Math.floor(hour / STEP_HOURS);
    const part = hour / STEP_HOURS - step;
    return this.#sums[step] + part * (this.#sums[step + 1] - this.#sums[step]);
  }

  #hourOf(progress: number): number | null {
    const last = this.#sums.length - 1;
    if (progress < 0) {
      const firstDay = this.#sums[STEPS_A_DAY];
      if (firstDay <= 0) return null;
      const days = Math.ceil(-progress / firstDay);
      const later = this.#hourOf(progress + days * firstDay);
      return later === null ? null : later - days * 24;
    }
    let target = progress;
    let skippedDays = 0;
    if (target > this.#sums[last]) {
      if (this.#dayProgress <= 0) return null;
      skippedDays = Math.ceil((target - this.#sums[last]) / this.#dayProgress);
      target -= skippedDays * this.#dayProgress;
    }
    let [low, high] = [0, last];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.#sums[middle] < target) low = middle + 1;
      else high = middle;
    }
    if (low === 0) return this.#startHour + skippedDays * 24;
    const before = this.#sums[low - 1];
    const part = (target - before) / (this.#sums[low] - before);
    return this.#startHour + (low - 1 + part) * STEP_HOURS + skippedDays * 24;
  }
}

/** The value of an hourly series at an hour, straight lines between, the last 24 repeating. */
export function valueAt(series: readonly number[], hour: number): number {
  const whole = Math.floor(hour);
  const part = hour - whole;
  return hourlyValue(series, whole) * (1 - part) + hourlyValue(series, whole + 1) * part;
}

function hourlyValue(series: readonly number[], index: number): number {
  if (series.length === 1) return series[0];
  if (index < series.length) return series[index];
  const day = Math.min(24, series.length);
  return series[series.length - day + ((index - series.length) % day)];
}

/** `ask clock`: hours until a reference wait has passed, from a start hour on hourly air. */
export function waitHours(question: {
  readonly mechanism: Mechanism;
  readonly referenceHours: number;
  readonly startHour: number;
  readonly tempC: readonly number[];
  readonly rh: readonly number[];
  readonly air?: AirMovement;
  readonly filmRatio?: number;
  readonly stage?: 'touch' | 'coat' | 'later';
}): number | null {
  const clock = new DryingClock({ startHour: 0, tempC: question.tempC, rh: question.rh }, question.mechanism, question.air);
  const slowing = filmSlowing(question.mechanism, question.filmRatio ?? 1, question.stage ?? 'later');
  return clock.hoursUntil(question.startHour, question.referenceHours * slowing);
}
