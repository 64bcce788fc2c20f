import { flatRefused, polishWhyNot, resolveLayer } from '#core/coats/index';
import { type Facts, type Layer, type Mark, type Part, type Piece, type Problem, withZone } from '#core/facts/index';
import { mendRefused } from '#core/prep/index';
import { refusedMethod, withAllowedMethods } from '#core/strip/index';
import { decalRefused, dividedPart, firstRefused } from '#core/zones/index';

/**
 * What no path takes in: a strip method or a mend that is never used on its part, and a flatting of a film that is
 * never flatted or polished (trade §3, §4, §6, §7), nor a division or a decal that its sizes do not allow. Import, the address of a fact and the command line all ask here.
 */
export function refusedIn(piece: Piece, facts: Facts, at: string): Problem | null {
  const method = refusedMethod(piece, at);
  if (method) return method;
  for (const [index, part] of piece.parts.entries()) {
    const problem = refusedOn(part, piece, facts, `${at}.parts.${index}`);
    if (problem) return { ...problem, error: `${piece.name}, ${part.name}: ${problem.error}` };
  }
  return null;
}

function refusedOn(part: Part, piece: Piece, facts: Facts, at: string): Problem | null {
  for (const [index, mark] of (part.marks ?? []).entries()) {
    const why = mark.mend && mendRefused(mark.mend, part, piece);
    if (why) return { error: why, at: `${at}.marks.${index}.mend`, mend: 'Choose another mend for this mark.' };
  }
  const cut = firstRefused(part);
  if (cut) return { error: cut.why, at: `${at}.cuts.${cut.place}`, mend: 'Change its numbers, or put the two zones together first.' };
  for (const [index, decal] of (part.decals ?? []).entries()) {
    const why = decalRefused(part, decal);
    if (why) return { error: why, at: `${at}.decals.${index}`, mend: 'Check its size, or put it on a larger zone.' };
  }
  for (const [index, layer] of part.layers.entries()) {
    const why = flatWhyNot(layer, facts);
    if (why) return { error: why, at: `${at}.layers.${index}.flatAfter`, mend: 'Take the flatting out of this layer.' };
  }
  for (const zone of dividedPart(part).zones) {
    const why = zone.polish ? polishWhyNot(part, zone.id, facts) : null;
    if (why) return { error: why, at: `${at}.zones`, mend: `Take the polish off ${zone.name}.` };
  }
  return null;
}

/** Why a layer is never flatted, where it is to be; null where it may. */
export function flatWhyNot(layer: Layer, facts: Facts): string | null {
  return layer.flatAfter === undefined ? null : flatRefused(resolveLayer(layer, facts));
}

/** The piece without what its parts, as they are now known, no longer allow: the advice is planned instead. */
export function admissible(piece: Piece, facts: Facts): Piece {
  const allowed = withAllowedMethods(piece);
  return {
    ...allowed,
    parts: allowed.parts
      .map((own) => withAllowedPolish(own, facts))
      .map((part) => ({
        ...part,
        ...(part.marks ? { marks: part.marks.map((mark) => withAllowedMend(mark, part, piece)) } : {}),
        layers: part.layers.map((layer) => {
          const { flatAfter: _dropped, ...rest } = layer;
          return flatWhyNot(layer, facts) ? rest : layer;
        }),
      })),
  };
}

function withAllowedPolish(part: Part, facts: Facts): Part {
  return dividedPart(part)
    .zones.filter(({ id, polish }) => polish && polishWhyNot(part, id, facts) !== null)
    .reduce((own, { id }) => withZone(own, id, ({ polish: _dropped, ...zone }) => zone), part);
}

function withAllowedMend(mark: Mark, part: Part, piece: Piece): Mark {
  const { mend, ...rest } = mark;
  return mend && mendRefused(mend, part, piece) ? rest : mark;
}
