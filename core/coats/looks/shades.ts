import type { Lab } from '#core/facts/index';
import { coatsToHide, groundSuits } from '../film.ts';

/** Grounds a colour may be laid on, and the bare part itself. */
export const PRIMER_SHADES: readonly { readonly name: string; readonly lab: Lab }[] = [
  { name: 'white', lab: { l: 95, a: 0, b: 1 } },
  { name: 'grey', lab: { l: 62, a: 0, b: 0 } },
  { name: 'black', lab: { l: 15, a: 0, b: 0 } },
];
const BARE_METAL: Lab = { l: 68, a: 0, b: 1 };

export type ShadeRow = { readonly name: string; readonly coats: number; readonly ml: number; readonly suits: boolean };

/** Coats and mL that a colour needs over each primer shade and over none, fewest first among those that suit it. */
export function compareShades(colour: Lab, share: number, mlPerCoat: number, bare: Lab = BARE_METAL): ShadeRow[] {
  return [...PRIMER_SHADES, { name: 'none', lab: bare }]
    .map(({ name, lab }) => {
      const { coats } = coatsToHide(lab, colour, share);
      return { name, coats, ml: coats * mlPerCoat, suits: groundSuits(lab, colour) };
    })
    .sort((a, b) => Number(b.suits) - Number(a.suits) || a.coats - b.coats);
}
