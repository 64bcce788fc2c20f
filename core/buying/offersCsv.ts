import { type Facts, type Offer, offerSchema } from '#core/facts/index';
import { parseMoney, parseNumber } from '#core/units/index';
import { named, readTable, tableText, type WrongLine } from './table.ts';

/** Offers as a table both ways: one row an offer, shop and paint by name; money as sums, packs in mL. */

const COLUMNS = ['shop', 'paint', 'pack_ml', 'price', 'stock', 'seen_on'] as const;
type Column = (typeof COLUMNS)[number];
export function offersToCsv({ offers, shops, products }: Pick<Facts, 'offers' | 'shops' | 'products'>): string {
  const name = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
    list.find((own) => own.id === id)?.name ?? '';
  const rows = offers.map(({ shopId, productId, packMl, price, stock, seenOn }) => ({
    shop: name(shops, shopId),
    paint: name(products, productId),
    pack_ml: packMl,
    price: (price / 100).toFixed(2),
    stock: stock ?? '',
    seen_on: seenOn,
  }));
  return tableText(rows, COLUMNS);
}

export type ReadOffers = {
  /** New offers, and known ones with what the table says of them now. */
  readonly offers: readonly Offer[];
  readonly wrong: readonly WrongLine[];
};

/**
 * Reads a table of offers, however a spreadsheet wrote it: commas or semicolons between, decimal comma or point, a byte-order mark.
 * An offer of the same shop, paint and pack is the one that is known. @throws RangeError where it is no such table
 * @param today the day a row without one was seen on
 */
export function readOffers(
  text: string,
  facts: Pick<Facts, 'offers' | 'shops' | 'products' | 'workshop'>,
  newId: () => string,
  today: string,
): ReadOffers {
  const currency = facts.workshop[0]?.currency ?? 'EUR';
  const { rows, wrong } = readTable<Column, Offer>(text, ['shop', 'paint', 'pack_ml', 'price'], (row) =>
    offerOf(row, facts, currency, newId, today),
  );
  const read = new Map<string, Offer>();
  for (const offer of rows) read.set(keyOf(offer), { ...offer, id: read.get(keyOf(offer))?.id ?? offer.id });
  return { offers: [...read.values()], wrong };
}

function keyOf({ shopId, productId, packMl }: Pick<Offer, 'shopId' | 'productId' | 'packMl'>): string {
  return `${shopId} ${productId} ${packMl}`;
}

/** The offer of a row, or what is wrong with it. */
function offerOf(
  row: Readonly<Partial<Record<Column, string>>>,
  { offers, shops, products }: Pick<Facts, 'offers' | 'shops' | 'products'>,
  currency: string,
  newId: () => string,
  today: string,
): Offer | string {
  const { shop = '', paint = '', pack_ml = '', price = '', stock = '', seen_on = '' } = row;
  const [inShop, product] = [named(shops, shop), named(products, paint)];
  if (!inShop) return `No shop is called “${shop}”: add it first, or write it as it is here.`;
  if (!product) return `No paint is called “${paint}”: add it first, or write it as it is here.`;
  const packMl = parseNumber(pack_ml);
  if (packMl === null || packMl <= 0) return `“${pack_ml}” is no pack: type its mL, above 0.`;
  const paid = price === '' ? null : parseMoney(price, currency);
  if (paid === null) return 'The price is missing.';
  if (!paid.ok) return paid.mend;
  const packs = stock === '' ? undefined : parseNumber(stock);
  if (packs === null) return `“${stock}” is no stock: type how many packs there are, or leave it empty.`;
  const known = offers.find((own) => keyOf(own) === keyOf({ shopId: inShop.id, productId: product.id, packMl }));
  const parsed = offerSchema.safeParse({
    id: known?.id ?? newId(),
    shopId: inShop.id,
    productId: product.id,
    packMl,
    price: paid.value,
    ...(packs === undefined ? {} : { stock: packs }),
    seenOn: seen_on === '' ? today : seen_on,
  });
  return parsed.success ? parsed.data : parsed.error.issues[0].message;
}
