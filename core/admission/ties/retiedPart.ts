import type { Fit, Part, Piece } from '#core/facts/index';
import type { Stacks } from './stacks.ts';

/** A part whose dressings, fit, lines and colours name only what is there. */
export function retiedPart(part: Part, piece: Piece, stacks: Stacks): { readonly part: Part; readonly moved: readonly string[] } {
  const details = dressed(part.details, part.id, stacks);
  const decals = dressed(part.decals, part.id, stacks);
  const fitted = part.fit ? retiedFit(part, part.fit, piece, stacks) : { fit: undefined, moved: [] };
  const { within, fit: _fit, ...rest } = part;
  return {
    part: {
      ...rest,
      ...(within && stacks.hasPart(within) ? { within } : {}),
      ...(fitted.fit ? { fit: fitted.fit } : {}),
      ...(part.details ? { details: details.kept } : {}),
      ...(part.decals ? { decals: decals.kept } : {}),
      edges: part.edges.map(({ runsOnTo, ...edge }) => (runsOnTo && stacks.hasPart(runsOnTo) ? { ...edge, runsOnTo } : edge)),
      layers: part.layers.map(({ targetId, ...layer }) => (targetId && stacks.hasTarget(targetId) ? { ...layer, targetId } : layer)),
      ...(part.marks
        ? { marks: part.marks.map(({ pin, ...mark }) => (pin && stacks.hasPicture(pin.pictureId) ? { ...mark, pin } : mark)) }
        : {}),
    },
    moved: [...details.moved, ...decals.moved, ...fitted.moved],
  };
}

/** Details and decals after a layer that is gone follow the one below it. */
function dressed<T extends { readonly name: string; readonly after: string | null }>(
  own: readonly T[] | undefined,
  partId: string,
  stacks: Stacks,
) {
  const moved: string[] = [];
  const kept = (own ?? []).map((each) => {
    if (each.after === null || stacks.hasLayer(partId, each.after)) return each;
    const after = stacks.below(partId, each.after);
    moved.push(`${each.name} ${after ? `follows ${stacks.layerName(partId, after)}` : 'goes on before all layers'} now.`);
    return { ...each, after };
  });
  return { kept, moved };
}

/** A part that went on what is gone is fitted at the end; before a layer that is gone, before the one above it. */
function retiedFit(part: Part, fit: Fit, { parts }: Piece, stacks: Stacks): { readonly fit?: Fit; readonly moved: readonly string[] } {
  const { onPartId, layerId } = fit;
  if (onPartId === undefined) return { fit, moved: [] };
  if (!stacks.hasPart(onPartId)) return { moved: [`${part.name} is fitted at the end now.`] };
  if (layerId === undefined || stacks.hasLayer(onPartId, layerId)) return { fit, moved: [] };
  const host = parts.find(({ id }) => id === onPartId)?.name.toLowerCase() ?? '';
  const above = stacks.above(onPartId, layerId);
  if (above)
    return {
      fit: { ...fit, layerId: above },
      moved: [`${part.name} goes on ${host} before ${stacks.layerName(onPartId, above)} now.`],
    };
  return { fit: { stage: 'after-clear', onPartId }, moved: [`${part.name} goes on ${host} after its last coat now.`] };
}
