import { type Facts, type Goods, goodsSchema } from '#core/facts/index';
import { parseMoney, parseNumber } from '#core/units/index';
import { named, readTable, tableText, type WrongLine } from './table.ts';

/** Prices of papers, tape and the rest as a table both ways: one row a price, the shop by name. Parts of a piece have no row: they are bought once. */

const COLUMNS = ['shop', 'kind', 'which', 'unit', 'amount', 'price', 'stock', 'seen_on'] as const;
type Column = (typeof COLUMNS)[number];

export function goodsToCsv({ goods, shops }: Pick<Facts, 'goods' | 'shops'>): string {
  const rows = goods.flatMap(({ shopId, of, amount, price, stock, seenOn }) =>
    of.kind === 'supply'
      ? [
          {
            shop: shops.find(({ id }) => id === shopId)?.name ?? '',
            kind: of.supply,
            which: of.spec,
            unit: of.unit,
            amount,
            price: (price / 100).toFixed(2),
            stock: stock ?? '',
            seen_on: seenOn,
          },
        ]
      : [],
  );
  return tableText(rows, COLUMNS);
}

export type ReadGoods = { readonly goods: readonly Goods[]; readonly wrong: readonly WrongLine[] };

/**
 * Reads such a table, however a spreadsheet wrote it. A row of the same shop, thing and amount is the price that is known.
 * @param today the day a row without one was seen on @throws RangeError where it is no such table
 */
export function readGoods(text: string, facts: Pick<Facts, 'goods' | 'shops' | 'workshop'>, newId: () => string, today: string): ReadGoods {
  const currency = facts.workshop[0]?.currency ?? 'EUR';
  const { rows, wrong } = readTable<Column, Goods>(text, ['shop', 'kind', 'which', 'amount', 'price'], (row) =>
    goodsOf(row, facts, currency, newId, today),
  );
  const read = new Map<string, Goods>();
  for (const own of rows) read.set(keyOf(own), { ...own, id: read.get(keyOf(own))?.id ?? own.id });
  return { goods: [...read.values()], wrong };
}

function keyOf({ shopId, of, amount }: Pick<Goods, 'shopId' | 'of' | 'amount'>): string {
  return JSON.stringify([shopId, of, amount]);
}

function goodsOf(
  row: Readonly<Partial<Record<Column, string>>>,
  { goods, shops }: Pick<Facts, 'goods' | 'shops'>,
  currency: string,
  newId: () => string,
  today: string,
): Goods | string {
  const { shop = '', kind = '', which = '', unit = '', amount = '', price = '', stock = '', seen_on = '' } = row;
  const inShop = named(shops, shop);
  if (!inShop) return `No shop is called “${shop}”: add it first, or write it as it is here.`;
  const holds = parseNumber(amount);
  if (holds === null) return `“${amount}” is no amount: type how much is in a pack.`;
  const paid = price === '' ? null : parseMoney(price, currency);
  if (paid === null) return 'The price is missing.';
  if (!paid.ok) return paid.mend;
  const packs = stock === '' ? undefined : parseNumber(stock);
  if (packs === null) return `“${stock}” is no stock: type how many packs there are, or leave it empty.`;
  const read = goodsSchema.safeParse({
    id: 'read',
    shopId: inShop.id,
    of: { kind: 'supply', supply: kind, spec: which, unit: unit === '' ? 'piece' : unit },
    amount: holds,
    price: paid.value,
    ...(packs === undefined ? {} : { stock: packs }),
    seenOn: seen_on === '' ? today : seen_on,
  });
  if (!read.success) return wrongIn(read.error.issues[0]);
  return { ...read.data, id: goods.find((own) => keyOf(own) === keyOf(read.data))?.id ?? newId() };
}

function wrongIn({ path, message, ...issue }: { readonly path: PropertyKey[]; readonly message: string }): string {
  const values = 'values' in issue && Array.isArray(issue.values) ? issue.values.join(', ') : null;
  return values ? `${String(path.at(-1))}: use one of ${values}.` : message;
}
