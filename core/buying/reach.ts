import type { PaintNeed } from './paintNeed.ts';

/** How far the paint on the shelf reaches: the one reckoning behind *short*, *lasts* and *to spare*, wherever that is said (trade §6, §7). */
export type Reach = {
  /** Coats and details still to come, with and without a date, of all pieces, and what clears the nozzles, mL. */
  readonly needMl: number;
  /** What comes out of its containers, mL: what never leaves a can is not counted. */
  readonly haveMl: number;
  /** What the need lacks, mL; 0 where it lasts. The touch-up jar is bought along where paint is bought, and is no reason to. */
  readonly shortMl: number;
  /** What is over, mL; 0 where it is short. */
  readonly spareMl: number;
  /** The same as a share of the need, below 0 where it is short; 0 where nothing is needed. */
  readonly spare: number;
  /** It lasts by less than a little wind, a second look or a run takes. */
  readonly tight: boolean;
};

/** Less than two drops is nothing to speak of, mL. */
const UNSPOKEN_ML = 0.1;
/** Texture and paint from bottles have no can's steady stream: with less than this over, a second look or a run takes it. */
const WATCHED_SPARE = 0.15;

export function reachOf({ neededMl, shelfMl, family, hand }: Pick<PaintNeed, 'neededMl' | 'shelfMl' | 'family' | 'hand'>): Reach {
  const over = shelfMl - neededMl;
  const shortMl = over < -UNSPOKEN_ML ? -over : 0;
  const spare = neededMl > 0 ? over / neededMl : 0;
  return {
    needMl: neededMl,
    haveMl: shelfMl,
    shortMl,
    spareMl: Math.max(0, over),
    spare,
    tight: shortMl === 0 && neededMl > 0 && spare < WATCHED_SPARE && (family === 'texture' || hand === 'airbrush'),
  };
}
