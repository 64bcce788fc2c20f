import type { Hand } from '#core/facts/index';

/** What paint goes on by, as a person says it. */
export const HAND_NAMES: Readonly<Record<Hand, string>> = { aerosol: 'spray can', airbrush: 'airbrush', gun: 'spray gun', brush: 'brush' };
