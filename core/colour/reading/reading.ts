import type { Lab } from '#core/facts/index';
import { labOf } from '../spaces.ts';
import { spectrumOf } from '../spectrum.ts';

/** A colour as somebody types it: "#e6dcc0", or L a b as "88, 0, 14" with decimal points or commas. */

export type ReadColour = { readonly ok: true; readonly lab: Lab } | { readonly ok: false; readonly mend: string };

const HEX = /^#?([0-9a-f]{3}|[0-9a-f]{6})$/i;
const HEX_LIKE = /^#[0-9a-z]*$/i;

export function readColour(typed: string): ReadColour {
  const text = typed.trim();
  const hex = HEX.exec(text);
  if (hex) return paintable(labOf(`#${hex[1]}`));
  if (HEX_LIKE.test(text)) return { ok: false, mend: 'A hex colour has three or six digits from 0 to f, such as #e6dcc0.' };
  const numbers = text.match(/-?\d+(?:[.,]\d+)?/g)?.map((number) => Number(number.replace(',', '.'))) ?? [];
  if (numbers.length !== 3 || /[^\d\s.,;labLAB:=*-]/.test(text))
    return { ok: false, mend: 'Type a hex colour such as #e6dcc0, or L a b such as 88; 0; 14.' };
  const [l, a, b] = numbers;
  if (l < 0 || l > 100) return { ok: false, mend: 'L goes from 0, black, to 100, white.' };
  return paintable({ l, a, b });
}

function paintable(lab: Lab): ReadColour {
  try {
    spectrumOf(lab);
    return { ok: true, lab };
  } catch (error) {
    if (error instanceof RangeError) return { ok: false, mend: error.message };
    throw error;
  }
}
