import { type Facts, type Offer, offerSchema } from '#core/facts/index';
import { parseMoney, parseNumber } from '#core/units/index';
import Papa from 'papaparse';

/** Offers as a table both ways: one row an offer, shop and paint by name; money as sums, packs in mL. */

const COLUMNS = ['shop', 'paint', 'pack_ml', 'price', 'stock', 'seen_on'] as const;
type Column = (typeof COLUMNS)[number];
/** More rows than this are no price list of a hobby. */
export const MOST_ROWS = 20_000;

/** What a spreadsheet would work out instead of showing. */
const FORMULA = /^(?:[=@\t\r]|[+-](?![\d.,]+$))/;

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
  return Papa.unparse(rows, { columns: [...COLUMNS], escapeFormulae: FORMULA });
}

export type WrongLine = {
  /** As a person counts them in the file, the heading being the first. */
  readonly line: number;
  readonly why: string;
};

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
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (own) => own.trim().toLowerCase(),
    transform: (own) => own.trim().replace(/^'(?=[=@+-])/, ''),
  });
  const missing = (['shop', 'paint', 'pack_ml', 'price'] as const).filter((column) => !meta.fields?.includes(column));
  if (missing.length > 0)
    throw new RangeError(`The first line lacks ${missing.join(', ')}. Export the prices once to see how the table looks.`);
  if (data.length > MOST_ROWS) throw new RangeError(`The table has ${data.length} rows; at most ${MOST_ROWS} are read.`);
  const [workshop] = facts.workshop;
  const read = new Map<string, Offer>();
  const wrong: WrongLine[] = [];
  for (const [index, row] of data.entries()) {
    const offer = offerOf(row, facts, workshop?.currency ?? 'EUR', newId, today);
    if (typeof offer === 'string') wrong.push({ line: index + 2, why: offer });
    else read.set(keyOf(offer), { ...offer, id: read.get(keyOf(offer))?.id ?? offer.id });
  }
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
  const named = <T extends { readonly name: string }>(list: readonly T[], name: string) =>
    list.find((own) => own.name.toLowerCase() === name.toLowerCase());
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
