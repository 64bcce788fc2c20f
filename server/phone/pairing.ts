import { randomInt, timingSafeEqual } from 'node:crypto';

/** The code that is read off this screen and typed, or scanned, on the phone: one use, ten minutes, few tries. */

export const CODE_DIGITS = 8;
const VALID_MS = 10 * 60_000;
const MOST_WRONG = 6;
const FIRST_PAUSE_MS = 1000;

export type Tried = { readonly answer: 'paired' | 'wrong' | 'no-code' } | { readonly answer: 'too-soon'; readonly seconds: number };

export class Pairing {
  readonly #now: () => number;
  #code: { readonly text: string; readonly until: number } | null = null;
  #wrong = 0;
  #pauseUntil = 0;

  /** `now`: milliseconds. */
  constructor(now: () => number) {
    this.#now = now;
  }

  /** A fresh code; one made before is void. */
  renew(): void {
    const text = String(randomInt(10 ** CODE_DIGITS)).padStart(CODE_DIGITS, '0');
    this.#code = { text, until: this.#now() + VALID_MS };
    this.#wrong = 0;
    this.#pauseUntil = 0;
  }

  end(): void {
    this.#code = null;
  }

  /** The code that pairs just now, and until when; null where there is none. */
  current(): { readonly code: string; readonly until: string } | null {
    if (!this.#code || this.#now() >= this.#code.until) return null;
    return { code: this.#code.text, until: new Date(this.#code.until).toISOString() };
  }

  /** Each wrong code doubles the pause before the next; after a few the code is void, whoever tries. */
  try(typed: string): Tried {
    const current = this.current();
    if (!current) return { answer: 'no-code' };
    const pause = this.#pauseUntil - this.#now();
    if (pause > 0) return { answer: 'too-soon', seconds: Math.ceil(pause / 1000) };
    if (same(typed.replace(/\s/g, ''), current.code)) {
      this.end();
      return { answer: 'paired' };
    }
    this.#wrong++;
    this.#pauseUntil = this.#now() + FIRST_PAUSE_MS * 2 ** (this.#wrong - 1);
    if (this.#wrong >= MOST_WRONG) this.end();
    return { answer: 'wrong' };
  }
}

function same(a: string, b: string): boolean {
  const [one, other] = [Buffer.from(a), Buffer.from(b)];
  return one.length === other.length && timingSafeEqual(one, other);
}
