import { DAY, type Minute } from '#core/units/index';
import { airAt, airVerdict, type PlaceAir, type SprayRange } from './climate.ts';

/** Minutes looked at as one; they divide the hour, so the air runs straight within them. */
const STEP = 15;
const STEPS_A_DAY = DAY / STEP;

/**
 * When the air of a place lets a coat on (no stop by temperature, dew margin or humidity), quarter by quarter from a moment on.
 * Reckoned once; each look is then a look-up. Past the known hours the last day repeats, as on the drying clock.
 */
export class SprayHours {
  readonly #start: Minute;
  /** Of each quarter: the next one, itself counted, in which the air is right; beyond the last where none is. */
  readonly #next: Int32Array;
  readonly #none: number;

  constructor(air: PlaceAir, range: SprayRange, from: Minute) {
    this.#start = Math.floor(from / STEP) * STEP;
    const known = Math.ceil((air.start + air.tempC.length * 60 - this.#start) / STEP);
    // One day more than is known, so that the last whole day is the one that repeats.
    const count = Math.max(0, known) + STEPS_A_DAY;
    const right = Array.from(
      { length: count + 1 },
      (_, step) => airVerdict(airAt(air, this.#start + step * STEP), range).verdict !== 'stop',
    );
    this.#none = 2 * count;
    this.#next = new Int32Array(count);
    let next = this.#none;
    for (let step = count - 1; step >= count - STEPS_A_DAY; step--) if (right[step] && right[step + 1]) next = step + STEPS_A_DAY;
    for (let step = count - 1; step >= 0; step--) {
      if (right[step] && right[step + 1]) next = step;
      this.#next[step] = next;
    }
  }

  /** The soonest moment from `at` on at which a coat may be begun; null if the air never lets it. */
  next(at: Minute): Minute | null {
    const step = Math.floor((at - this.#start) / STEP);
    const last = this.#next.length;
    // Days past the last one known look like it.
    const days = step < last ? 0 : Math.floor((step - last) / STEPS_A_DAY) + 1;
    const found = this.#next[Math.max(0, step - days * STEPS_A_DAY)];
    if (found === this.#none) return null;
    return Math.max(at, this.#start + (found + days * STEPS_A_DAY) * STEP);
  }
}
