import type { Collection, LogEvent, Problem } from '#core/facts/index';

type Reference = { readonly collection: Collection; readonly id: string; readonly at: string };

/** What an entry of the log points at: the piece, and where and with what a coat was put on. */
function referencesOf(event: LogEvent): Reference[] {
  const found: Reference[] = [];
  const add = (collection: Collection, id: string | undefined, at: string) => {
    if (id !== undefined) found.push({ collection, id, at });
  };
  if ('pieceId' in event) add('pieces', event.pieceId, 'pieceId');
  if ('productId' in event) add('products', event.productId, 'productId');
  if ('shopId' in event) add('shops', event.shopId, 'shopId');
  if ('stockId' in event) add('stock', event.stockId, 'stockId');
  if (event.kind === 'mixed') for (const [i, part] of event.parts.entries()) add('products', part.productId, `parts.${i}.productId`);
  if (event.kind === 'done') {
    add('places', event.coat?.placeId, 'coat.placeId');
    add('products', event.coat?.productId, 'coat.productId');
  }
  return found;
}

/** The first thing an entry points at that was never here; what was removed meanwhile counts as known. */
export function unknownReference(event: LogEvent, everHere: (collection: Collection, id: string) => boolean): Problem | null {
  const missing = referencesOf(event).find(({ collection, id }) => !everHere(collection, id));
  if (!missing) return null;
  return {
    error: `The entry names "${missing.id}", which was never among the ${missing.collection} of this workshop.`,
    at: missing.at,
    mend: 'Leave the entry out, or enter it again on the piece it belongs to.',
  };
}
