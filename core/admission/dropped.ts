import { polishWhyNot, resolveLayer } from '#core/coats/index';
import { type Facts, type Part, type Piece, plain } from '#core/facts/index';
import { mendRefused } from '#core/prep/index';
import { dividedPart } from '#core/zones/index';
import { flatWhyNot } from './refused.ts';

/**
 * What a choice has put an end to, in sentences: a flatting, a polish, a mend or a way of stripping that cannot stand beside it.
 * @param chosen the piece as it was chosen; @param allowed the same without what it does not allow
 */
export function droppedSaid(chosen: Piece, allowed: Piece, facts: Facts): string[] {
  const now = new Map(allowed.parts.map((part) => [part.id, part]));
  return chosen.parts.flatMap((part) => {
    const own = now.get(part.id);
    return own ? [...flattings(part, own, facts), ...polishes(part, own, facts), ...mends(part, own, chosen), ...method(part, own)] : [];
  });
}

function flattings(part: Part, own: Part, facts: Facts): string[] {
  return part.layers.flatMap((layer, index) =>
    layer.flatAfter !== undefined && own.layers[index]?.flatAfter === undefined
      ? [`The flatting of ${resolveLayer(layer, facts).name} is out. ${flatWhyNot(layer, facts) ?? ''}`.trim()]
      : [],
  );
}

function polishes(part: Part, own: Part, facts: Facts): string[] {
  const kept = new Map(dividedPart(own).zones.map((zone) => [zone.id, zone.polish]));
  return dividedPart(part).zones.flatMap(({ id, name, polish }) =>
    polish && !kept.get(id) ? [`The polish of ${name.toLowerCase()} is out. ${polishWhyNot(part, id, facts) ?? ''}`.trim()] : [],
  );
}

function mends(part: Part, own: Part, piece: Piece): string[] {
  return (part.marks ?? []).flatMap((mark, index) =>
    mark.mend && !own.marks?.[index]?.mend
      ? [`The mend of the ${plain(mark.kind)} on ${part.name} is advised anew. ${mendRefused(mark.mend, part, piece) ?? ''}`.trim()]
      : [],
  );
}

function method(part: Part, own: Part): string[] {
  return part.stripMethod && !own.stripMethod ? [`${part.name} goes without ${plain(part.stripMethod)} now: the advice is planned.`] : [];
}
