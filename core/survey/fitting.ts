import { type Fit, type Material, type Part, type Piece, plain } from '#core/facts/index';

/** Fitting in stages: what is lost when a part goes on early, and which glue its materials bear (trade §14). */

/** What can no longer be reached or sprayed once a part sits where it is moved to; empty where nothing is lost. */
export function lostByFitting(piece: Piece, part: Part, fit: Fit | undefined): string[] {
  const host = piece.parts.find((own) => own.id === fit?.onPartId);
  if (!fit || fit.stage === 'end' || !host) return [];
  const painted = part.layers.length > 0;
  const inside = host.faces.some((face) => !face.seen);
  const before = fit.stage === 'before-paint';
  return [
    ...(part.staysClear && before
      ? [`${part.name} stays clear: sitting there before paint it is masked on both sides for every coat.`]
      : []),
    ...(painted && before ? [`${part.name} is painted in place: where it meets ${host.name} no coat reaches.`] : []),
    ...(painted && fit.stage === 'before-layer'
      ? [`${part.name} sits there for the coats that follow: its back and edges get none of them.`]
      : []),
    ...(inside ? [`The inside of ${host.name} behind it can no longer be sprayed.`] : []),
    ...(host.lit || part.lit ? ['Test the light before it closes: behind it nothing can be reached.'] : []),
  ];
}

/** Which glue these two materials bear, and what it does to clear parts and to styrene. */
export function glueNote(one: Material, other: Material): string {
  const either = (...kinds: Material[]) => kinds.includes(one) || kinds.includes(other);
  if (either('clear')) return 'white glue or a clear resin at the edges: cyanoacrylate fogs clear parts, solvent cement clouds them';
  if (either('pp')) return `hardly any glue holds on ${plain('pp')}: screw or clip it`;
  if (one === 'polystyrene' && other === 'polystyrene') return 'solvent cement welds bare styrene: scrape the paint off both faces first';
  if (either('polystyrene', 'abs'))
    return 'epoxy or cyanoacrylate on bare keyed faces; solvent cement softens the paint and holds only styrene to styrene';
  if (either('vinyl', 'rubber')) return 'contact glue made for it, both faces dry to the touch';
  return 'epoxy on bare keyed faces: glue on paint holds no better than the paint';
}

/** Minutes a glued joint is left alone before anything is done to it: white glue and epoxies set overnight. */
export const GLUE_SETS_MINUTES = 12 * 60;
