import type { Hand, Label } from '#core/facts/index';

/** What is in a mL as sprayed: paint from its bottle, reducer, hardener (trade §6). */

/** Parts of reducer and hardener to one part of paint, by volume. */
export type Ratio = { readonly reducer: number; readonly hardener: number };
export type PaintIn = { readonly paintMl: number; readonly reducerMl: number; readonly hardenerMl: number };

/** As the label usually has it; paint from a can comes ready to spray. */
export function ratioOf(label: Label | undefined, hand: Hand): Ratio {
  if (hand === 'aerosol') return { reducer: 0, hardener: 0 };
  return { reducer: label?.thinning?.usual ?? 0, hardener: label?.hardener?.parts ?? 0 };
}

/** Paint from the bottle = sprayed ÷ (1 + reducer + hardener), and what is mixed into it. @param ml as sprayed */
export function paintIn(ml: number, label: Label | undefined, hand: Hand): PaintIn {
  const { reducer, hardener } = ratioOf(label, hand);
  const paintMl = ml / (1 + reducer + hardener);
  return { paintMl, reducerMl: paintMl * reducer, hardenerMl: paintMl * hardener };
}

/**
 * Solids as sprayed at another ratio: those of the label and the tables are at the usual reduction u with hardener h; at r they
 * are × (1 + u + h) ÷ (1 + r + h). Where no usual reduction is known it is taken to be r.
 */
export function solidsAt(solids: number, label: Label | undefined, ratio: Ratio): number {
  const usual = label?.thinning?.usual ?? ratio.reducer;
  return (solids * (1 + usual + ratio.hardener)) / (1 + ratio.reducer + ratio.hardener);
}
