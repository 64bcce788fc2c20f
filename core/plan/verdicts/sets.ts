import { resolveLayer } from '#core/coats/index';
import type { Facts, Piece } from '#core/facts/index';

/** Pieces seen together want one target colour, the same mix and the same coats: where they differ, it is said (trade §2). */
export function setNotes(piece: Piece, facts: Facts): string[] {
  if (!piece.set) return [];
  const others = facts.pieces.filter((other) => other.id !== piece.id && other.set === piece.set);
  const own = colours(piece, facts);
  return others.flatMap((other) => {
    const theirs = colours(other, facts);
    return [...own].flatMap(([name, coats]) => {
      const match = theirs.get(name);
      if (match === undefined) return [`${other.name} of the set “${piece.set}” has no ${name}: one mix for both keeps them alike.`];
      return match === coats ? [] : [`${name} has ${coats} coats here and ${match} on ${other.name}: give both the same.`];
    });
  });
}

/** Colour by name and its coats, over all parts of a piece. */
function colours(piece: Piece, facts: Facts): Map<string, number> {
  const found = new Map<string, number>();
  for (const part of piece.parts) {
    for (const layer of part.layers) {
      const { role, name } = resolveLayer(layer, facts);
      if (role === 'colour' || role === 'metallic') found.set(name, Math.max(found.get(name) ?? 0, layer.coats));
    }
  }
  return found;
}
