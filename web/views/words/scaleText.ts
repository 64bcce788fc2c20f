import { type Parsed, parseNumber } from '#core/units/index';

/** Scales as people say them: "1:43", or just 43. */
export function readScale(text: string): Parsed {
  const scale = parseNumber(text.replace(/^\s*1\s*:/, ''));
  if (scale === null || scale < 1 || scale > 2000) return { ok: false, mend: 'A scale reads 1:43, or just 43.' };
  // Only the relief goes by it: a part of a whole would change nothing, and is not rounded in silence.
  return Number.isInteger(scale)
    ? { ok: true, value: scale }
    : { ok: false, mend: `A scale is a whole number here: 1:${Math.round(scale)} is near enough.` };
}
