import type { Hand, Workshop } from '#core/facts/index';
import { SPRAY_SETUP_MINUTES } from './coatAmount.ts';

/** Minutes round spraying: this person's own, else the usual ones (trade §12; a brush is rinsed). */

const USUAL_CLEAN_UP: Readonly<Record<Hand, number>> = { aerosol: 3, airbrush: 12, gun: 20, brush: 5 };
const USUAL_CHANGE = 5;

export type BenchMinutes = {
  /** Before the first coat of a batch. */
  readonly setUp: number;
  /** To take up another paint, once the tool is clean. */
  readonly change: number;
  readonly cleanUp: Readonly<Record<Hand, number>>;
};

export function benchMinutes({ benchMinutes: own }: Pick<Workshop, 'benchMinutes'>): BenchMinutes {
  return { setUp: own?.setUp ?? SPRAY_SETUP_MINUTES, change: own?.change ?? USUAL_CHANGE, cleanUp: { ...USUAL_CLEAN_UP, ...own?.cleanUp } };
}
