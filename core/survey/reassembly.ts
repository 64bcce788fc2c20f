import type { Part, Piece } from '#core/facts/index';

/** Parts in the order they go back together: the person's own, else the reverse of how they stand in the survey. */
export function fitOrder(piece: Piece): Part[] {
  const parts = [...piece.parts].reverse();
  if (!piece.fitOrder) return parts;
  const place = new Map(piece.fitOrder.map((id, index) => [id, index]));
  return parts.sort((a, b) => (place.get(a.id) ?? parts.length) - (place.get(b.id) ?? parts.length));
}

export type Unreachable = { readonly fasteningId: string; readonly partId: string; readonly text: string };

/** Fastenings that could not be reached any more in this order: what covers them is fitted before both their parts are. */
export function unreachableLater(piece: Piece): Unreachable[] {
  const order = fitOrder(piece).map((part) => part.id);
  const nameOf = (id: string | undefined) => piece.parts.find((part) => part.id === id)?.name ?? 'the frame';
  return (piece.fastenings ?? []).flatMap((fastening) => {
    if (fastening.behind === undefined) return [];
    const cover = order.indexOf(fastening.behind);
    const made = Math.max(order.indexOf(fastening.a), fastening.b === undefined ? -1 : order.indexOf(fastening.b));
    if (cover < 0 || cover > made || fastening.behind === fastening.a || fastening.behind === fastening.b) return [];
    const text = `${nameOf(fastening.a)} to ${nameOf(fastening.b)} lies behind ${nameOf(fastening.behind)}: fit ${nameOf(fastening.behind)} after it.`;
    return [{ fasteningId: fastening.id, partId: fastening.behind, text }];
  });
}
