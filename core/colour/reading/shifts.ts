import type { Lab } from '#core/facts/index';

/** A colour set off in one direction, as somebody says it who looks at it. */

export const SHIFTS = ['lighter', 'darker', 'redder', 'greener', 'yellower', 'bluer', 'duller', 'stronger'] as const;
export type Shift = (typeof SHIFTS)[number];

/** A step of hardly seen to plain. */
export const SHIFT_STEP = 2;
/** Chroma is seen less than lightness, and less the more there is of it. */
const CHROMA_MORE = 1.1;
const CHROMA_SHARE = 1 / 15;

/** @param by units of L, a or b; chroma is drawn in or out to match */
export function shiftedBy({ l, a, b }: Lab, shift: Shift, by: number = SHIFT_STEP): Lab {
  const own = Math.hypot(a, b);
  const step = Math.max(by * CHROMA_MORE, own * by * CHROMA_SHARE);
  const toChroma = (wanted: number) => (own === 0 ? { l, a, b } : { l, a: (a * wanted) / own, b: (b * wanted) / own });
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
      return toChroma(Math.max(0, own - step));
    case 'stronger':
      return toChroma(own + step);
  }
}
