import { partAreaCm2 } from './area.ts';
import { type Fit, type Material, type Part, type Piece, plain } from '#core/facts/index';
import { listed } from '#core/units/index';

/** Fitting in stages: what is lost when a part goes on early, and which glue its materials bear (trade §14). */

/**
 * When a part goes on: as its owner said, else as the factory had it, which sprayed some parts as one body: the largest of them
 * carries the others, as far as they get the same coats. Undefined: at the end.
 */
export function standingFit(piece: Piece, part: Part): Fit | undefined {
  if (part.fit || piece.factory?.sprayed !== 'assembled') return part.fit;
  const body = piece.factory.bodies?.find((ids) => ids.includes(part.id));
  const among = piece.parts.filter(({ id, gone }) => body?.includes(id) && !gone);
  const [host] = [...among].sort((a, b) => partAreaCm2(b) - partAreaCm2(a));
  return !host || host === part || !sameCoats(host, part) ? undefined : { stage: 'before-paint', onPartId: host.id };
}

/** What is known of how the factory did it, in words. */
export function factoryText({ factory, parts }: Piece): string {
  const nameOf = (id: string) => parts.find((part) => part.id === id)?.name ?? '';
  const bodies = factory?.sprayed === 'assembled' ? (factory.bodies ?? []).map((body) => `${listed(body.map(nameOf))} as one`) : [];
  const sprayed = factory?.sprayed === 'assembled' ? 'sprayed assembled' : factory?.sprayed === 'apart' ? 'sprayed part by part' : '';
  return [sprayed, ...bodies, factory?.words ?? ''].filter(Boolean).join('; ');
}

/** The bodies with one part moved into that of another; null: sprayed by itself. */
export function withBodyOf(bodies: readonly (readonly string[])[], partId: string, withId: string | null): string[][] {
  const others = bodies.map((body) => body.filter((id) => id !== partId));
  const joined =
    withId === null
      ? others
      : others.some((body) => body.includes(withId))
        ? others.map((body) => (body.includes(withId) ? [...body, partId] : body))
        : [...others, [withId, partId]];
  return joined.filter(({ length }) => length > 1);
}

/** The piece as it is planned: what the factory sprayed as one goes together before its paint. */
export function assembledPiece(piece: Piece): Piece {
  if (piece.factory?.sprayed !== 'assembled' || !piece.factory.bodies) return piece;
  return {
    ...piece,
    parts: piece.parts.map((part) => {
      const fit = standingFit(piece, part);
      return fit === part.fit ? part : { ...part, ...(fit ? { fit } : {}) };
    }),
  };
}

/** The same paints in the same order and as many coats: two parts that may be sprayed as one. */
export function sameCoats(one: Part, other: Part): boolean {
  const stack = ({ layers }: Part) =>
    JSON.stringify(layers.map(({ productId, wanted, coats, covers }) => [productId ?? wanted, coats, covers === 'all']));
  return one.layers.length > 0 && stack(one) === stack(other);
}

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
