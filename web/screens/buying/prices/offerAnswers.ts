import { type GoodsOf, goodsSchema } from '#core/facts/index';
import { parseAmount, type Parsed, parseMoney, parseNumber, parseQuantity } from '#core/units/index';
import { z } from 'zod';
import { refuse } from '../../../views/typed/readFact.ts';

/** A price as it is typed: what a pack holds, what it costs, how many there are. */

export const FRESH_OFFER = { pack: '', price: '', stock: '' };

export const PACK_EXAMPLES: Readonly<Record<Extract<GoodsOf, { kind: 'supply' }>['unit'], string>> = {
  sheet: '4 sheets',
  m: '33 m',
  mL: '500 mL',
  pair: '10 pairs',
  piece: '5',
};

export type OfferAnswers = { readonly amount: number; readonly price: number; readonly stock?: number };

/** @param goods what is priced, where it is no paint */
export const offerAnswersSchema = (goods: GoodsOf | undefined, volume: 'mL' | 'oz', currency: string) =>
  z.object({ pack: z.string(), price: z.string(), stock: z.string() }).transform((typed, context): OfferAnswers => {
    const pack = packOf(goods, typed.pack, volume);
    if (!pack.ok) refuse(context, 'pack', pack.mend);
    const price = parseMoney(typed.price, currency);
    if (!price.ok) refuse(context, 'price', price.mend);
    const stock = typed.stock.trim() === '' ? undefined : (parseNumber(typed.stock) ?? Number.NaN);
    if (!goodsSchema.shape.stock.safeParse(stock).success) refuse(context, 'stock', 'Count the packs, or leave it empty.');
    if (!pack.ok || !price.ok || context.issues.length > 0) return z.NEVER;
    return { amount: pack.value, price: price.value, ...(stock === undefined ? {} : { stock }) };
  });

/** What a pack holds, in the unit of what it is a pack of. */
function packOf(goods: GoodsOf | undefined, typed: string, volume: 'mL' | 'oz'): Parsed {
  if (goods?.kind === 'parcel') return { ok: true, value: 1 };
  const read =
    !goods || goods.unit === 'mL' ? parseQuantity(typed, 'volume', volume === 'oz' ? 'oz' : 'ml') : parseAmount(typed, goods.unit);
  if (!read.ok) return read;
  const most = goods ? 100_000 : 20_000;
  if (read.value > 0 && read.value <= most) return read;
  const example = goods ? PACK_EXAMPLES[goods.unit] : '400 mL';
  return { ok: false, mend: `Type what is in one pack, such as ${example}.` };
}
