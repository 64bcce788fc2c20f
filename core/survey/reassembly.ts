import type { Part, Piece } from '#core/facts/index';
import { partAreaCm2 } from './area.ts';

/** Parts in the order they go back together: the person's own, else the body first and nothing shut in before its time. */
export function fitOrder(piece: Piece): Part[] {
  if (!piece.fitOrder) return defaultOrder(piece);
  const place = new Map(piece.fitOrder.map((id, index) => [id, index]));
  return [...piece.parts].reverse().sort((a, b) => (place.get(a.id) ?? piece.parts.length) - (place.get(b.id) ?? piece.parts.length));
}

/** The largest part first, the rest in the reverse of the survey; what covers a fastening waits for both parts it joins. */
function defaultOrder(piece: Piece): Part[] {
  const body = piece.parts.reduce((a, b) => (partAreaCm2(b) > partAreaCm2(a) ? b : a));
  const rest = [...piece.parts].reverse().filter((part) => part !== body);
  const waiting = [body, ...rest];
  const placed: Part[] = [];
  while (waiting.length > 0) {
    const free = waiting.findIndex((part) =>
      joinedUnder(part.id, piece).every((id) => !waiting.some((own) => own.id === id && own !== part)),
    );
    // Parts that cover each other in a circle go as they stand, and the warning says so.
    placed.push(...waiting.splice(Math.max(0, free), 1));
  }
  return placed;
}

/** The parts of every fastening that lies behind this one. */
function joinedUnder(partId: string, piece: Piece): string[] {
  return (piece.fastenings ?? [])
    .filter((own) => own.behind === partId && own.a !== partId && own.b !== partId)
    .flatMap(({ a, b }) => (b === undefined ? [a] : [a, b]));
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
