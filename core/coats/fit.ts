/** Room that paint leaves between two parts (trade §2): gap less the film on both faces. */

/** A moving joint wants at least this much left, µm. */
const LEAST_LEFT_UM = 20;

export type FitLeft = { readonly leftUm: number; readonly verdict: 'fits' | 'tight' | 'binds'; readonly because: string };

/** @param gapUm room before paint @param filmsUm film on each of the two faces, µm */
export function fitLeft(gapUm: number, filmsUm: readonly [number, number]): FitLeft {
  const leftUm = gapUm - filmsUm[0] - filmsUm[1];
  const sum = `${Math.round(gapUm)} − ${Math.round(filmsUm[0])} − ${Math.round(filmsUm[1])} = ${Math.round(leftUm)} µm`;
  if (leftUm < 0) return { leftUm, verdict: 'binds', because: `${sum}: it binds. Plug the hole or mask the face, or lay fewer coats.` };
  if (leftUm < LEAST_LEFT_UM) return { leftUm, verdict: 'tight', because: `${sum}: tight. Mask one of the faces.` };
  return { leftUm, verdict: 'fits', because: `${sum} are left.` };
}
