import { type Facts, type Layer, type Piece, standingEvents } from '#core/facts/index';

/** The facts with every layer that has been begun kept to the paint it was begun with: a can bought since changes nothing of it. */
export function settledFacts(facts: Facts): Facts {
  const begun = new Map<string, string>();
  for (const event of standingEvents(facts.events)) {
    const productId = event.kind === 'done' ? event.coat?.productId : undefined;
    if (event.kind !== 'done' || productId === undefined || !facts.products.some((product) => product.id === productId)) continue;
    for (const { partId } of event.on) begun.set(`${event.pieceId} ${partId} ${event.coat?.layerId}`, productId);
  }
  if (begun.size === 0) return facts;
  return { ...facts, pieces: facts.pieces.map((piece) => settledPiece(piece, begun)) };
}

function settledPiece(piece: Piece, begun: ReadonlyMap<string, string>): Piece {
  const settled = (partId: string, layer: Layer): Layer => {
    const productId = begun.get(`${piece.id} ${partId} ${layer.id}`);
    if (layer.productId !== undefined || productId === undefined) return layer;
    const { wanted: _wanted, ...rest } = layer;
    return { ...rest, productId };
  };
  return { ...piece, parts: piece.parts.map((part) => ({ ...part, layers: part.layers.map((layer) => settled(part.id, layer)) })) };
}
