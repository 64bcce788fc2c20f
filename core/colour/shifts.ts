import type { Lab } from '#core/facts/index';

/** A colour set off in one direction, as somebody says it who looks at it. */

export const SHIFTS = ['lighter', 'darker', 'redder', 'greener', 'yellower', 'bluer', 'duller', 'stronger'] as const;
export type Shift = (typeof SHIFTS)[number];

/** A step of hardly seen to plain. */
export const SHIFT_STEP = 2;
/** So many units of L, a or b change chroma by a fifteenth. */
const CHROMA_A_STEP = 1 / 15;

/** @param by units of L, a or b; chroma is drawn in or out to match */
export function shiftedBy({ l, a, b }: Lab, shift: Shift, by: number = SHIFT_STEP): Lab {
  const chroma = (factor: number) => ({ l, a: a * factor, b: b * factor });
  switch (shift) {
    case 'lighter':
      return { l: Math.min(100, l + by), a, b };
    case 'darker':
      return { l: Math.max(0, l - by), a, b };
    case 'redder':
      return { l, a: a + by, b };
    case 'greener':
      return { l, a: a - by, b };
    case 'yellower':
      return { l, a, b: b + by };
    case 'bluer':
      return { l, a, b: b - by };
    case 'duller':
      return chroma(1 - by * CHROMA_A_STEP);
    case 'stronger':
      return chroma(1 + by * CHROMA_A_STEP);
  }
}
