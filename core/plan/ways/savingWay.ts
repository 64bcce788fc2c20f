import type { Facts } from '#core/facts/index';

/** One way to spend less, as a change of the facts. */
export type SavingWay = {
  readonly id: string;
  readonly label: string;
  /** What is given up for it. */
  readonly lost: string;
  readonly apply: (facts: Facts) => Facts;
  /** What it changes, by a word: ways with one in common are not taken together. */
  readonly touches: readonly string[];
  /** It changes when things are needed, and not how much: it stands by itself, for a combination is reckoned on the days as they are. */
  readonly shifts?: true;
};
