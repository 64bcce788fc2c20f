import type { Lab } from '#core/facts/index';

/** A colour beside another, in the words of somebody who looks at both. */

/** Less than this in one direction nobody sees. */
const SEEN = 0.8;

/** "lighter, redder, duller": what the first is beside the second; empty where no eye could say. */
export function besideWords(one: Lab, other: Lab): string[] {
  const [chroma, wanted] = [Math.hypot(one.a, one.b), Math.hypot(other.a, other.b)];
  const words = [
    [one.l - other.l, 'lighter', 'darker'],
    [one.a - other.a, 'redder', 'greener'],
    [one.b - other.b, 'yellower', 'bluer'],
  ] as const;
  const largest = Math.max(...words.map(([by]) => Math.abs(by)));
  const seen = words
    .filter(([by]) => Math.abs(by) >= SEEN && Math.abs(by) >= largest / 3)
    .map(([by, more, less]) => (by > 0 ? more : less));
  const duller = chroma - wanted;
  // Duller and stronger say more than a hue where hue hardly turns.
  return Math.abs(duller) >= 2 && Math.abs(duller) > largest * 0.8 ? [...seen.slice(0, 1), duller < 0 ? 'duller' : 'stronger'] : seen;
}

export type Likeness = 'match' | 'family' | 'other';

/** Under 2 a match, to 5 a family likeness, over it another colour (trade §10). */
export function likeness(deltaE: number): Likeness {
  if (deltaE < 2) return 'match';
  return deltaE <= 5 ? 'family' : 'other';
}

export const LIKENESS_WORDS: Record<Likeness, string> = {
  match: 'a match in hand',
  family: 'a family likeness',
  other: 'another colour',
};
